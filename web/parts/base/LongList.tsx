import { lazy, Suspense } from 'react';
import type { LongListProps } from './VirtualList';

const VirtualList = lazy(() => import('./VirtualList').then((module) => ({ default: module.VirtualList })));

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
