import type { Locator, Page } from '@playwright/test';
import type { PeoplePage } from '#contract/client';
import { expect, test } from './nervato';
import { measureATrial, runLive } from './views';

// Every view answers its question without being scrolled, on a desk, on a tablet and in a hand.

const DESK = { width: 1280, height: 800 };
const TABLET = { width: 820, height: 1180 };
const SCREENS = [DESK, TABLET, { width: 390, height: 844 }];

/** Where a view is, of a person where it is one's, and what of it has to be in sight. */
type Fold = { of?: string; at: string; inSight: (page: Page) => Locator[] };

const button = (name: RegExp) => (page: Page) => [page.getByRole('button', { name })];
const words = (text: RegExp | string) => (page: Page) => [
  page.getByText(text).filter({ visible: true }).first(),
];

const FOLDS: Fold[] = [
  // Who trains now: the first that can, with the way there.
  { at: '/', inSight: (page) => [page.getByRole('main').getByRole('link', { name: 'Run' }).first()] },
  { of: 'Odalys Ferrant', at: '/run', inSight: button(/^Open the session/) },
  { of: 'Odalys Ferrant', at: '/run', inSight: words('of LOP') },
  // What holds before anything else, and what is to be asked today.
  { of: 'Cassian Wetherhold', at: '/screen', inSight: words(/Held|hold/) },
  { of: 'Maren Holdwick', at: '/screen', inSight: button(/^All well/) },
  { of: 'Odalys Ferrant', at: '/fit', inSight: (page) => [page.getByLabel(/^Girth of/)] },
  { of: 'Odalys Ferrant', at: '/measure', inSight: button(/^Pulse gone/) },
  { of: 'Odalys Ferrant', at: '/load', inSight: (page) => [page.getByLabel('Repetitions')] },
  { of: 'Odalys Ferrant', at: '/load', inSight: words(/days old/) },
  { of: 'Odalys Ferrant', at: '/prescribe', inSight: words('Target pressure') },
  { of: 'Odalys Ferrant', at: '/prescribe', inSight: button(/^Sign as/) },
  { of: 'Odalys Ferrant', at: '/outcomes', inSight: words('Real gain') },
  {
    of: 'Odalys Ferrant',
    at: '/log',
    inSight: (page) => [page.getByRole('main').locator('a[href*="/sessions/"]').first()],
  },
  { of: 'Odalys Ferrant', at: '/record', inSight: words(/^Check on the day, pain/) },
  { at: '/floor', inSight: words('Nobody trains now') },
  { at: '/kit', inSight: words('Arm small') },
  { at: '/exercises', inSight: words('Knee extension') },
  { at: '/measures', inSight: words(/^Thigh girth/) },
  { at: '/audit', inSight: (page) => [page.getByRole('main').getByRole('listitem').first()] },
];

test('every view answers its question without being scrolled, on a desk, a tablet and a phone', async ({
  page,
}) => {
  await page.goto('/');
  const { people } = (await (await page.request.get('/api/clients?first=0&last=60')).json()) as PeoplePage;
  for (const { of, at, inSight } of FOLDS) {
    await page.goto(of ? `/people/${people.find(({ name }) => name === of)?.id}${at}` : at);
    await expectInSight(page, `${of ?? ''} ${at}`, inSight(page));
  }
});

test('two trials give their pressure, and the way to record it, without being scrolled', async ({ page }) => {
  await page.goto('/');
  await measureATrial(page);
  const recorded = page.getByRole('button', { name: /^Record \d/ });
  await expectInSight(page, 'two trials', [page.getByText('Limb occlusion pressure'), recorded], [DESK, TABLET]);
});

test('a set that is run shows what is next, its strip and the ways out on every screen', async ({ page }) => {
  await page.goto('/');
  await runLive(page);
  const main = page.getByRole('main');
  await expectInSight(page, 'live', [
    page.getByTestId('reps'),
    main.getByRole('button', { name: /^Release/ }).first(),
    main.getByRole('button', { name: /^Stop/ }),
  ]);
  await expectInSight(page, 'live', [main.locator('svg:has(pattern)').last()], [DESK]);
});

async function expectInSight(page: Page, view: string, answers: Locator[], screens = SCREENS): Promise<void> {
  for (const { width, height } of screens) {
    await page.setViewportSize({ width, height });
    for (const answer of answers) {
      await expect.soft(answer, `${view}, ${width} × ${height}`).toBeVisible({ timeout: 10_000 });
      await expect
        .soft(async () => expect(await belowFoldPx(page, answer)).toBeLessThanOrEqual(0), {
          message: `${view}, ${width} × ${height}: px beneath the fold`,
        })
        .toPass({ timeout: 3_000 });
    }
  }
}

/** How far the foot of something is beneath the line where the dock begins. */
async function belowFoldPx(page: Page, answer: Locator): Promise<number> {
  const dock = await page.getByRole('region', { name: 'Cuff dock' }).boundingBox();
  const box = await answer.boundingBox();
  if (!dock || !box) return Number.POSITIVE_INFINITY;
  return Math.round(box.y + box.height - dock.y);
}
