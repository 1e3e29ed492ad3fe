import { Button, type ButtonProps } from 'antd';
import { useRef, type ReactNode } from 'react';

interface Props {
  accept: string;
  multiple?: boolean;
  onFiles: (files: File[]) => void;
  icon?: ReactNode;
  type?: ButtonProps['type'];
  loading?: boolean;
  children: string;
}

/** A button that opens the file chooser. The same file can be chosen twice in a row. */
export function FileButton({
  accept,
  multiple = false,
  onFiles,
  icon,
  type,
  loading,
  children,
}: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        icon={icon}
        type={type ?? 'default'}
        loading={loading ?? false}
        onClick={() => input.current?.click()}
      >
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={multiple}
        hidden
        aria-label={children}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
    </>
  );
}
