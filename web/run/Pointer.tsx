import { useEffect, useRef } from 'react';

/** A large ring that goes with the mouse: seen from the last row. */
export function Pointer() {
  const ring = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const move = ({ clientX, clientY }: PointerEvent) => {
      if (ring.current) ring.current.style.transform = `translate(${clientX}px, ${clientY}px)`;
    };
    window.addEventListener('pointermove', move);
    return () => window.removeEventListener('pointermove', move);
  }, []);
  return <div className="run-pointer" ref={ring} aria-hidden="true" />;
}
