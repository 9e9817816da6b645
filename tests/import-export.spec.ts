import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import {
  agree,
  answerScreening,
  checkOnTheDay,
  choose,
  expect,
  Nervato,
  openPerson,
  otherDevice,
  pick,
  pressKey,
  screenAsClear,
  test,
} from './nervato';

const DAY_MS = 86_400_000;
const dayAgo = (days: number) => {
  const [year, month, day] = new Date(Date.now() - days * DAY_MS).toISOString().slice(0, 10).split('-');
  return `${day}.${month}.${year}`;
};

/** Brings a file in, and waits for what it says of its rows. */
async function bring(page: Page, name: string, lines: readonly string[], said: string): Promise<void> {
  await page.getByLabel('File to bring in').setInputFiles({
    name,
    mimeType: 'text/csv',
    buffer: Buffer.from(`${lines.join('\r\n')}\r\n`, 'latin1'),
  });
  await expect(page.getByRole('status').filter({ hasText: said })).toBeVisible();
}

test('a practice comes from its spreadsheets, and trains the first person the same hour', {
  tag: '@days',
}, async ({ page }) => {
  await page.goto('/import-export');

  await test.step('people, with letters of another encoding', async () => {
    await bring(
      page,
      'clients.csv',
      ['Name;Notes', 'Jörun Æskild;Knee', 'Petronel Gask;'],
      '2 of 2 rows are good.',
    );
    await expect(page.getByText('Read as Latin 1')).toBeVisible();
    await page.getByRole('button', { name: 'Bring in all 2 rows' }).click();
    await expect(page.getByText('People of clients.csv').first()).toBeVisible();
  });

  await test.step('a date that could be two days is read as the practice writes dates, and said', async () => {
    const girths = ['Client;Date;Limb;Girth (cm);Cuff', 'Jörun Æskild;02/12/2025;L thigh;54,5;Thigh large'];
    await bring(page, 'strokes.csv', girths, '1 of 1 rows are good.');
    await expect(page.getByText(/02\/12\/2025 is read as 2 Dec 2025\./)).toBeVisible();
    await page.getByRole('button', { name: 'Cancel' }).click();
  });

  await test.step('girths in inches and one row to correct', async () => {
    const girths = [
      'Client;Date;Limb;Girth (in);Cuff',
      `Jörun Æskild;${dayAgo(3)};L thigh;21,5;Thigh large`,
      `Jorun Askild;${dayAgo(3)};L thigh;21,5;Thigh large`,
    ];
    await bring(page, 'girths.csv', girths, '1 of 2 rows are good; 1 is not.');
    await expect(page.getByText('54.61 cm').first()).toBeVisible();
    await expect(page.getByText('No client is called Jorun Askild.')).toBeVisible();
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'with semicolons' }).click();
    const toCorrect = readFileSync((await (await saved).path()) ?? '', 'utf8');
    expect(toCorrect).toContain(`Jorun Askild;${dayAgo(3)};L thigh;21,5;Thigh large;No client is called`);
    await page.getByRole('button', { name: 'Bring in the 1 good row' }).click();
    await expect(page.getByText('Girths and cuffs of girths.csv').first()).toBeVisible();
  });

  await test.step('pressures and strength tests', async () => {
    const pressures = [
      'Client;Date;Limb;Position;Cuff;Method;LOP',
      `Jörun Æskild;${dayAgo(1)};LT;sitting;Thigh large;Doppler;174`,
    ];
    await bring(page, 'lops.csv', pressures, '1 of 1 rows are good.');
    await page.getByRole('button', { name: 'Bring in all 1 row' }).click();
    const tests = [
      'Client;Date;Exercise;Side;Load (kg);Reps',
      `Jörun Æskild;${dayAgo(1)};Knee extension;L;30;8`,
    ];
    await expect(page.getByText('Occlusion pressures of lops.csv').first()).toBeVisible();
    await bring(page, 'tests.csv', tests, '1 of 1 rows are good.');
    await page.getByRole('button', { name: 'Bring in all 1 row' }).click();
    await expect(page.getByText('Strength tests of tests.csv').first()).toBeVisible();
  });

  await test.step('the person is screened, prescribed for and trained', async () => {
    await openPerson(page, 'Jörun Æskild');
    // Everything else is on record by now: the next link is the plan.
    await answerScreening(page);
    await expect(page.getByRole('button', { name: /^School: / })).toBeVisible();
    await choose(page, 'School', 'research consensus');
    await page.getByLabel('Pressure', { exact: true }).fill('40');
    await page.getByLabel('Priming cycles first').uncheck();
    await page.getByRole('radio', { name: '1–0–1' }).click();
    // 174 × 40 % = 69.6 mmHg, down to the division of the coarsest gauge: no table says which it was read from.
    await expect(page.getByRole('button', { name: /Target pressure.*65 mmHg/ })).toBeVisible();
    await page.getByRole('button', { name: /^Sign/ }).click();
    await checkOnTheDay(page);
    await agree(page);
    await page.getByRole('button', { name: 'Open the session' }).click();
    await expect(page.getByRole('heading', { name: 'Inflate left thigh to 65 mmHg' })).toBeVisible();
  });
});

