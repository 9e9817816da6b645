import { readdirSync, readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { PeoplePage } from '#contract/client';
import { pairsOf } from '../scripts/words-plugin';
import { GERMAN_SMALL_WORDS } from '../web/language/german-small-words';
import { type Pair, speakWith, told } from '../web/language/told';
import { bringAxe, wrongIn } from './axe';
import { goTo } from './go-to';
import { expect, newDevice, pressKey, signIn, test } from './nervato';

test.use({ locale: 'de-DE' });

/** What the core and the server say, with its German. */
async function pairs(): Promise<Pair[]> {
  const files = [
    ...readdirSync('web/words/core').map((folder) => `core/${folder}`),
    'contract',
    'server',
  ].map((folder) => `web/words/${folder}/de.po`);
  const catalogues = await Promise.all(files.map((file) => pairsOf(readFileSync(file, 'utf8'), file)));
  return catalogues.flat();
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

const OF_THE_PRACTICE = [
  '/',
  '/floor',
  '/exercises',
  '/kit',
  '/practise',
  '/week',
  '/safety',
  '/responders',
  '/measures',
  '/accounts',
  '/audit',
];
/** A figure with a point where German has a comma; a clock and a date have two figures or a space before theirs. */
const WITH_A_POINT = /(^|[^\d.:])\d+\.\d{1,2}($|[^\d.])/;

const ON_PAPER = ['/papers/screening', '/papers/measuring', '/papers/session'];
const OF_A_PERSON = [
  'screen',
  'fit',
  'measure',
  'load',
  'prescribe',
  'run',
  'log',
  'outcomes',
  'explain',
  'sheet/person',
  'sheet/operator',
  'record',
  'report',
];

/** What only some have: two exercises on a strip, a sitting, a ladder, a half mmHg. */
const OF_OTHERS: [name: string, link: string][] = [
  ['Rufus Tarnholm', 'sheet/person'],
  ['Leocadia Brandt', 'run'],
  ['Maren Holdwick', 'measure'],
  ['Maren Holdwick', 'prescribe'],
];

/** Opens pages one after the other; the sentences of the core that one shows as the core made them are none. */
async function expectAllInGerman(page: Page, paths: readonly string[]): Promise<void> {
  speakWith([...(await pairs()), ...GERMAN_SMALL_WORDS], { joints: {}, decimals: (figure) => figure });
  for (const path of paths) {
    await goTo(page, path);
    const english = (await allTexts(page)).filter(
      // The head of a report is what the practice has written.
      (text) =>
        WITH_A_POINT.test(text) ||
        (/[A-Za-z]{3}/.test(text) && told(text) !== text && !text.includes('Boathouse')),
    );
    expect.soft([...new Set(english)], path).toEqual([]);
  }
}

/** Everybody's id by their name. */
async function idsOf(page: Page): Promise<Map<string, string>> {
  const { people } = (await (await page.request.get('/api/clients?first=0&last=60')).json()) as PeoplePage;
  return new Map(people.map(({ id, name }) => [name, id]));
}

test('a German browser is spoken to in German, the core too, on the pages of the practice and on paper', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Jetzt bereit' })).toBeVisible();
  await expectAllInGerman(page, [...OF_THE_PRACTICE, ...ON_PAPER]);
});

test('a German browser is spoken to in German on every page of a person', async ({ page }) => {
  const id = (await idsOf(page)).get('Odalys Ferrant');
  await expectAllInGerman(
    page,
    OF_A_PERSON.map((link) => `/people/${id}/${link}`),
  );
});

test('a German browser is spoken to in German of a session, and of what only some have', async ({ page }) => {
  const ids = await idsOf(page);
  const log = await page.request.get(`/api/clients/${ids.get('Odalys Ferrant')}/log`);
  const { sessions } = await log.json();
  await expectAllInGerman(page, [
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
