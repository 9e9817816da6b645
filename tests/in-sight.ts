import type { Locator, Page } from '@playwright/test';
import { expect } from './nervato';
import { patientMs } from './patience';

export const DESK = { width: 1280, height: 800 };
export const TABLET = { width: 820, height: 1180 };
export const PHONE = { width: 390, height: 844 };
export const SCREENS = [DESK, TABLET, PHONE];

/** Says of each that is not wholly above the dock, on any of the screens, without the page being scrolled. */
export async function expectInSight(
  page: Page,
  view: string,
  answers: Locator[],
  screens = SCREENS,
): Promise<void> {
  for (const { width, height } of screens) {
    await page.setViewportSize({ width, height });
    await page.evaluate(() => document.querySelector('main[data-scroller]')?.scrollTo(0, 0));
    for (const answer of answers) {
      await expect.soft(answer, `${view}, ${width} × ${height}`).toBeVisible();
      await expect
        .soft(async () => expect(await belowFoldPx(page, answer)).toBeLessThanOrEqual(0), {
          message: `${view}, ${width} × ${height}: px beneath the fold`,
        })
        .toPass({ timeout: patientMs(20_000) });
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
