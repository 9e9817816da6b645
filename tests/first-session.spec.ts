import type { Page } from '@playwright/test';
import { holdClock, passUntil } from './held-clock';
import {
  agree,
  checkOnTheDay,
  choose,
  expect,
  pressKey,
  screenAsClear,
  withOwnServer as test,
} from './nervato';

const reps = (page: Page) => page.getByTestId('reps');

test('a new client is screened, measured, prescribed, trained and on record', {
  tag: '@days',
}, async ({ page, nervato }) => {
  await page.goto('/');

  await test.step('add a person and screen them', async () => {
    await page.getByRole('link', { name: 'Add a person' }).first().click();
    await page.getByLabel('Name').fill('Quill Sandersby');
    await page.getByLabel('Why they come').fill('Ferry deckhand after a tendon repair');
    await pressKey(page, 'Enter');
    await screenAsClear(page);
    await pressKey(page, 'g');
    await pressKey(page, 'f');
  });

  await test.step('record a girth and choose the cuff', async () => {
    await page.getByRole('radio', { name: 'Left thigh' }).check({ force: true });
    await page.getByLabel('Girth of the left thigh').fill('54.5');
    await expect(page.getByRole('radio', { name: /Thigh large/ })).toBeChecked();
    await pressKey(page, 'Enter');
  });

  await test.step('measure with two keys', async () => {
    await expect(page.getByRole('button', { name: /Pulse gone/ })).toBeVisible();
    await page.getByLabel('Gauge reading in mmHg').fill('170');
    await pressKey(page, '+');
    await pressKey(page, 'Space');
    await pressKey(page, '-');
    await pressKey(page, '-');
    await pressKey(page, 'Space');
    await expect(page.getByText('172–176 mmHg')).toBeVisible();
    await page.getByLabel('Trial 2, pulse gone at, mmHg').fill('180');
    await page.getByLabel('Trial 2, pulse back at, mmHg').fill('170');
    await expect(page.getByText(/2 trials within .* mmHg: enough/)).toBeVisible();
    await page.getByRole('button', { name: /^Record 173/ }).click();
  });

  await test.step('enter a strength test', async () => {
    await page.getByLabel('Load').fill('30');
    await page.getByLabel('Repetitions').fill('8');
    await expect(page.getByRole('button', { name: /One-repetition maximum.*37\.5 kg/ })).toBeVisible();
    await page.getByRole('button', { name: 'Record test' }).click();
  });

  await test.step('prescribe by a school and see the working', async () => {
    await choose(page, 'School', 'research consensus');
    await page.getByLabel('Pressure', { exact: true }).fill('40');
    await page.getByLabel('Priming cycles first').uncheck();
    await page.getByRole('radio', { name: '1–0–1' }).click();
    // 173 × 40 % = 69.2 mmHg, down to the gauge's division of 2.
    await page.getByRole('button', { name: /Target pressure.*68 mmHg/ }).click();
    await expect(page.getByText('173 mmHg × 40 % = 69.2 mmHg')).toBeVisible();
    await expect(page.getByText(/PRS-1/).first()).toBeVisible();
    await pressKey(page, 'Escape');
    await page.getByRole('button', { name: /pin at 7\.5 kg.*7\.5 kg/ }).click();
    await expect(page.getByText('37.5 kg × 20 %')).toHaveCount(0);
    await expect(page.getByText('37.5 kg × 25 % = 9.38 kg')).toBeVisible();
    await pressKey(page, 'Escape');
    await page.getByRole('button', { name: 'Sign as Ines Marrable' }).click();
  });

  await checkOnTheDay(page);
  await test.step('a letter after G goes somewhere, and agrees to nothing on the way', async () => {
    await expect(page.getByRole('button', { name: 'Read with them: they agree' })).toBeVisible();
    await pressKey(page, 'g');
    await pressKey(page, 'a');
    await expect(page.getByRole('heading', { name: 'Add a person' })).toBeVisible();
    await page.goBack();
  });
  await agree(page);
  await page.getByRole('button', { name: 'Open the session' }).waitFor();
  await holdClock(page);
  const saved = page.getByText('All saved on the server');
  const restLeft = page.getByText('rest left', { exact: true });
  const repsNow = async () => Number((await reps(page).textContent())?.split(' / ')[0]);

  await test.step('run set one hands-free', async () => {
    await pressKey(page, 'Space');
    await passUntil(page, page.getByRole('heading', { name: 'Inflate left thigh to 68 mmHg' }));
    await pressKey(page, 'Space');
    await passUntil(page, page.getByRole('link', { name: 'Quill Sandersby, left thigh' }));
    await page.clock.runFor(15_000);
    await pressKey(page, 'Space');
    await passUntil(page, reps(page).filter({ hasText: '10 / 30' }));
    await passUntil(page, restLeft);
    await pressKey(page, '6');
    await passUntil(page, page.getByRole('button', { name: '6', pressed: true }));
  });

  await test.step('reload in set two: it goes on where it was', async () => {
    await passUntil(page, reps(page).filter({ hasText: '5 / 15' }));
    await passUntil(page, saved);
    const before = await repsNow();
    await page.reload();
    await passUntil(page, reps(page).filter({ hasText: '/ 15' }));
    const after = await repsNow();
    expect(after).toBeGreaterThanOrEqual(before);
    expect(after).toBeLessThan(15);
  });

  await test.step('kill the server in set two: the session goes on, and arrives whole', async () => {
    await nervato.kill();
    await passUntil(page, restLeft);
    await pressKey(page, '-');
    await passUntil(page, page.getByText(/kept on this device, not yet on the server/));
    await nervato.startServer();
    await passUntil(page, saved);
  });

  await test.step('sets three and four, release, finish', async () => {
    await passUntil(page, page.getByRole('heading', { name: 'All sets done: deflate slowly' }), 240_000);
    await pressKey(page, 'r');
    await passUntil(page, page.getByText('No cuff is inflated.'));
    await pressKey(page, 'Space');
    await passUntil(page, page.getByRole('columnheader', { name: 'Joint pain' }));
    await passUntil(page, saved);
    await page.clock.resume();
  });

  await test.step('the record survives a restart of the server', async () => {
    await nervato.kill();
    await nervato.startServer();
    await page.reload();
    await expect(page.getByText('30 / 14 / 15 / 15 of 75')).toBeVisible();
    for (const label of ['Occluded in all', 'Longest stretch', 'Pressure × time', 'Volume']) {
      await expect(page.getByText(label, { exact: true })).toBeVisible();
    }
    // 74 repetitions of 7.5 kg.
    await expect(page.getByText('555', { exact: true })).toBeVisible();
  });
});
