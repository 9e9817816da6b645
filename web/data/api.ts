import { t } from '@lingui/core/macro';
import { hc } from 'hono/client';
import { PRACTITIONER_HEADER } from '#contract/header';
import type { ProblemBody } from '#contract/problem';
import { isMessage, MessageError, sentences } from '#core/message';
import type { AppType } from '#server/app';
import { translate } from '../language/translate';
import { fetchKept } from './kept-records';
import { lockState, workingPractitioner } from './practitioner';

/** The practitioner who opened this page: the server refuses it once another has signed in on this device. */
export const whoAsks = (): Record<string, string> =>
  workingPractitioner.get() === '' ? {} : { [PRACTITIONER_HEADER]: workingPractitioner.get() };

/** The server's routes with their types; who asks it knows by a cookie that no script reads. */
export const api = hc<AppType>('/api', { headers: whoAsks, fetch: fetchKept });

/** What the server said no to, with the fields to correct. */
export class ApiProblem extends Error {
  constructor(readonly body: ProblemBody) {
    super(body.detail);
  }
}

type Answer<T> = { ok: boolean; status: number; statusText: string; url?: string; json: () => Promise<T> };

/**
 * The body of a typed answer.
 * @throws ApiProblem when the server refused; TypeError when it was not reached
 */
export async function read<T>(asked: Promise<Answer<T>>): Promise<T> {
  const answer = await asked;
  if (answer.ok) return answer.json();
  const body: unknown = await answer.json().catch(() => null);
  // The sign-in has ended, or the device was locked: nothing of the record is shown until the next sign-in.
  if (answer.status === 401 && !answer.url?.includes('/api/sign-in')) lockState.set('locked');
  throw isProblem(body) ? new ApiProblem(body) : new Error(unreadable(answer));
}

/** Whether an answer says what is wrong in the server's words; what is in between may answer with something else. */
const isProblem = (body: unknown): body is ProblemBody =>
  typeof body === 'object' &&
  body !== null &&
  'says' in body &&
  isMessage(body.says) &&
  'errors' in body &&
  Array.isArray(body.errors);

const unreadable = ({ status, statusText }: Answer<unknown>): string =>
  t`The server answered ${status} ${statusText} without saying why. Try again.`;

/** A failure in words: what the server said, or that it was not reached. */
export function failureWords(error: unknown): string {
  if (error instanceof ApiProblem) return translate(error.body.says);
  if (error instanceof TypeError) {
    return t`The server cannot be reached. Nothing typed is lost: try again when it is back.`;
  }
  if (error instanceof MessageError) return translate(error.says);
  return error instanceof Error ? error.message : String(error);
}

/** What the server said about one field, if anything. */
export function fieldProblem(error: unknown, path: string): string | undefined {
  if (!(error instanceof ApiProblem)) return undefined;
  const found = error.body.errors.find((candidate) => candidate.path === path);
  return found && translate(sentences(found.message, found.remedy ?? null));
}
