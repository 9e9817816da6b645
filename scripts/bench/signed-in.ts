import type { Browser, BrowserContext, BrowserContextOptions } from '@playwright/test';
import { DEMO_OWNER } from '#demo/practice';

/** A browser on which the demonstration's owner has been in before, and is in still. */
export async function signedIn(
  browser: Browser,
  address: string,
  options: BrowserContextOptions = {},
): Promise<BrowserContext> {
  const context = await browser.newContext(options);
  const answer = await context.request.post(`${address}/api/sign-in`, { data: DEMO_OWNER });
  if (!answer.ok()) throw new Error(await answer.text());
  await context.addInitScript(() => localStorage.setItem('nervato-practitioner', 'ines'));
  return context;
}
