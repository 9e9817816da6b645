import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Accounts, MadePassphrase, NewAccountFor } from '#contract/sign-in';
import type { Role } from '#core/access';
import { api, read } from './api';
import { KEYS } from './keys';

export const useAccounts = () =>
  useQuery({ queryKey: KEYS.accounts, queryFn: () => read<Accounts>(api.accounts.$get()) });

/** A write about accounts, after which they are read again. */
export function useAccountWrite<Asked, Answer>(write: (asked: Asked) => Promise<Answer>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: write,
    onSuccess: () => queries.invalidateQueries({ queryKey: KEYS.practice }),
  });
}

export type NewAccount = {
  practitioner: NewAccountFor;
  name: string;
  isOwner: boolean;
};
export const openAccount = (json: NewAccount) => read<MadePassphrase>(api.accounts.$post({ json }));

export type AccountChange = {
  id: string;
  name?: string;
  role?: Role;
  isOwner?: boolean;
  certifiedUntilDay?: string | null;
};
export const changeAccount = ({ id, ...json }: AccountChange) =>
  read<Accounts>(api.accounts[':id'].$post({ param: { id }, json }));

export const endAccount = (id: string) => read<Accounts>(api.accounts[':id'].end.$post({ param: { id } }));

export const newPassphraseFor = (id: string) =>
  read<MadePassphrase>(api.accounts[':id']['new-passphrase'].$post({ param: { id } }));
