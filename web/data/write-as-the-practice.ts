import type { QueryClient } from '@tanstack/react-query';
import type { PracticeView } from '#contract/practice';
import { writingOf } from '#contract/writing';
import { writeAs } from '../language/translate';
import { KEYS } from './keys';
import { practiceQuery } from './queries';

/** Messages are written in the units and with the dates of the practice, from when it is known and whenever that changes. */
export function writeAsThePractice(queries: QueryClient): void {
  queries.getQueryCache().subscribe(({ query: { queryKey } }) => {
    if (queryKey[0] !== KEYS.practice[0]) return;
    const known = queries.getQueryData(practiceQuery.queryKey) as PracticeView | undefined;
    if (known) writeAs(writingOf(known.settings));
  });
}
