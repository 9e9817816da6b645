import type { Page } from '@playwright/test';
import { bringAxe, CONTRAST, wrongIn } from './axe';
import { goTo } from './go-to';
import { expectInSight } from './in-sight';
import { expect, test } from './nervato';
import { VIEWS } from './views';

/** A phone, a tablet, and a wide screen. */
const WIDTHS = [390, 820, 1920];

/**
 * What is wider than the page and would be scrolled to sideways, tables that scroll by themselves aside; and a document that
 * is higher than the screen, where only what is in it scrolls.
 */
const spilling = (): string[] => {
  const page = document.documentElement;
  return [
    ...[page, ...document.querySelectorAll('main')]
      .filter((box) => box.scrollWidth > box.clientWidth + 1)
      .map(({ tagName, scrollWidth }) => `${tagName} ${scrollWidth} wide`),
    // A sheet of paper is scrolled as a page; in the frame only its parts scroll.
    ...(document.querySelector('main[data-scroller]') && page.scrollHeight > page.clientHeight + 1
      ? [`the page ${page.scrollHeight} high`]
      : []),
  ];
};

/** Says what is wrong of a view and goes on to the next. */
const softly = expect.configure({ soft: true });

/** Without reloading the app; a window that was as narrow as a phone has put the people away. */
async function toToday(page: Page): Promise<void> {
  await goTo(page, '/');
  const shown = page.getByRole('button', { name: 'Show people' });
  if (await shown.isVisible()) await shown.click();
}

/** So many views are opened in one journey. */
const AT_ONCE = 4;

// Every view is opened as a practitioner does, some with a session run up to them.
for (let first = 0; first < VIEWS.length; first += AT_ONCE) {
  const views = VIEWS.slice(first, first + AT_ONCE);
  test(`no accessibility violation in either theme, and nothing that scrolls sideways on any screen: ${views.map(({ name }) => name).join(', ')}`, async ({
    page,
  }) => {
    for (const view of views) {
      await test.step(view.name, async () => {
        await toToday(page);
        await view.open(page);
        await bringAxe(page);
        softly(await wrongIn(page, 'paper'), `${view.name}, paper`).toEqual([]);
        softly(await wrongIn(page, 'floor', CONTRAST), `${view.name}, floor`).toEqual([]);
        const usual = page.viewportSize();
        for (const width of WIDTHS) {
          await page.setViewportSize({ width, height: 844 });
          // What is drawn to a width of its own follows a moment later.
          await softly
            .poll(() => page.evaluate(spilling), {
              message: `${view.name}, ${width} px wide`,
            })
            .toEqual([]);
        }
        for (const { screens, answers } of view.inSight?.(page) ?? [])
          await expectInSight(page, view.name, answers, screens);
        if (usual) await page.setViewportSize(usual);
      });
    }
  });
}
