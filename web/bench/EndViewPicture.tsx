import { useRef, type ComponentProps, type ReactNode } from 'react';
import { EndViewDrawing } from './EndViewDrawing';

interface Props extends Omit<ComponentProps<typeof EndViewDrawing>, 'canvas'> {
  width: number;
  height: number;
  label: string;
  /** Drawn over it. */
  children?: ReactNode;
}

/** The end view of a gear set on its own piece of paper. */
export function EndViewPicture({ width, height, label, children, ...drawing }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const density = devicePixelRatio;
  return (
    <>
      <canvas
        ref={canvas}
        className="end-view-canvas"
        aria-hidden="true"
        width={Math.round(width * density)}
        height={Math.round(height * density)}
        style={{ width, height }}
      />
      <svg width={width} height={height} role="img" aria-label={label}>
        <EndViewDrawing {...drawing} canvas={canvas} />
        {children}
      </svg>
    </>
  );
}
