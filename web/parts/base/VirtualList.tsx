import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useEffect, useLayoutEffect, useRef, useState } from 'react';

/** Lines of a list that are in the page, counted from 0. */
type InView = { first: number; last: number };

export type LongListProps = {
  count: number;
  /** About how high a line is; each is measured as it is drawn. */
  lineHeightPx: number;
  className?: string;
  onInView: (inView: InView) => void;
  children: (place: number) => ReactNode;
};

// A screen's worth more at either end, so that scrolling finds the lines there.
const OVERSCAN = 8;

/**
 * A list of which only the lines in view are in the page. It scrolls with the element around it that is marked as its
 * `data-scroller`.
 */
export function VirtualList({ count, lineHeightPx, className, onInView, children }: LongListProps) {
  const list = useRef<HTMLUListElement>(null);
  const scroller = () => list.current?.closest('[data-scroller]') ?? null;
  // Where the list begins in what scrolls.
  const [offsetPx, setOffsetPx] = useState(0);
  useLayoutEffect(() => {
    const around = list.current?.closest('[data-scroller]');
    if (!list.current || !around) return;
    const { top } = list.current.getBoundingClientRect();
    setOffsetPx(top - around.getBoundingClientRect().top + around.scrollTop);
  }, []);
  const lines = useVirtualizer({
    count,
    getScrollElement: scroller,
    estimateSize: () => lineHeightPx,
    overscan: OVERSCAN,
    scrollMargin: offsetPx,
  });
  const shown = lines.getVirtualItems();
  const first = shown[0]?.index ?? 0;
  const last = shown.at(-1)?.index ?? 0;
  useEffect(() => onInView({ first, last }), [onInView, first, last]);
  return (
    <ul ref={list} className={`relative ${className ?? ''}`} style={{ height: lines.getTotalSize() }}>
      {shown.map(({ index, key, start }) => (
        <li
          key={key}
          ref={lines.measureElement}
          data-index={index}
          aria-setsize={count}
          aria-posinset={index + 1}
          className="absolute inset-x-0 border-b border-rule"
          style={{ top: start - offsetPx }}
        >
          {children(index)}
        </li>
      ))}
    </ul>
  );
}
