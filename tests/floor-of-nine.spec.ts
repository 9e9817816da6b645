import type { Page } from '@playwright/test';
import { expect, openSession, otherDevice, pick, pressKey, withOwnServer } from './nervato';

withOwnServer.use({ viewport: { width: 820, height: 1180 } });

const laneOf = (page: Page, number: number) => page.locator(`[data-number="${number}"]`);
/** Who is in each lane, in their order; null where it is free. */
const people = (page: Page): Promise<(string | null)[]> =>
  page
    .locator('[data-number]')
    .evaluateAll((all) => all.map((lane) => lane.querySelector('a span:last-child')?.textContent ?? null));

withOwnServer(
  'a floor of nine: opened by one answer each, every lane keeps its place and number when one joins late, stops, is handed over or ends, through a restart of the server',
  async ({ page, browser, nervato }) => {
    await page.goto('/floor');
    let presses = 0;
    const press = async (name: RegExp | string) => {
      await page.getByRole('button', { name }).first().click();
      presses += 1;
    };
    await press('Open several');
    const well = page.getByRole('button', { name: /^Well, pain 0/ });
    await expect(well.nth(8)).toBeVisible();
    for (let place = 0; place < 8; place += 1) {
      await well.nth(place).click();
      presses += 1;
    }
    await press('Open 8 sessions');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(laneOf(page, 8)).toBeVisible();
    expect(presses).toBeLessThanOrEqual(16);
    const eight = await people(page);
    expect(eight).toHaveLength(8);

    // Eight are whole in view, above the dock, on both sizes.
    for (const size of [
      { width: 820, height: 1180 },
      { width: 1280, height: 800 },
    ]) {
      await page.setViewportSize(size);
      const dock = await page
        .getByRole('contentinfo')
        .or(page.getByText('No cuff is inflated.'))
        .first()
        .boundingBox();
      const last = await laneOf(page, 8).boundingBox();
      expect((last?.y ?? 0) + (last?.height ?? 0), JSON.stringify(size)).toBeLessThanOrEqual(dock?.y ?? 0);
    }
    await page.setViewportSize({ width: 820, height: 1180 });

    for (const number of [1, 2, 3]) {
      await pressKey(page, String(number));
      await pressKey(page, 'Space');
      await expect(laneOf(page, number).getByRole('button', { name: /^Start set 1/ })).toBeVisible();
    }

    // A ninth arrives late, on another device: last, and no one else moves.
    const hana = await otherDevice(browser, nervato.address, 'hana');
    await hana.goto('/floor');
    await hana.getByRole('button', { name: 'Open several' }).click();
    await hana
      .getByRole('button', { name: /^Well, pain 0/ })
      .first()
      .click();
    await hana.getByRole('button', { name: 'Open one session' }).click();
    await expect(laneOf(page, 9)).toHaveCount(1);
    expect((await people(page)).slice(0, 8)).toEqual(eight);

    // A stop in one lane is one touch, hides no other, and is taken back by name.
    const [first = '', second = '', third = ''] = eight as string[];
    await page.getByRole('button', { name: `Stop for ${third}` }).click();
    await expect(laneOf(page, 3)).toContainText('Release now');
    await expect(page.getByRole('button', { name: `Stop for ${second}` })).toBeEnabled();
    await page.getByRole('button', { name: `Go on for ${third}` }).click();
    await page.getByRole('button', { name: `Released for ${third}` }).click();
    await expect(page.getByRole('button', { name: `Inflated for ${third}` })).toBeVisible();

    // Notes of any lane, and their undo, without leaving the floor.
    await page.getByRole('button', { name: `Start set 1 for ${first}` }).click();
    await page.getByRole('button', { name: `End the set here for ${first}` }).click();
    await page.getByRole('button', { name: `Notes and corrections for ${first}` }).click();
    await page
      .getByRole('group', { name: /^Effort/ })
      .getByRole('button', { name: '7', exact: true })
      .click();
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(page.getByRole('button', { name: /^Undo/ })).toHaveCount(0);
    await page.keyboard.press('Escape');

    // Handed over by name: until the other device takes it, it runs here.
    await page.getByRole('button', { name: `Notes and corrections for ${second}` }).click();
    await expect(page.getByText('Run by: Ines Marrable, here')).toBeVisible();
    await pick(page.getByLabel('Hand over to'), 'Hana Verdigris');
    await page.keyboard.press('Escape');
    await hana.getByRole('button', { name: `Take over for ${second}` }).click();
    await expect(laneOf(page, 2)).toContainText('Hana Verdigris, on another device');

    // The server goes and comes back.
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await nervato.kill();
    await page.getByRole('button', { name: `Start set 2 for ${first}` }).click();
    await nervato.startServer();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await hana.reload();
    await expect(laneOf(hana, 1)).toContainText('Set 2');
    expect((await people(hana)).slice(0, 8)).toEqual(eight);

    // One ends: its lane stays free, and the next to begin takes it.
    await page.getByRole('button', { name: `Stop for ${first}` }).click();
    await page.getByRole('button', { name: `Released for ${first}` }).click();
    await page.getByRole('button', { name: `Finish and keep the record for ${first}` }).click();
    await expect(laneOf(page, 1)).toContainText('free');
    expect((await people(page)).slice(1, 8)).toEqual(eight.slice(1));
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto('/');
    await openSession(page, 'Odalys Ferrant');
    await page.goto('/floor');
    await expect(laneOf(page, 1)).toContainText('Odalys Ferrant');
    await hana.context().close();
  },
);
