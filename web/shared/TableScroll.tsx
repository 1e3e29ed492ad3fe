import { useEffect, useRef, useState, type ReactNode } from 'react';

/** A table that may be wider than its place: then it is moved sideways within it, by finger or by the arrow keys. */
export function TableScroll({ children }: { children: ReactNode }) {
  const place = useRef<HTMLDivElement>(null);
  const [wide, setWide] = useState(false);
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWide(element.scrollWidth > element.clientWidth));
    observer.observe(element);
    for (const table of element.children) observer.observe(table);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={place} className="table-scroll" {...(wide ? { tabIndex: 0 } : {})}>
      {children}
    </div>
  );
}
