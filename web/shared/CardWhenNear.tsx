import type { ReactNode } from 'react';
import { useNear } from './useNear';

interface Props {
  /** The list is so long that what is far from the screen is left undrawn. */
  long: boolean;
  /** px that it takes, about. */
  height: number;
  className: string;
  label: string;
  children: ReactNode;
}

/** One card of a list that may be long. */
export function CardWhenNear({ long, height, className, label, children }: Props) {
  const { ref, near, height: known } = useNear<HTMLElement>(long, height);
  return (
    <section
      ref={ref}
      className={className}
      aria-label={label}
      style={near ? undefined : { minHeight: known }}
    >
      {near && children}
    </section>
  );
}
