import type { Page } from '@playwright/test';
import { isAnswered, untilAnswered, watchRequests } from './requests';

/** Waits until the view that was asked for is shown and is not being read any more. */
export const untilItStands = (page: Page): Promise<unknown> =>
  page.waitForFunction(() => {
    const { standsAt = location.pathname } = document.documentElement.dataset;
    return standsAt === location.pathname && !document.querySelector('main[aria-busy=true]');
  });

/**
 * Goes to an address of the app as a link does, without reloading the app, and waits until the view has all that it asks
 * for. Where many pages are looked at in a row this is most of what they cost.
 */
export async function goTo(page: Page, path: string): Promise<void> {
  watchRequests(page.context());
  const isInTheApp = await page.evaluate((to) => {
    if (document.documentElement.dataset.standsAt === undefined) return false;
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
    return true;
  }, path);
  // Coming from outside, the sign-in state is read first.
  if (!isInTheApp) await page.goto(path, { waitUntil: 'networkidle' });
  await page.waitForFunction((to) => document.documentElement.dataset.standsAt === to, path);
  await untilStill(page);
}

const STILL_MS = 150;

/** Waits until nothing is asked for and the text stays the same: what a worker of the page works out is no request. */
async function untilStill(page: Page): Promise<void> {
  const read = () => page.evaluate(() => document.body.textContent);
  let before: string | null | undefined;
  for (let now = await read(); now !== before || !isAnswered(page.context()); now = await read()) {
    before = now;
    await untilItStands(page);
    await untilAnswered(page.context());
    await page.waitForTimeout(STILL_MS);
  }
}
