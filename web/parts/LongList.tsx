import { lazy, type ReactNode, Suspense } from 'react';

const VirtualList = lazy(() => import('./VirtualList').then((module) => ({ default: module.VirtualList })));

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

/** So many lines are drawn as they are, with nothing to be worked out. */
const SHORT = 30;

/** A list that may be long: then only the lines in view are in the page, and it scrolls with the `data-scroller` around it. */
export function LongList(props: LongListProps) {
  const { count, className, children } = props;
  if (count > SHORT) {
    return (
      <Suspense>
        <VirtualList {...props} />
      </Suspense>
    );
  }
  return (
    <ul className={className}>
      {Array.from({ length: count }, (_, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a line is its place
        <li key={place} className="border-b border-rule">
          {children(place)}
        </li>
      ))}
    </ul>
  );
}
