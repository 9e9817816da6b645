import type { Page } from '@playwright/test';
import { holdClock, passUntil } from './held-clock';
import {
  chooseLink,
  expect,
  openPerson,
  openSession,
  otherDevice,
  pick,
  pressKey,
  test,
  workAs,
} from './nervato';

const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name });
const dock = (page: Page) => page.getByRole('region', { name: 'Cuff dock' });
const nothingInflated = (page: Page) => dock(page).getByText('No cuff is inflated.');
const reps = (page: Page) => page.getByTestId('reps');

/** Opens the session that is ready, inflates and starts set one, with the page's clock in the test's hand. */
async function startSetOne(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open the session' }).waitFor();
  await holdClock(page);
  await pressKey(page, 'Space');
  await passUntil(page, heading(page, /^Inflate left thigh/));
  await pressKey(page, 'Space');
  await passUntil(page, heading(page, 'Next: set 1'));
  await pressKey(page, 'Space');
  await passUntil(page, reps(page));
}

async function openOdalys(page: Page, link: string): Promise<void> {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, link);
}

test('a stop sign leads at once to the release, which stays until it is done', async ({ page }) => {
  await openOdalys(page, 'Run');
  await startSetOne(page);
  await passUntil(page, reps(page).filter({ hasText: '3 / 30' }));
  await pressKey(page, '.');
  await expect(page.getByRole('dialog', { name: 'Which symptom?' })).toBeVisible();
  await pressKey(page, '1');
  await passUntil(page, heading(page, 'Release now'));
  await expect(page.getByRole('alert').filter({ hasText: 'Deflate at once, sit or lie down' })).toBeVisible();
  await page.clock.runFor(20_000);
  await expect(heading(page, 'Release now')).toBeVisible();
  await pressKey(page, 'Space');
  await passUntil(page, nothingInflated(page));
  await pressKey(page, 'Space');
  await passUntil(page, page.getByText('Stopped: Numb or tingling.'));
  await expect(page.getByRole('cell', { name: '3 of 30', exact: true })).toBeVisible();
});

test('Esc twice stops, once does nothing', async ({ page }) => {
  await openOdalys(page, 'Run');
  await startSetOne(page);
  // From the field of a reading as from anywhere.
  const reading = page.getByLabel('Pressure read, left thigh, mmHg');
  await reading.fill('5oo');
  await reading.press('Enter');
  // What cannot be right stays where it was typed.
  await expect(page.getByRole('alert').filter({ hasText: 'Enter a number.' })).toBeVisible();
  await expect(reading).toHaveValue('5oo');
  await pressKey(page, 'Escape');
  await page.clock.runFor(2_000);
  await pressKey(page, 'Escape');
  await page.clock.runFor(100);
  await expect(reps(page)).toBeVisible();
  await pressKey(page, 'Escape');
  await passUntil(page, heading(page, 'Release now'));
});

test('the occlusion limit alarms at 80 and 100 % in every view, and asks until the cuff is down', async ({
  page,
}) => {
  await openOdalys(page, 'Run');
  await startSetOne(page);
  await pressKey(page, 'g');
  await pressKey(page, 'k');
  await passUntil(page, heading(page, 'Kit and practice'));
  await page.clock.fastForward(8 * 60_000);
  await passUntil(page, dock(page).getByText('Limit is near'));
  await page.clock.fastForward(2 * 60_000);
  await passUntil(page, dock(page).getByText('Deflate now'));
  await dock(page)
    .getByRole('link', { name: /Odalys Ferrant/ })
    .click();
  await passUntil(page, heading(page, 'Deflate now: the limit is reached'));
  await dock(page).getByRole('button', { name: 'Release left thigh' }).click();
  await passUntil(page, nothingInflated(page));
});

test('a page closed with the cuff up comes back to the release question, and to its clock', async ({
  page,
  context,
}) => {
  await openOdalys(page, 'Run');
  await startSetOne(page);
  await passUntil(page, page.getByText('All saved on the server'));
  await page.close();
  const again = await context.newPage();
  await again.clock.resume();
  // Whatever the device takes the time to be: its clock may have been set back meanwhile.
  await again.addInitScript(() => localStorage.setItem('nervato-clock-offset', String(-3_600_000)));
  await again.goto('/');
  const question = again.getByRole('group', { name: 'Is the cuff of Odalys Ferrant still up?' });
  await expect(question).toContainText('occluded');
  await question.getByRole('button', { name: 'Still up, go on' }).click();
  await expect(question).toHaveCount(0);
  await dock(again).getByRole('link', { name: 'Odalys Ferrant, left thigh' }).click();
  await expect(again.getByRole('button', { name: /Release left thigh/ })).toBeVisible();
});

test('whether a cuff is still up is asked of the device that ran it, and of no bystander', async ({
  page,
  browser,
  nervato,
}) => {
  await openOdalys(page, 'Run');
  await page.getByRole('button', { name: 'Open the session' }).click();
  await expect(heading(page, /^Inflate left thigh/)).toBeVisible();
  await pressKey(page, 'Space');
  await expect(heading(page, 'Next: set 1')).toBeVisible();
  await expect(page.getByText('All saved on the server')).toBeVisible();
  const question = (on: Page) => on.getByRole('group', { name: 'Is the cuff of Odalys Ferrant still up?' });
  const bystander = await otherDevice(browser, nervato.address);
  await bystander.goto('/');
  // The cuff is to be seen there, with its clock, and nothing is asked.
  await expect(dock(bystander).getByRole('link', { name: 'Odalys Ferrant, left thigh' })).toBeVisible();
  await expect(question(bystander)).toHaveCount(0);
  await page.reload();
  await question(page).getByRole('button', { name: 'Still up, go on' }).click();
  await expect(question(page)).toHaveCount(0);
  await bystander.context().close();
});

