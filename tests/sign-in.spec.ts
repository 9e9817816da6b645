import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { AxeResults } from 'axe-core';
import { DEMO_OWNER } from '#demo/practice';
import { chooseLink, expect, Nervato, newDevice, openPerson, pressKey, test, workAs } from './nervato';

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');
async function expectAccessible(page: Page): Promise<void> {
  await page.evaluate(AXE);
  const { violations } = await page.evaluate(() =>
    (window as unknown as { axe: { run: () => Promise<AxeResults> } }).axe.run(),
  );
  expect(violations.map(({ id }) => id)).toEqual([]);
}

const account = (page: Page) => page.getByRole('button', { name: /^Account of/ });
async function lockIt(page: Page): Promise<void> {
  await account(page).click();
  await page.getByRole('button', { name: /^Lock, or hand on/ }).click();
  await expect(page.getByRole('heading', { name: 'This device is locked' })).toBeVisible();
}

test('no record is shown before sign-in, and what is typed is there after a lock', async ({
  browser,
  nervato,
}) => {
  const page = await (await newDevice(browser, { baseURL: nervato.address })).newPage();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expect(page.getByText('Odalys Ferrant')).toHaveCount(0);
  await expectAccessible(page);

  await test.step('a wrong passphrase is said no to, and the name stays', async () => {
    await page.getByLabel('Name').fill(DEMO_OWNER.name);
    await page.getByLabel('Passphrase').fill('not this one at all');
    await pressKey(page, 'Enter');
    await expect(page.getByText(/do not go together/)).toBeVisible();
    await page.getByLabel('Passphrase').fill(DEMO_OWNER.passphrase);
    await pressKey(page, 'Enter');
    await expect(page.getByText('Who can train now')).toBeVisible();
  });

  await test.step('a PIN is set', async () => {
    await account(page).click();
    await page.getByRole('link', { name: 'Passphrase, PIN and codes' }).click();
    await page.getByLabel('PIN', { exact: true }).fill('2718');
    await page.getByLabel('Your passphrase').first().fill(DEMO_OWNER.passphrase);
    await page.getByRole('button', { name: 'Set the PIN' }).click();
    await expect(page.getByText('The PIN is set.')).toBeVisible();
  });

  await test.step('locked, it shows initials alone; the PIN brings back what was typed', async () => {
    await openPerson(page, 'Odalys Ferrant');
    await chooseLink(page, 'Load');
    await page.getByLabel('Load').fill('17.5');
    await lockIt(page);
    await expectAccessible(page);
    await expect(page.locator('body')).not.toContainText('Marrable', { useInnerText: true });
    await expect(page.getByRole('heading', { name: 'Odalys Ferrant' })).toHaveCount(0);
    await page.getByRole('button', { name: 'IM' }).click();
    await page.getByLabel('PIN of IM').fill('1111');
    await pressKey(page, 'Enter');
    await expect(page.getByText(/not the PIN/)).toBeVisible();
    await page.getByLabel('PIN of IM').fill('2718');
    await pressKey(page, 'Enter');
    await expect(page.getByLabel('Load')).toBeVisible();
    await expect(page.getByLabel('Load')).toHaveValue('17.5');
  });

  await test.step('a lock holds through a reload, and without the server', async () => {
    await page.route('**/api/**', (route) => route.abort());
    await account(page).click();
    await page.getByRole('button', { name: /^Lock, or hand on/ }).click();
    await expect(page.getByRole('heading', { name: 'Odalys Ferrant' })).toHaveCount(0);
    await page.unroute('**/api/**');
    await page.reload();
    await expect(page.getByRole('heading', { name: 'This device is locked' })).toBeVisible();
    await expect(page.getByText('Odalys Ferrant')).toHaveCount(0);
  });
  await page.context().close();
});

test('an assistant runs and records, and reads who signs', async ({ page }) => {
  await page.goto('/');
  await workAs(page, 'oswin');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Prescribe');
  await expect(page.getByText(/Only a clinician or a coach may sign/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Sign as/ })).toHaveCount(0);
  await page.getByRole('link', { name: 'Kit and practice' }).click();
  await expect(page.getByRole('button', { name: /^Add/ })).toHaveCount(0);
});

