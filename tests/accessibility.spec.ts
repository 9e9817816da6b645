import { readFileSync } from 'node:fs';
import type { AxeResults } from 'axe-core';
import { expect, test } from './nervato';
import { VIEWS } from './views';

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

for (const theme of ['paper', 'floor']) {
  test(`no view has a serious accessibility violation in the ${theme} theme`, async ({ page }) => {
    // Every view is opened as a practitioner does, some with a session run up to them.
    test.setTimeout(480_000);
    await page.addInitScript((value) => localStorage.setItem('nervato-theme', value), theme);
    for (const view of VIEWS) {
      await test.step(view.name, async () => {
        await page.goto('/');
        await view.open(page);
        // Evaluated rather than added as a script, which the content policy forbids.
        await page.evaluate(AXE);
        const results = await page.evaluate(() =>
          (window as unknown as { axe: { run: () => Promise<AxeResults> } }).axe.run(),
        );
        const serious = results.violations
          .filter(({ impact }) => impact === 'serious' || impact === 'critical')
          .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
        expect.soft(serious, view.name).toEqual([]);
      });
    }
  });
}
