import { expect, type Page, test } from '@playwright/test';
import { bringAxe, CONTRAST, wrongIn } from './axe';
import { servePartsPage } from './parts-page';

// Every part in its states, on a page of its own without a server: what a view does with them is for its journey.

// One after the other, since they share what is served.
test.describe.configure({ mode: 'default' });
let parts: Awaited<ReturnType<typeof servePartsPage>>;
test.beforeAll(async () => {
  parts = await servePartsPage();
});
test.afterAll(() => parts.end());
test.beforeEach(({ page }) => page.goto(parts.address));

const part = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const THEMES = ['paper', 'floor'] as const;
/** What is pressed: of a radio that is drawn as its label, the label. */
const CONTROLS = 'main :is(button, input:not(.sr-only), label:has(.sr-only)):not(:disabled)';

/** What a list, a menu, a calendar or a working opens in. */
const OPENED = '[data-radix-popper-content-wrapper]';

test('no part has an accessibility violation, at rest, beneath a pointer or in focus, in either theme', async ({
  page,
}) => {
  await expect(page.getByRole('region')).toHaveCount(10);
  await bringAxe(page);
  for (const theme of THEMES) {
    expect(await wrongIn(page, theme), theme).toEqual([]);
    const looked = new Set<string>();
    for (const control of await page.locator(CONTROLS).filter({ visible: true }).all()) {
      const look = await control.evaluate(({ tagName, className, ariaPressed, dataset }) =>
        [tagName, className, ariaPressed, dataset.state].join(' '),
      );
      // Of those that are drawn alike one stands for all.
      if (looked.has(look)) continue;
      looked.add(look);
      const name = await control.evaluate((element) => {
        element.setAttribute('data-at', '');
        return element.outerHTML.slice(0, 120);
      });
      await control.hover();
      expect.soft(await wrongIn(page, theme, CONTRAST, '[data-at]'), `${theme}, hover, ${name}`).toEqual([]);
      await control.focus();
      expect.soft(await wrongIn(page, theme, CONTRAST, '[data-at]'), `${theme}, focus, ${name}`).toEqual([]);
      await control.evaluate((element) => element.removeAttribute('data-at'));
    }
  }
});

test('what is open of a part has no violation either', async ({ page }) => {
  await bringAxe(page);
  const choices = part(page, 'One of a few');
  for (const open of [
    () => choices.getByRole('combobox', { name: 'As a list' }).click(),
    () => choices.getByRole('button', { name: /^Band/ }).click(),
    () =>
      part(page, 'Days and times')
        .getByRole('button', { name: /calendar/i })
        .first()
        .click(),
    () =>
      part(page, 'What a rule says')
        .getByRole('button', { name: /^Pressure/ })
        .click(),
  ]) {
    await open();
    await expect(page.locator(OPENED)).toBeVisible();
    for (const theme of THEMES) expect.soft(await wrongIn(page, theme, {}, OPENED), theme).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.locator(OPENED)).toHaveCount(0);
  }
});

test('a number is taken with a comma or a point, keeps still under arrows and wheel, and gives way to the next', async ({
  page,
}) => {
  const numbers = part(page, 'Numbers');
  const load = numbers.getByLabel('Load');
  await load.fill('12,5');
  await expect(numbers.getByText('Shown: 12.5')).toBeVisible();
  await load.hover();
  await page.mouse.wheel(0, 200);
  await page.keyboard.press('ArrowUp');
  await expect(load).toHaveValue('12,5');
  await load.blur();
  // Chosen as one comes: the next figure takes its place.
  await load.focus();
  await page.keyboard.type('8.25');
  await expect(numbers.getByText('Shown: 8.25')).toBeVisible();
  await load.fill('eight');
  await expect(numbers.getByRole('alert').filter({ hasText: 'Enter a number.' }).first()).toBeVisible();
  await expect(load).toHaveValue('eight');
});

