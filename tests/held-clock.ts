import { expect, type Locator, type Page } from '@playwright/test';
import { untilAnswered, watchRequests } from './requests';

const STEP_MS = 2_000;

/** Takes the page's clock in hand: from now on time passes only by `page.clock`, however slow the machine. */
export async function holdClock(page: Page): Promise<void> {
  const context = page.context();
  await context.addInitScript(neverAskTheClock);
  for (const open of context.pages()) await open.evaluate(neverAskTheClock);
  watchRequests(context);
  await page.clock.install({ time: Date.now() });
  await page.clock.pauseAt(Date.now() + 1_000);
}

/** Lets time pass on a held clock until something is to be seen; fails when it is not within `mostMs` of that time. */
export async function passUntil(page: Page, seen: Locator, mostMs = 150_000): Promise<void> {
  for (let passedMs = 0; passedMs < mostMs; passedMs += STEP_MS) {
    // A slow server or a page that is still being read must not cost time of the session: a set would be over meanwhile.
    await untilAnswered(page.context());
    if (await seen.isVisible()) return;
    // What is due once a second is done once; frames in between, sixty of them, would show nothing else.
    await page.clock.fastForward(STEP_MS);
  }
  await expect(seen).toBeVisible();
}

/**
 * The server's clock goes on; a page whose clock is held would take itself to be ahead and correct it. (A route of the browser
 * would send every other request through this process, too.)
 */
function neverAskTheClock(): void {
  const ask = window.fetch;
  window.fetch = (what, how) =>
    String(what instanceof Request ? what.url : what).includes('/api/clock')
      ? Promise.reject(new TypeError('The clock is held.'))
      : ask(what, how);
}
