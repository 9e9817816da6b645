import type { Page } from '@playwright/test';
import { goTo } from './go-to';
import { expect, test } from './nervato';
import { idsOf, OF_A_PERSON, OF_OTHERS, OF_THE_PRACTICE, ON_PAPER } from './pages';
import { followTyped } from './typed';

// Every message is longer and in brackets (web/language/pseudo.ts).

/** Written alike in every language, or by the browser: units, keys, ids of rules, names of formulas and formats, what joins lists. */
const ALIKE =
  /\b(mmHg|kg|lb|cm|mm|min|ms|s|h|W|N|km|ml|mb|MB|LOP|1RM|RM|n|U|a|VO2max|Nervato|PIN|QR|Alt|Ctrl|Esc|Enter|Tab|Shift|A4|Letter|CSV|JSON|ZIP|FHIR|R4|PDF|[A-Z]+-\d+|Epley|Brzycki|Lombardi|O’Conner|Mayhew|Wathen|Lander|English|Deutsch|and|or|[A-Z])\b/g;

/** All text that is outside of brackets, with what is read aloud only. */
const unbracketed = (): string[] => {
  const found: string[] = [];
  const outside = (text: string, depthBefore: number): number => {
    let depth = depthBefore;
    let bare = '';
    for (const letter of text) {
      if (letter === '⟦') depth += 1;
      else if (letter === '⟧') depth -= 1;
      else if (depth === 0) bare += letter;
    }
    if (/\p{L}/u.test(bare)) found.push(bare.trim());
    return depth;
  };
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT, (node) =>
    node.parentElement?.closest('script, style, noscript')
      ? NodeFilter.FILTER_REJECT
      : NodeFilter.FILTER_ACCEPT,
  );
  let depth = 0;
  while (walker.nextNode()) depth = outside(walker.currentNode.textContent ?? '', depth);
  for (const element of document.querySelectorAll(
    '[aria-label],[title],[placeholder],[alt],[aria-valuetext]',
  ))
    for (const name of ['aria-label', 'title', 'placeholder', 'alt', 'aria-valuetext'])
      outside(element.getAttribute(name) ?? '', 0);
  return found;
};

/** What is wider than where it stands, but for a line that opens to the whole, and is cut there, or makes the page scroll sideways. */
const cut = (): string[] => {
  const wide = (box: Element) => box.scrollWidth > box.clientWidth + 1;
  const isSeen = (box: Element) => box.clientWidth > 1 && box.clientHeight > 1;
  return [
    ...[document.documentElement, ...document.querySelectorAll('main')].filter((box) => wide(box)),
    ...[...document.querySelectorAll<HTMLElement>('body *')].filter((box) => {
      const { overflowX } = getComputedStyle(box);
      return (
        (overflowX === 'hidden' || overflowX === 'clip') &&
        box.tagName !== 'SUMMARY' &&
        isSeen(box) &&
        box.textContent &&
        wide(box)
      );
    }),
  ].map(
    (box) => `${box.tagName} ${box.scrollWidth} wide in ${box.clientWidth}: ${box.textContent?.slice(0, 60)}`,
  );
};

/** A phone, a tablet, a desk. */
const WIDTHS = [390, 820, 1280];

/** Says what is wrong of a page and goes on to the next. */
const softly = expect.configure({ soft: true });

async function look(page: Page, paths: readonly string[]): Promise<void> {
  const typed = followTyped(page);
  const usual = page.viewportSize();
  for (const path of paths) {
    await goTo(page, path);
    // The longest first: a name may be in a longer text.
    const names = [...(await typed())]
      .filter((name) => /\p{L}/u.test(name))
      .sort((a, b) => b.length - a.length);
    const bare = (await page.evaluate(unbracketed)).filter((text) => {
      const rest = names.reduce((left, name) => left.replaceAll(name, ' '), text).replace(ALIKE, ' ');
      return /\p{L}/u.test(rest);
    });
    expect.soft([...new Set(bare)], `no message, ${path}`).toEqual([]);
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: 844 });
      // What is drawn to a width of its own follows a moment later.
      await softly.poll(() => page.evaluate(cut), { message: `cut, ${path}, ${width} px wide` }).toEqual([]);
    }
    if (usual) await page.setViewportSize(usual);
  }
}

test.beforeEach(({ context }) =>
  context.addInitScript(() => localStorage.setItem('nervato-language', 'pseudo')),
);

test('all that is shown on the pages of the practice and on paper is a message, and none is cut', async ({
  page,
}) => {
  await look(page, [...OF_THE_PRACTICE, ...ON_PAPER]);
});

test('all that is shown of a person is a message, and none is cut', async ({ page }) => {
  const ids = await idsOf(page);
  await look(page, [
    ...OF_A_PERSON.map((link) => `/people/${ids.get('Odalys Ferrant')}/${link}`),
    ...OF_OTHERS.map(([name, link]) => `/people/${ids.get(name)}/${link}`),
  ]);
});
