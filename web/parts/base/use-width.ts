import { useEffect, useRef, useState } from 'react';

/** Width of an element in px, kept as it changes. */
export function useWidth<E extends HTMLElement>(usual: number) {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState(usual);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, width };
}
