import { getCatalogs } from '@lingui/cli/api';
import { getConfig } from '@lingui/conf';
import type { Page } from '@playwright/test';
import { bringAxe, wrongIn } from './axe';
import { goTo } from './go-to';
import { expect, newDevice, pressKey, signIn, test } from './nervato';
import { idsOf, OF_A_PERSON, OF_OTHERS, OF_THE_PRACTICE, ON_PAPER } from './pages';
import { followTyped } from './typed';

test.use({ locale: 'de-DE' });

/** Every message in English that says nothing in German. */
async function englishMessages(): Promise<Set<string>> {
  const catalogues = await getCatalogs(getConfig({ cwd: process.cwd() }));
  const read = await Promise.all(catalogues.map((catalogue) => catalogue.read('de')));
  const pairs = read.flatMap((entries) =>
    Object.entries(entries ?? {}).map(([id, { message = id, translation = '' }]) => ({
      message,
      translation,
    })),
  );
  const german = new Set(pairs.map(({ translation }) => translation));
  return new Set(pairs.map(({ message }) => message).filter((message) => !german.has(message)));
}

/** Everything that is written or read aloud on the page. */
const allTexts = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const texts: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) texts.push(walker.currentNode.textContent?.trim() ?? '');
    for (const element of document.querySelectorAll('[aria-label],[title],[placeholder],[alt]'))
      for (const name of ['aria-label', 'title', 'placeholder', 'alt'])
        texts.push(element.getAttribute(name) ?? '');
    return texts;
  });

/** A figure with a point where German has a comma; a clock and a date have two figures or a space before theirs. */
const WITH_A_POINT = /(^|[^\d.:])\d+\.\d{1,2}($|[^\d.])/;

/** What is on a key of the keyboard. */
const KEYS = new Set(['Enter']);

/** Opens pages one after the other: none shows a message in English, or a figure with a point. */
async function expectAllInGerman(
  page: Page,
  typed: () => Promise<ReadonlySet<string>>,
  paths: readonly string[],
): Promise<void> {
  const english = await englishMessages();
  for (const path of paths) {
    await goTo(page, path);
    const names = await typed();
    const wrong = (await allTexts(page)).filter(
      (text) => WITH_A_POINT.test(text) || (english.has(text) && !names.has(text) && !KEYS.has(text)),
    );
    expect.soft([...new Set(wrong)], path).toEqual([]);
  }
}

test('a German browser is spoken to in German, the core too, on the pages of the practice and on paper', async ({
  page,
}) => {
  const typed = followTyped(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Jetzt bereit' })).toBeVisible();
  await expectAllInGerman(page, typed, [...OF_THE_PRACTICE, ...ON_PAPER]);
});

test('a German browser is spoken to in German on every page of a person', async ({ page }) => {
  const typed = followTyped(page);
  const id = (await idsOf(page)).get('Odalys Ferrant');
  await expectAllInGerman(
    page,
    typed,
    OF_A_PERSON.map((link) => `/people/${id}/${link}`),
  );
});

test('a German browser is spoken to in German of a session, and of what only some have', async ({ page }) => {
  const typed = followTyped(page);
  const ids = await idsOf(page);
  const log = await page.request.get(`/api/clients/${ids.get('Odalys Ferrant')}/log`);
  const { sessions } = await log.json();
  await expectAllInGerman(page, typed, [
    `/sessions/${sessions[0].id}`,
    ...OF_OTHERS.map(([name, link]) => `/people/${ids.get(name)}/${link}`),
  ]);
});

test('what is read in German is found in German, and another language is chosen on the device', async ({
  page,
}) => {
  await page.goto('/guide/prescribe');
  await expect(page.getByRole('heading', { name: 'Planen' })).toBeVisible();
  await page.goto('/exercises');
  await page.getByLabel('Suchen', { exact: true }).fill('kniestreck');
  await expect(page.getByText('Kniestreckung', { exact: true }).first()).toBeVisible();

  await page.goto('/');
  await page.getByRole('button', { name: /^Konto von/ }).click();
  await page.getByRole('button', { name: 'Sprache: Deutsch' }).click();
  await page.getByRole('menuitemradio', { name: 'English' }).click();
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'en');
});

test('a set is prescribed and done in German, with a comma in its figures', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Odalys Ferrant' }).first().click();
  const chain = page.getByRole('navigation', { name: 'Kette' });
  await chain.getByRole('link', { name: /Planen/ }).click();
  const share = page.getByLabel(/^Last/).first();
  await share.fill('32,5');
  await share.press('Tab');
  await expect(share).toHaveValue('32,5');
  await expect(page.getByText(/, wirklich \d/).first()).toBeVisible();
  await expect(page.getByRole('main')).not.toContainText(/\d\.\d+ (kg|cm|%)/);

  await chain.getByRole('link', { name: /Training/ }).click();
  await page.getByRole('button', { name: 'Einheit öffnen' }).click();
  await expect(
    page.getByRole('heading', { name: /^Aufpumpen: linker Oberschenkel auf \d+ mmHg/ }),
  ).toBeVisible();
  await pressKey(page, 'Space');
  await pressKey(page, 'Space');
  await expect(page.getByRole('heading', { name: /^Satz 1/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Satz hier beenden/ })).toBeVisible();
  await bringAxe(page);
  expect(await wrongIn(page, 'paper')).toEqual([]);
});

test('who is not let in reads why in German', async ({ browser, nervato }) => {
  const context = await newDevice(browser, { baseURL: nervato.address, locale: 'de-AT' });
  const page = await context.newPage();
  await page.goto('/');
  await page.getByLabel('Name').fill('ines');
  await page.getByLabel('Passphrase').fill('nothing of the kind');
  await pressKey(page, 'Enter');
  await expect(page.getByText('Name und Passphrase passen nicht zusammen.')).toBeVisible();
  await signIn(context, nervato.address);
  await page.goto('/somewhere');
  await expect(page.getByRole('heading', { name: 'Unter dieser Adresse ist nichts' })).toBeVisible();
});
