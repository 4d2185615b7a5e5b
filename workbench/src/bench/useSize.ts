import { type RefObject, useEffect, useRef, useState } from 'react';

/** The size of an element's content box in px, kept up to date. */
export function useSize<E extends HTMLElement>(): [
  RefObject<E | null>,
  { readonly width: number; readonly height: number },
] {
  const box = useRef<E>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const observer = new ResizeObserver(
      ([entry]) =>
        entry && setSize({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  return [box, size];
}
