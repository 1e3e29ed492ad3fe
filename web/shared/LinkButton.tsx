import { Button, type ButtonProps } from 'antd';
import type { MouseEvent } from 'react';
import { useHref, useLinkClickHandler } from 'react-router';

interface Props {
  to: string;
  type?: NonNullable<ButtonProps['type']>;
  size?: NonNullable<ButtonProps['size']>;
  icon?: ButtonProps['icon'];
  children: string;
}

/** A link that looks like a button and changes the address without loading the page. */
export function LinkButton({ to, ...rest }: Props) {
  const href = useHref(to);
  const follow = useLinkClickHandler<HTMLAnchorElement>(to);
  return (
    <Button
      {...rest}
      href={href}
      onClick={(event) => follow(event as MouseEvent<HTMLAnchorElement>)}
    />
  );
}
