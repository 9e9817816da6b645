import { t } from '@lingui/core/macro';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { rankCuffs } from '#core/cuff';
import { madeUpPerson } from '../state/made-up-person';
import { api, read } from './api';

const LIMB = 'left-thigh';
const GIRTH_CM = 55;
const CALM = { systolicMmHg: 122, diastolicMmHg: 76 };

/**
 * Makes up a person who is screened and has a girth and a cuff, as far as the kit has one: what comes next is to measure.
 * @param onMade called though what asked is no longer shown: the list is not empty any more
 */
export function useMakeUpPerson(practice: PracticeView | undefined, onMade: (id: string) => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (): Promise<ClientRecord> => {
      const made = await read<ClientRecord>(
        api.clients.$post({ json: { name: t`Robin Example`, story: t`Made up, to play with.` } }),
      );
      madeUpPerson.set(made.id);
      const param = { id: made.id };
      await read(
        api.clients[':id'].screenings.$post({
          param,
          json: { yes: [], bloodPressures: [CALM, CALM] },
        }),
      );
      const cuff = rankCuffs(LIMB, GIRTH_CM, practice?.cuffs ?? []).find(({ fits }) => fits)?.cuff;
      if (cuff)
        await read(
          api.clients[':id'].fits.$post({
            param,
            json: { kind: 'cuff', limb: LIMB, girthCm: GIRTH_CM, cuffId: cuff.id },
          }),
        );
      await queries.invalidateQueries();
      return made;
    },
    onSuccess: ({ id }) => onMade(id),
  });
}
