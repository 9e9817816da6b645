import { readFileSync } from 'node:fs';
import type { AxeResults, RunOptions } from 'axe-core';
import { expect, test } from './nervato';
import { VIEWS } from './views';

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/** What differs from one theme to the other; all else is the same page. */
const OF_A_THEME: RunOptions = { runOnly: ['color-contrast'] };

// Every view is opened as a practitioner does, some with a session run up to them; two tests share them, side by side.
for (const half of [0, 1]) {
  test(`no view has a serious accessibility violation in either theme, half ${half + 1}`, async ({
    page,
  }) => {
    test.setTimeout(480_000);
    for (const view of VIEWS.filter((_, place) => place % 2 === half)) {
      await test.step(view.name, async () => {
        await page.goto('/');
        await view.open(page);
        // Evaluated rather than added as a script, which the content policy forbids.
        await page.evaluate(AXE);
        for (const [theme, options] of [
          ['paper', {}],
          ['floor', OF_A_THEME],
        ] as const) {
          const results = await page.evaluate(
            ([value, how]) => {
              document.documentElement.dataset.theme = value;
              return (
                window as unknown as { axe: { run: (how: RunOptions) => Promise<AxeResults> } }
              ).axe.run(how);
            },
            [theme, options] as const,
          );
          const serious = results.violations
            .filter(({ impact }) => impact === 'serious' || impact === 'critical')
            .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
          expect.soft(serious, `${view.name}, ${theme}`).toEqual([]);
        }
      });
    }
  });
}
