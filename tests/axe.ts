import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { AxeResults, RunOptions } from 'axe-core';

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/** Only what is wrong is worked out in full, and there are no frames and no sheets from elsewhere to look through. */
const QUICK: RunOptions = { resultTypes: ['violations'], iframes: false, preload: false };

/** What differs from one theme or state of a control to the next; all else is the same page. */
export const CONTRAST: RunOptions = { runOnly: ['color-contrast'] };

/** Brings axe to the page: evaluated rather than added as a script, which the content policy forbids. */
export const bringAxe = (page: Page): Promise<unknown> => page.evaluate(AXE);

/**
 * What is wrong with the page as it is in a theme, a line each: the rule and where. @param of a part of it alone
 */
export async function wrongIn(
  page: Page,
  theme: 'paper' | 'floor',
  options: RunOptions = {},
  of = 'html',
): Promise<string[]> {
  const { violations } = await page.evaluate(
    ([value, how, part]) => {
      document.documentElement.dataset.theme = value;
      return (
        window as unknown as { axe: { run: (of: string, how: RunOptions) => Promise<AxeResults> } }
      ).axe.run(part, how);
    },
    [theme, { ...QUICK, ...options }, of] as const,
  );
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
  );
}
