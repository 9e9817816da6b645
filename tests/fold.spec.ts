import type { Locator, Page } from '@playwright/test';
import type { PeoplePage } from '#contract/client';
import { goTo } from './go-to';
import { expectInSight } from './in-sight';
import { test } from './nervato';

/** Where a view is, of a person where it is one's, and what of it answers its question and has to be in sight. */
type Fold = { of?: string; at: string; inSight: (page: Page) => Locator[] };

const words = (page: Page, text: RegExp | string) => page.getByText(text).filter({ visible: true }).first();
const button = (page: Page, name: RegExp) => page.getByRole('button', { name });
const main = (page: Page) => page.getByRole('main');

const FOLDS: Fold[] = [
  // Who trains now: the first that can, with the way there.
  { at: '/', inSight: (page) => [main(page).getByRole('link', { name: 'Run' }).first()] },
  {
    of: 'Odalys Ferrant',
    at: '/run',
    inSight: (page) => [button(page, /^Open the session/), words(page, 'of LOP')],
  },
  // What holds before anything else, and what is to be asked today.
  { of: 'Cassian Wetherhold', at: '/screen', inSight: (page) => [words(page, /Held|hold/)] },
  { of: 'Maren Holdwick', at: '/screen', inSight: (page) => [button(page, /^All well/)] },
  { of: 'Odalys Ferrant', at: '/fit', inSight: (page) => [page.getByLabel(/^Girth of/)] },
  { of: 'Odalys Ferrant', at: '/measure', inSight: (page) => [button(page, /^Pulse gone/)] },
  {
    of: 'Odalys Ferrant',
    at: '/load',
    inSight: (page) => [page.getByLabel('Repetitions'), words(page, /days old/)],
  },
  {
    of: 'Odalys Ferrant',
    at: '/prescribe',
    inSight: (page) => [words(page, 'Target pressure'), button(page, /^Sign as/)],
  },
  { of: 'Odalys Ferrant', at: '/outcomes', inSight: (page) => [words(page, 'Real gain')] },
  {
    of: 'Odalys Ferrant',
    at: '/log',
    inSight: (page) => [main(page).locator('a[href*="/sessions/"]').first()],
  },
  { of: 'Odalys Ferrant', at: '/record', inSight: (page) => [words(page, /^Check on the day, pain/)] },
  { at: '/floor', inSight: (page) => [words(page, 'No session is running')] },
  { at: '/kit', inSight: (page) => [words(page, 'Arm small')] },
  { at: '/exercises', inSight: (page) => [words(page, 'Knee extension')] },
  { at: '/measures', inSight: (page) => [words(page, /^Thigh girth/)] },
  { at: '/audit', inSight: (page) => [main(page).getByRole('listitem').first()] },
];

test('every view answers its question without being scrolled, on a desk, a tablet and a phone', async ({
  page,
}) => {
  await page.goto('/');
  const { people } = (await (await page.request.get('/api/clients?first=0&last=60')).json()) as PeoplePage;
  for (const { of, at, inSight } of FOLDS) {
    await goTo(page, of ? `/people/${people.find(({ name }) => name === of)?.id}${at}` : at);
    await expectInSight(page, `${of ?? ''} ${at}`, inSight(page));
  }
});