test('a question is unanswered until it is answered, and keeps an answer that is given again', async ({
  page,
}) => {
  const questions = part(page, 'Yes and no');
  const slept = questions.getByRole('radiogroup', { name: 'Slept and hydrated' });
  await expect(slept.getByRole('radio', { checked: true })).toHaveCount(0);
  for (let times = 0; times < 2; times += 1) {
    await slept.getByRole('radio', { name: 'No' }).click();
    await expect(questions.getByText('Shown: false')).toBeVisible();
  }
  await page.keyboard.press('ArrowRight');
  await expect(slept.getByRole('radio', { name: 'Yes' })).toBeFocused();
  await page.keyboard.press('Space');
  await expect(questions.getByText('Shown: true')).toBeVisible();
  // One order everywhere, so that no hand learns two.
  expect(await slept.getByRole('radio').allTextContents()).toEqual(['No', 'Yes']);
});

test('a tip says what a sign means beneath a pointer and by key, and goes by Escape', async ({ page }) => {
  const row = part(page, 'One of a few').getByRole('radiogroup', { name: 'As a row' });
  const [first, second] = [row.getByRole('radio').first(), row.getByRole('radio').nth(1)];
  const tip = page.getByRole('tooltip');
  await first.hover();
  await expect(tip).toHaveText(/, for a start$/);
  await first.click();
  await expect(tip).toHaveCount(0);
  await expect(first).toBeChecked();
  await page.keyboard.press('ArrowRight');
  await expect(second).toBeFocused();
  await expect(tip).toHaveText(/, for a start$/);
  await page.keyboard.press('Escape');
  await expect(tip).toHaveCount(0);
});

test('a box is ticked by its words, and none ticked is said beneath', async ({ page }) => {
  const boxes = part(page, 'Boxes to tick');
  await boxes.getByText('Thu').click();
  await expect(boxes.getByText('Shown: mon, thu')).toBeVisible();
  await boxes.getByLabel('Mon').uncheck();
  await boxes.getByLabel('Thu').focus();
  await page.keyboard.press('Space');
  await expect(boxes.getByRole('alert')).toHaveText('Choose a day.');
});

test('one of a few is chosen by a letter and Enter; Escape leaves it as it was', async ({ page }) => {
  const choices = part(page, 'One of a few');
  const list = choices.getByRole('combobox', { name: 'As a list' });
  await list.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('option', { name: 'middle band' })).toBeFocused();
  await page.keyboard.press('h');
  await expect(page.getByRole('option', { name: 'heavy band' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(choices.getByText('Shown: heavy')).toBeVisible();
  await list.click();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Escape');
  await expect(choices.getByText('Shown: heavy')).toBeVisible();
  await choices.getByRole('radio', { name: 'light band' }).click();
  await expect(choices.getByRole('button', { name: 'Band: light band' })).toBeVisible();
});

test('a day and a time are typed as they are said, and what is none is said and kept', async ({ page }) => {
  const times = part(page, 'Days and times');
  const day = times.getByRole('textbox', { name: 'Starts on' });
  await day.fill('7.4.26');
  await day.blur();
  await expect(times.getByText('Shown: 2026-04-07 09:30')).toBeVisible();
  await day.fill('31 February');
  await expect(day).toHaveAttribute('aria-invalid', 'true');
  await expect(day).toHaveValue('31 February');
  await times.getByLabel('At', { exact: true }).fill('17.45');
  await expect(times.getByText(/17:45$/)).toBeVisible();
});

test('what folds on a phone says there what is chosen and opens, and is open where there is room', async ({
  page,
}) => {
  const fold = part(page, 'Folded on a phone');
  const line = fold.getByRole('button', { name: 'How it is measured: Thigh large, probe' });
  const content = fold.getByText('Pulse by probe');
  await expect(content).toBeVisible();
  await expect(line).toBeHidden();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(content).toBeHidden();
  await bringAxe(page);
  for (const theme of THEMES) {
    expect(await wrongIn(page, theme), theme).toEqual([]);
  }
  await line.press('Enter');
  await expect(content).toBeVisible();
  await expect(line).toHaveAttribute('aria-expanded', 'true');
});

test('a remedy is applied where it stands, and a button of no use now cannot be pressed', async ({
  page,
}) => {
  const rules = part(page, 'What a rule says');
  await rules.getByRole('button', { name: 'Set 80 % or lower' }).click();
  await expect(rules.getByText('Shown: fixed')).toBeVisible();
  for (const button of await page.getByRole('button', { name: /^Not now/ }).all()) {
    await expect(button).toBeDisabled();
  }
});
