import { type RefObject, useEffect, useState } from 'react';

/** How much of a line must be in view for it to be seen. */
const SEEN = 0.9;

/** The numbers of the lines of a list that are below what is in view, by their `data-number`. */
export function useBelow(list: RefObject<HTMLElement | null>, count: number): ReadonlySet<number> {
  const [below, setBelow] = useState<ReadonlySet<number>>(new Set());
  // biome-ignore lint/correctness/useExhaustiveDependencies: another count has other lines to look at
  useEffect(() => {
    const observer = new IntersectionObserver(
      (entries) =>
        setBelow((known) => {
          const now = new Set(known);
          for (const { target, intersectionRatio, boundingClientRect, intersectionRect } of entries) {
            const number = Number((target as HTMLElement).dataset.number);
            const isAbove = boundingClientRect.top < intersectionRect.top;
            if (intersectionRatio < SEEN && !isAbove) now.add(number);
            else now.delete(number);
          }
          return now;
        }),
      { threshold: [0, SEEN] },
    );
    for (const line of list.current?.children ?? []) observer.observe(line);
    return () => {
      observer.disconnect();
      setBelow(new Set());
    };
  }, [list, count]);
  return below;
}
