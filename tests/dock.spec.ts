import type { Locator } from '@playwright/test';
import { expect, openSession, pressKey, test } from './nervato';

test('a page that loads while a cuff is up leaves the room of the dock, and nothing moves once it is there', async ({
  page,
}) => {
  await page.goto('/');
  await openSession(page, 'Odalys Ferrant');
  await pressKey(page, 'Space');
  await expect(page.getByRole('region', { name: 'Cuff dock' }).getByText('86 mmHg')).toBeVisible();
  await expect(page.getByText('All saved on the server')).toBeVisible();
  const top = async () => (await page.getByRole('link', { name: 'Exercises', exact: true }).boundingBox())?.y;
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Cuff dock' }).getByText('86 mmHg')).toBeVisible();
  const there = await top();
  // What draws the dock is held back, so that the page is seen without it.
  await page.route('**/assets/LiveShell-*.js', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1_500));
    await route.continue();
  });
  await page.reload();
  await expect(page.getByText('Training now')).toBeVisible();
  expect(Math.abs(((await top()) ?? 0) - (there ?? 0))).toBeLessThanOrEqual(1);
});

test('two limbs with other cuffs up: every clock says its limb, and nothing lies under the dock, on a desk, a tablet and a phone', async ({
  page,
}) => {
  await page.goto('/floor');
  await page.getByRole('button', { name: 'Open several' }).click();
  const well = page.getByRole('button', { name: /^Well, pain 0/ });
  await expect(well.nth(8)).toBeVisible();
  await page.getByRole('button', { name: 'Well, pain 0 Ingrith Solveigson' }).click();
  for (let place = 0; place < 8; place += 1) await well.nth(place).click();
  await page.getByRole('button', { name: /^Open \d sessions$/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  for (const number of [2, 3, 4, 5, 6, 7, 8]) {
    await pressKey(page, String(number));
    await pressKey(page, 'Space');
  }
  await page
    .locator('[data-number]')
    .filter({ hasText: 'Ingrith Solveigson' })
    .getByRole('link', { name: 'Ingrith Solveigson' })
    .click();
  await pressKey(page, 'Space');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Next: set 1');
  await pressKey(page, 'Space');
  const dock = page.getByRole('region', { name: 'Cuff dock' });
  await expect(dock.getByRole('link', { name: /thigh$/ })).toHaveCount(2);
  await expect(dock).toContainText(/\d others up/);
  const [left, right] = [page.getByText(/^Left thigh, occluded/), page.getByText(/^Right thigh, occluded/)];
  await expect(left).toBeVisible();
  await expect(right).toBeVisible();
  const bottomOf = async (what: Locator): Promise<number> => {
    const box = await what.boundingBox();
    return (box?.y ?? 0) + (box?.height ?? 0);
  };
  const strip = page.locator('main svg').filter({ hasText: 'Right thigh' });
  const stop = page.getByRole('button', { name: /^Stop/ });
  for (const [width, height, last] of [
    [1280, 800, strip],
    [820, 1180, strip],
    [390, 844, stop],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expect(async () => {
      const room = await dock.boundingBox();
      expect(await bottomOf(last), `${width}×${height}`).toBeLessThanOrEqual((room?.y ?? 0) + 1);
      // A sixth of the height at the most.
      if (width > 390) expect(room?.height ?? 0).toBeLessThanOrEqual(height / 6);
    }).toPass();
  }
});
