import { type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { FirstStart, Me, SignInBody, SignInState } from '#contract/sign-in';
import { firstSteps } from '../state/first-steps';
import { api, read } from './api';
import { clearRecords, leaveNothing } from './kept-records';
import { KEYS } from './keys';
import { announceLockState, unlock } from './lock';
import { wasLocked, workingPractitioner } from './practitioner';
import { dropKeys, takeKey } from './sealed';
import { startWorking } from './start-working';

const signInQuery = {
  queryKey: KEYS.signIn,
  queryFn: async () => {
    // The lock holds though the server did not hear of it: the PIN is asked for.
    if (wasLocked.get() === 'yes') await api['sign-in'].lock.$post();
    const said = await read<SignInState>(api['sign-in'].$get());
    await leaveNothing(said.state);
    return said;
  },
  gcTime: 0,
};
/** What this device may know while signed out. */
export const useSignInState = () => useQuery({ ...signInQuery, refetchInterval: 20_000 });

export const useMe = () => useQuery({ queryKey: KEYS.me, queryFn: () => read<Me>(api.me.$get()) });

/**
 * Lets in who the server says is signed in. What another person had open on this page is gone; one's own is kept as it was, typed
 * things too.
 */
export async function enter(queries: QueryClient): Promise<void> {
  const me = await read<Me>(api.me.$get({}, { headers: { 'x-nervato-practitioner': '' } }));
  const before = workingPractitioner.get();
  const { id } = me.practitioner;
  await takeKey(id, me.deviceKey);
  workingPractitioner.set(id);
  if (before !== '' && before !== id) {
    wasLocked.set('no');
    announceLockState();
    return window.location.reload();
  }
  startWorking(queries);
  await unlock(queries);
  announceLockState();
}

type Answer = Promise<Response>;
export const must = async (answer: Answer): Promise<void> => {
  const { ok } = await answer;
  if (!ok) await read((await answer) as never);
};

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (asked: SignInBody | { practitionerId: string; pin: string } | FirstStart) => {
      if ('pin' in asked) await must(api['sign-in'].pin.$post({ json: asked }));
      else if ('word' in asked) {
        await must(api['sign-in'].first.$post({ json: asked }) as Answer);
        // Who begins a practice has each step explained, once.
        firstSteps.explainAll();
      } else await must(api['sign-in'].$post({ json: asked }));
      wasLocked.set('no');
      const { state } = await queries.fetchQuery({ ...signInQuery, staleTime: 0 });
      if (state === 'signed-in') await enter(queries);
    },
  });
}

/** Signs out, and takes what was read off this device; what is not sent yet stays, sealed, for the next time. */
export async function signOut(everywhere: boolean): Promise<void> {
  await must(api['sign-out'].$post({ json: { everywhere } }));
  await Promise.all([dropKeys(), clearRecords()]);
  workingPractitioner.set('');
  announceLockState();
  window.location.assign('/');
}
