import type { Page } from '@playwright/test';
import type { PeoplePage } from '#contract/client';

export const OF_THE_PRACTICE = [
  '/',
  '/floor',
  '/exercises',
  '/kit',
  '/practise',
  '/week',
  '/safety',
  '/responders',
  '/measures',
  '/accounts',
  '/audit',
];
export const ON_PAPER = ['/papers/screening', '/papers/measuring', '/papers/session'];
export const OF_A_PERSON = [
  'screen',
  'fit',
  'measure',
  'load',
  'prescribe',
  'run',
  'log',
  'outcomes',
  'explain',
  'sheet/person',
  'sheet/operator',
  'record',
  'report',
];

/** What only some have: two exercises on a strip, a sitting, a ladder, a half mmHg. */
export const OF_OTHERS: [name: string, link: string][] = [
  ['Rufus Tarnholm', 'sheet/person'],
  ['Leocadia Brandt', 'run'],
  ['Maren Holdwick', 'measure'],
  ['Maren Holdwick', 'prescribe'],
];

/** The id of each person by their name. */
export async function idsOf(page: Page): Promise<Map<string, string>> {
  const { people } = (await (await page.request.get('/api/clients?first=0&last=60')).json()) as PeoplePage;
  return new Map(people.map(({ id, name }) => [name, id]));
}