test('a wide sheet in German comes in piece by piece, and once more without doubling anything', async ({
  page,
}) => {
  await page.goto('/import-export');
  const sheet = [
    'Nachname, Vorname;Geburtsdatum;Telefon;Ziele;Datum;Umfang L (cm);Umfang R (cm);LOP L;LOP R',
    `Gask, Petronel;04.05.61;555 0101;Treppen;${dayAgo(3)};54,5;55;174;180`,
    `Æskild, Jörun;;;;${dayAgo(3)};61;;190;`,
  ];

  await test.step('its people, with the name as it is said', async () => {
    await bring(page, 'klienten.csv', sheet, '2 of 2 rows are good.');
    await expect(page.getByText('Petronel Gask').first()).toBeVisible();
    await expect(page.getByText('4 May 1961')).toBeVisible();
    await page.getByRole('button', { name: 'Bring in all 2 rows' }).click();
  });

  await test.step('then its girths: which limb, and one cuff for all, is asked', async () => {
    await expect(page.getByText('Which limb is “Umfang L (cm)”?')).toBeVisible();
    await pick(page.getByLabel('Limb of “Umfang L (cm)”'), 'Left thigh');
    await pick(page.getByLabel('Limb of “Umfang R (cm)”'), 'Right thigh');
    await pick(page.getByLabel('Column of Cuff', { exact: true }), 'the same for all rows');
    await pick(page.getByLabel('Cuff, for all rows'), 'Thigh large');
    await expect(page.getByText('3 of 3 rows are good.')).toBeVisible();
    await page.getByRole('button', { name: 'Bring in all 3 rows' }).click();
  });

  await test.step('then its pressures', async () => {
    await pick(page.getByLabel('Limb of “LOP L”'), 'Left thigh');
    await pick(page.getByLabel('Limb of “LOP R”'), 'Right thigh');
    for (const [field, word] of [
      ['Position', 'sitting'],
      ['Cuff', 'Thigh large'],
      ['Pulse found by', 'Doppler probe'],
    ]) {
      await pick(page.getByLabel(`Column of ${field}`, { exact: true }), 'the same for all rows');
      await pick(page.getByLabel(`${field}, for all rows`), word ?? '');
    }
    await expect(page.getByText('3 of 3 rows are good.')).toBeVisible();
    await page.getByRole('button', { name: 'Bring in all 3 rows' }).click();
    await expect(page.getByText('Occlusion pressures of klienten.csv').first()).toBeVisible();
  });

  await test.step('the same file again changes nothing', async () => {
    await bring(page, 'klienten.csv', sheet, '2 of 2 rows are good. 2 on record already.');
    await page.getByRole('button', { name: 'girths and cuffs', exact: true }).click();
    await expect(page.getByText('3 of 3 rows are good. 3 on record already.')).toBeVisible();
  });
});

test('one person moves between two practices with their whole record', async ({
  page,
  browser,
  nervato,
}, testInfo) => {
  const second = await Nervato.start();
  try {
    await page.goto('/');
    await page.getByRole('link', { name: 'Add a person' }).first().click();
    await page.getByLabel('Name').fill('Wilmot Saltash');
    await pressKey(page, 'Enter');
    await screenAsClear(page);
    await pressKey(page, 'g');
    await pressKey(page, 'f');
    await page.getByRole('radio', { name: 'Left thigh' }).check({ force: true });
    await page.getByLabel('Girth of the left thigh').fill('54.5');
    await pressKey(page, 'Enter');
    await expect(page.getByRole('button', { name: /Pulse gone/ })).toBeVisible();
    await pressKey(page, 'g');
    await pressKey(page, 'h');
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Whole record as a file' }).click();
    const file = testInfo.outputPath((await saved).suggestedFilename());
    await (await saved).saveAs(file);

    const there = await otherDevice(browser, second.address);
    await there.goto('/import-export');
    await there.getByLabel('File to bring in').setInputFiles(file);
    await expect(there.getByRole('heading', { name: 'Wilmot Saltash, from another practice' })).toBeVisible();
    await expect(there.getByText('new here', { exact: true })).toBeVisible();
    await there.getByRole('button', { name: /^Import \d+ records/ }).click();
    await openPerson(there, 'Wilmot Saltash');
    await there.getByRole('navigation', { name: 'Chain' }).getByRole('link', { name: /Fit/ }).click();
    await expect(there.getByText(/54\.5 cm/).first()).toBeVisible();

    // And back out, as one.
    await there.goto('/import-export');
    await there.getByRole('button', { name: /^Take back wilmot/i }).click();
    await expect(there.getByText(/taken back/)).toBeVisible();
    await expect(there.getByRole('navigation', { name: 'People' }).getByText('Wilmot Saltash')).toBeHidden();
    await there.close();
  } finally {
    await second.end();
  }
  expect(nervato.address).not.toBe(second.address);
});
