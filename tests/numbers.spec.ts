import type { Page } from '@playwright/test';
import { holdClock, passUntil } from './held-clock';
import {
  agree,
  answerScreening,
  checkOnTheDay,
  checkOnTheDayIfAsked,
  chooseLink,
  expect,
  openPerson,
  pressKey,
  test,
} from './nervato';

/** Presses keys, and knows how many. */
function hands(page: Page) {
  let pressed = 0;
  return {
    press: async (...keys: string[]) => {
      for (const key of keys) {
        pressed += 1;
        await pressKey(page, key);
      }
    },
    pressed: () => pressed,
  };
}

/** How often a pointer was pressed, from the next load on; keys that press a button are no clicks. */
async function watchClicks(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const seen = window as Window & { clicks?: number };
    seen.clicks = 0;
    window.addEventListener(
      'click',
      // One on the words of a box clicks the box as well.
      ({ detail, isTrusted }) => {
        if (isTrusted && detail > 0) seen.clicks = (seen.clicks ?? 0) + 1;
      },
      { capture: true },
    );
  });
  return () => page.evaluate(() => (window as Window & { clicks?: number }).clicks ?? Number.NaN);
}

type Moved = { value: number; what: string[] };

/** What moves on the page without a touch, from the next load on, and how much (as layout shift counts it). */
async function watchShifts(page: Page): Promise<() => Promise<Moved[]>> {
  await page.addInitScript(() => {
    type Shift = PerformanceEntry & { value: number; hadRecentInput: boolean; sources: { node?: Node }[] };
    const seen = window as Window & { moved?: { value: number; what: string[] }[] };
    seen.moved = [];
    new PerformanceObserver((list) => {
      for (const { value, hadRecentInput, sources } of list.getEntries() as Shift[]) {
        const what = sources.map(({ node }) => (node?.textContent ?? '').slice(0, 60));
        if (!hadRecentInput) seen.moved?.push({ value, what });
      }
    }).observe({ type: 'layout-shift', buffered: true });
  });
  return () => page.evaluate(() => (window as Window & { moved?: Moved[] }).moved ?? []);
}

test('an open sheet is at most five keys from the first repetition, and a set with effort, pain and colour three more', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Run');
  await checkOnTheDayIfAsked(page);
  const { press, pressed } = hands(page);
  const reps = page.getByTestId('reps');
  await press('Space');
  await expect(page.getByRole('heading', { name: /^Inflate/ })).toBeVisible();
  await holdClock(page);
  await press('Space');
  await passUntil(page, page.getByRole('heading', { name: 'Next: set 1' }));
  await press('Space');
  await passUntil(page, reps);
  expect(pressed()).toBeLessThanOrEqual(5);

  // Two sets of the four show what each of them asks: the rest begins, ends and starts the next by itself.
  for (let set = 1; set <= 2; set += 1) {
    const before = pressed();
    await passUntil(page, page.getByText('rest left', { exact: true }));
    await press('6', 'Shift+2', 'c');
    if (set < 2) await passUntil(page, reps);
    expect(pressed() - before).toBeLessThanOrEqual(12 / 4);
  }
});

test('a new person is at most eight clicks, keys and typed values from their first repetition', async ({
  page,
}) => {
  const clicks = await watchClicks(page);
  await page.goto('/');
  await page.getByRole('link', { name: 'Add a person' }).first().click();
  await page.getByLabel('Name').fill('Quill Sandersby');
  await pressKey(page, 'Enter');
  await answerScreening(page);
  await pressKey(page, 'g');
  await pressKey(page, 'f');
  await page.getByLabel(/^Girth of the/).fill('54.5');
  await pressKey(page, 'Enter');
  for (const [trial, gone, back] of [
    [1, '180', '172'],
    [2, '180', '170'],
  ]) {
    await page.getByLabel(`Trial ${trial}, pulse gone at, mmHg`).fill(String(gone));
    await page.getByLabel(`Trial ${trial}, pulse back at, mmHg`).fill(String(back));
  }
  await page.getByRole('button', { name: /^Record \d+/ }).click();
  await page.getByLabel('Load').fill('30');
  await page.getByLabel('Repetitions').fill('8');
  await pressKey(page, 'Enter');
  await page.getByRole('button', { name: 'Sign as Ines Marrable' }).waitFor();
  await pressKey(page, 'Control+Enter');
  await checkOnTheDay(page);
  await agree(page);
  await page.getByRole('button', { name: 'Open the session' }).waitFor();
  await pressKey(page, 'Space');
  await holdClock(page);
  // The cycles of a newcomer come first: each is the next expected thing.
  const reps = page.getByTestId('reps');
  for (let presses = 0; presses < 20 && !(await reps.isVisible()); presses += 1) {
    await pressKey(page, 'Space');
    await page.clock.runFor(20_000);
  }
  await expect(reps).toBeVisible();
  expect(await clicks()).toBeLessThanOrEqual(8);
});

test('nothing moves by itself on the views that are read at a glance', async ({ page }) => {
  const shifted = await watchShifts(page);
  const found: { name: string; moved: Moved[] }[] = [];
  for (const [name, address, there] of [
    ['today', '/', 'Ready now'],
    ['kit', '/kit', 'Cuffs'],
    ['exercises', '/exercises', 'Exercises'],
    ['floor', '/floor', 'Floor'],
    ['practise', '/practise', 'Practise measuring'],
  ] as const) {
    await page.goto(address);
    await expect(page.getByRole('heading', { name: new RegExp(`^${there}`) }).first()).toBeVisible();
    await page.waitForTimeout(1_000);
    found.push({ name, moved: await shifted() });
  }
  const sum = (moved: readonly Moved[]) => moved.reduce((all, { value }) => all + value, 0);
  expect(found.filter(({ moved }) => sum(moved) > 0.02)).toEqual([]);
});