test('of three devices the one that crashed is asked, of its own person alone, and no other device is', async ({
  page,
  browser,
  nervato,
}) => {
  const question = (on: Page) => on.getByRole('group', { name: /^Is the cuff of/ });
  const cuffUp = async (on: Page, person: string) => {
    await on.goto('/');
    await openSession(on, person);
    await pressKey(on, 'Space');
    await expect(dock(on).getByRole('link', { name: new RegExp(person) })).toBeVisible();
    await expect(on.getByText('All saved on the server')).toBeVisible();
  };
  const bystander = await otherDevice(browser, nervato.address);
  await bystander.goto('/');
  const crashing = await otherDevice(browser, nervato.address, 'tobias');
  await cuffUp(page, 'Odalys Ferrant');
  await cuffUp(crashing, 'Magnus Fairweather');
  const context = crashing.context();
  await crashing.close();
  const again = await context.newPage();
  await again.goto(nervato.address);
  await expect(question(again)).toHaveCount(1);
  await expect(question(again)).toContainText('Magnus Fairweather');
  // Both cuffs are seen by all three, and nothing is asked of the two who saw no page end.
  for (const on of [page, bystander]) {
    await expect(dock(on)).toContainText('Magnus Fairweather');
    await expect(dock(on)).toContainText('Odalys Ferrant');
    await expect(question(on)).toHaveCount(0);
  }
  // What is answered there ends no other's cuff.
  await question(again).getByRole('button', { name: 'It is down now' }).click();
  await expect(question(again)).toHaveCount(0);
  await expect(dock(page)).not.toContainText('Magnus Fairweather');
  await expect(dock(page)).toContainText('Odalys Ferrant');
  await bystander.context().close();
  await context.close();
});

test('the release protocol asks for the cuff down in each rest and up again before the set', async ({
  page,
}) => {
  await openOdalys(page, 'Prescribe');
  await pick(page.getByLabel('Protocol'), 'Release 75, released each rest');
  await page.getByRole('button', { name: /^Sign as/ }).click();
  await startSetOne(page);
  await passUntil(page, heading(page, 'Rest: let the cuff down'));
  await pressKey(page, 'Space');
  await passUntil(page, nothingInflated(page));
  await passUntil(page, heading(page, /Rest, cuff down. Set 2 is next/));
  await passUntil(page, heading(page, /^Inflate left thigh/));
  await pressKey(page, 'Space');
  await passUntil(page, reps(page).filter({ hasText: '/ 15' }));
});

test('two tabs watch one session, and what one does the other shows', async ({ page, context }) => {
  await openOdalys(page, 'Run');
  await startSetOne(page);
  await passUntil(page, page.getByText('All saved on the server'));
  const other = await context.newPage();
  await other.goto(page.url());
  await passUntil(other, reps(other));
  // A G that was pressed by a slip goes nowhere with R, and takes no release away.
  await pressKey(other, 'g');
  await pressKey(other, 'r');
  await passUntil(other, nothingInflated(other));
  await passUntil(page, nothingInflated(page));
});

test('a red sign holds the person, and it cannot be lifted on the same day', async ({ page }) => {
  await openOdalys(page, 'Run');
  await startSetOne(page);
  await pressKey(page, '.');
  await page.getByRole('button', { name: /^Chest pain/ }).click();
  await passUntil(page, heading(page, 'Release now'));
  await pressKey(page, 'Space');
  await passUntil(page, nothingInflated(page));
  await pressKey(page, 'Space');
  await passUntil(page, page.getByText('Stopped: Chest pain.'));
  await passUntil(page, page.getByText('All saved on the server'));
  await page.clock.resume();
  await page.getByRole('link', { name: 'Odalys Ferrant' }).last().click();
  await expect(
    page.getByText(/^Chest pain in the last session: until a clinician lifts it/).first(),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Open the session' })).toHaveCount(0);
  const holds = page.getByRole('region', { name: 'Holds' });
  const NOT_WHY = /^(?!why)/;
  await chooseLink(page, 'Screen');
  await workAs(page, 'tobias');
  await expect(holds).toContainText('Chest pain');
  await expect(holds.getByRole('button', { name: NOT_WHY })).toHaveCount(0);
  await workAs(page, 'ines');
  await expect(holds.getByText(/not lifted before the next/)).toBeVisible();
  await expect(holds.getByRole('button', { name: NOT_WHY })).toHaveCount(0);
});

test('blood pressure is taken before the cuff, one above the practice’s limit stops, and effort is said as repetitions left', async ({
  page,
}) => {
  await page.goto('/kit');
  await page.getByText('repetitions left', { exact: true }).click();
  await expect(page.getByRole('radio', { name: 'repetitions left' })).toBeChecked();
  await page.getByLabel('Work ends above, upper').fill('200');
  await page.getByRole('button', { name: 'Save the blood pressure limit' }).click();
  await expect(page.getByRole('button', { name: 'Save the blood pressure limit' })).toHaveCount(0);

  await openOdalys(page, 'Run');
  await page.getByRole('button', { name: 'Open the session' }).click();
  const taken = page.getByText(/^Blood pressure/);
  const note = async (moment: string, upper: string) => {
    await page.getByLabel(`${moment}, upper`).fill(upper);
    await page.getByLabel(`${moment}, lower`).fill('84');
    await page.getByRole('button', { name: 'Note it' }).click();
  };
  await taken.click();
  await note('Before', '201');
  await expect(page.getByRole('alert').filter({ hasText: 'Blood pressure 201/84' })).toBeVisible();
  await expect(taken).toContainText('before 201/84');
});
