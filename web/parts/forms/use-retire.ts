import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { PracticeView } from '#contract/practice';
import { failureWords } from '../../data/api';
import { KEYS } from '../../data/keys';
import { notify, notifyDone } from '../../state/notices';

/**
 * Takes something of the practice out of use, says so, and brings it back by the notice.
 * @param send reports to the server that it is retired, or no longer is
 */
export function useRetire<W>(send: (what: W, isRetired: boolean) => Promise<PracticeView>) {
  const queries = useQueryClient();
  const change = async (what: W, isRetired: boolean): Promise<void> => {
    queries.setQueryData(KEYS.practice, await send(what, isRetired));
  };
  const { mutate, error } = useMutation({
    mutationFn: ({ what }: { what: W; words: string }) => change(what, true),
    onSuccess: (_, { what, words }) =>
      notifyDone(words, () => {
        change(what, false).catch((failure: unknown) => notify(failureWords(failure)));
      }),
  });
  return { retire: (what: W, words: string) => mutate({ what, words }), error };
}