test('an entry is retracted with its reason, what stood on it is named, and it is in the audit', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await page
    .getByRole('navigation', { name: 'Chain' })
    .getByRole('link', { name: /^Record/ })
    .click();
  const pressure = page
    .getByRole('listitem')
    .filter({ hasText: /Left thigh, sitting: \d+ mmHg/ })
    .first();
  await pressure.getByRole('button', { name: /^Retract/ }).click();
  await page.getByLabel('Why it is wrong').fill('Measured on another person');
  await page.getByRole('button', { name: 'Retract it' }).click();
  await expect(pressure.locator('s')).toBeVisible();
  await expect(pressure).toContainText('Measured on another person');
  await expect(page.getByText(/stood on it:/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Audit log of this record' }).click();
  await expect(page.getByText('Retracted').first()).toBeVisible();
});

test('a practice begins by the words of its terminal, and its owner lets a colleague in', async ({
  browser,
}) => {
  const nervato = await Nervato.start('none');
  try {
    await expect(() => expect(nervato.said).toMatch(/first start: \w+/)).toPass();
    const words = /first start: (.+)/.exec(nervato.said)?.[1] ?? '';
    const page = await (await newDevice(browser, { baseURL: nervato.address })).newPage();
    await page.goto('/');
    await page.getByLabel('The four words').fill('some other words here');
    await pressKey(page, 'Enter');
    await expect(page.getByText(/not the words the terminal shows/)).toBeVisible();
    await page.getByLabel('The four words').fill(words);
    await pressKey(page, 'Enter');
    await page.getByLabel('Name of the practice').fill('Quayside');
    await page.getByLabel('Thigh cuff, large').check();
    await page.getByLabel('Hand pump with gauge').check();
    await page.getByLabel('Your name').fill('Petra Stand-in');
    await page.getByLabel('Name to sign in by').fill('petra');
    await page.getByLabel('Passphrase').fill('short');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText(/At least 12 characters: four or five words/).last()).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Passphrase').fill('kettles on the stove');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('heading', { name: 'Quayside' })).toBeVisible();

    await test.step('each step is explained until it was done, by a person who is made up', async () => {
      await page.getByRole('button', { name: 'Make one up' }).click();
      await expect(page.getByRole('heading', { name: 'Robin Example' })).toBeVisible();
      await expect(page.getByRole('note')).toContainText('Every later pressure is a share of it');
      await expectAccessible(page);
      await page.getByRole('note').getByRole('button', { name: 'Explain no more' }).click();
      await expect(page.getByRole('note')).toHaveCount(0);
      await page.goto('/');
      await page.getByRole('button', { name: 'Remove them' }).click();
      await expect(page.getByRole('region', { name: 'Your first person' })).toBeVisible();
      await expect(page.getByText('Robin Example')).toHaveCount(0);
    });
    await pressKey(page, 'F1');
    await page.getByRole('article').getByRole('link', { name: 'Measure' }).click();
    await expect(page.getByRole('heading', { name: 'Measure', level: 1 })).toBeVisible();

    await page.goto('/accounts');
    await page.getByRole('button', { name: 'Open an account' }).click();
    await page.getByLabel('Their name').fill('Colm Barge');
    await page.getByRole('radio', { name: 'coach' }).click();
    await page.getByLabel('Name to sign in by').fill('colm');
    await page.getByRole('button', { name: 'Open it' }).click();
    const shown = (await page.getByRole('status').locator('.figures').textContent()) ?? '';

    const other = await (await newDevice(browser, { baseURL: nervato.address })).newPage();
    await other.goto('/');
    await other.getByLabel('Name').fill('colm');
    await other.getByLabel('Passphrase').fill(shown);
    await pressKey(other, 'Enter');
    await other.getByLabel('The one you have').fill(shown);
    await other.getByLabel('The new one').fill('nets drying on the wall');
    await other.getByRole('button', { name: 'Change the passphrase' }).click();
    await expect(account(other)).toContainText('Colm Barge, coach');
    await page.context().close();
    await other.context().close();
  } finally {
    await nervato.end();
  }
});
