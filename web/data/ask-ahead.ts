import type { QueryClient } from '@tanstack/react-query';
import { openViewsQuery } from './open-sessions';
import { peopleQuery } from './people';
import { practiceQuery } from './queries';

/** Asks for what the frame and Today begin with, so that it is on its way while they are drawn for the first time. */
export function askAhead(queries: QueryClient): void {
  void queries.prefetchQuery(practiceQuery);
  void queries.prefetchQuery(peopleQuery('', 0));
  void queries.prefetchQuery(openViewsQuery);
}
