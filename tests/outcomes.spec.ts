import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { fold, readSessionFile } from '#core/session';
import { chooseLink, expect, inDemonstration, openPerson, pick, pressKey, test } from './nervato';
import { Weeks } from './weeks';

const openTab = (page: Page, what: 'Outcomes' | 'Log') =>
  page
    .getByRole('navigation', { name: 'Chain' })
    .getByRole('link', { name: new RegExp(`^${what}`) })
    .click();

/** Two figures typed and kept by Enter, as with a tape in the other hand. */
async function take(page: Page, figures: number[], unit = 'cm'): Promise<void> {
  for (const [place, figure] of figures.entries()) {
    await page.getByLabel(`Figure ${place + 1}, ${unit}`).fill(String(figure));
  }
  await pressKey(page, 'Enter');
  await expect(page.getByLabel(`Figure 1, ${unit}`)).toHaveValue('');
}

inDemonstration('a woman of 78, from baseline to report over eight weeks', async ({ page }) => {
  await page.goto('/');
  const weeks = await Weeks.of(page, 'Lavinia Oakhurst');
  await inDemonstration.step(
    'her birth date says her age, and a draft keeps to what that allows',
    async () => {
      await openPerson(page, 'Lavinia Oakhurst');
      await page.getByRole('button', { name: 'About' }).click();
      await page.getByLabel('Birth date', { exact: true }).fill('4 May 1948');
      await page.getByRole('button', { name: 'Save', exact: true }).click();
      await chooseLink(page, 'Prescribe');
      await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
      await expect(page.getByText(/From 65 years on: at most 75 repetitions/)).toBeVisible();
      await page.goto('/');
    },
  );
  await inDemonstration.step('a block from tomorrow, and the thighs measured before it', async () => {
    await openPerson(page, 'Lavinia Oakhurst');
    await chooseLink(page, 'Prescribe');
    await page.getByRole('radio', { name: 'A block of weeks' }).click();
    await pick(page.getByLabel('Start from'), 'Eight weeks of size');
    await page.getByLabel('Starts on', { exact: true }).fill(await weeks.tomorrow());
    await page.getByRole('button', { name: 'Keep the block' }).click();
    await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
    await openTab(page, 'Outcomes');
    await pick(page.getByLabel('Measure', { exact: true }), 'Calf girth');
    await take(page, [37.1, 37.3]);
    // The other side is next by itself.
    await expect(page.getByRole('radio', { name: 'Right thigh' })).toBeChecked();
    await take(page, [38, 38.2]);
    await expect(page.getByRole('list', { name: 'What changed' })).toContainText('Taken once');
  });

  await inDemonstration.step('midway it is due again', async () => {
    await weeks.live(29, async () => ({ comes: true, effort: 7, jointPain: 0 }));
    await openPerson(page, 'Lavinia Oakhurst');
    await openTab(page, 'Outcomes');
    const due = page.getByRole('region', { name: 'Due' });
    await expect(due).toContainText('midway');
    await due.getByRole('button', { name: 'Calf girth, left thigh' }).click();
    await take(page, [38.9, 38.9]);
    await expect(due.getByRole('button', { name: 'Calf girth, left thigh' })).toHaveCount(0);
  });

  await inDemonstration.step('after the block: real, in words first, and side against side', async () => {
    await weeks.liveTheBlock(async () => ({ comes: true, effort: 7, jointPain: 0 }));
    await weeks.live(4, async () => ({ comes: false, effort: 7, jointPain: 0 }));
    await openPerson(page, 'Lavinia Oakhurst');
    await openTab(page, 'Outcomes');
    await expect(page.getByRole('region', { name: 'Due' })).toContainText('after the block');
    await page
      .getByRole('region', { name: 'Due' })
      .getByRole('button', { name: 'Calf girth, left thigh' })
      .click();
    await take(page, [39.4, 39.6]);
    await take(page, [38.1, 38.1]);
    const line = page.getByRole('button', { name: /Real gain Calf girth, left thigh/ });
    await expect(line).toContainText('in 100 that it is better');
    await line.click();
    await expect(page.getByRole('img', { name: /Calf girth, left thigh.*Weeks:/ })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Symmetry' })).toContainText(/Calf girth.*Right is less/);
  });

  await inDemonstration.step('a figure that does not count goes with its reason, and stays', async () => {
    await page.getByText(/^All that was taken here/).click();
    await page.getByRole('button', { name: 'It does not count' }).first().click();
    await page.getByLabel('Why it does not count').fill('Taken over the trousers');
    await page.getByRole('button', { name: 'Take it out' }).click();
    await expect(page.getByText('Does not count: Taken over the trousers')).toBeVisible();
  });

  await inDemonstration.step('the report is issued, and says the same afterwards', async () => {
    await page.getByRole('link', { name: /^Report for them/ }).click();
    await page.getByLabel('Your own words, and the recipient').fill('For Dr Pellwright');
    const report = page.getByRole('article');
    await expect(report.getByText(/thigh \d+( → \d+)? mmHg/).first()).toBeVisible();
    await expect(report.getByRole('heading', { name: 'Medicines and limits' })).toHaveCount(0);
    await page.getByText('Medicines and limits', { exact: true }).click();
    await expect(report.getByText('Over 65')).toBeVisible();
    await page.getByRole('button', { name: 'Issue it as it is' }).click();
    await expect(page.getByText(/^Issued /)).toBeVisible();
    await expect(page.getByRole('article')).toContainText('For Dr Pellwright');
    await expect(page.getByRole('article')).toContainText(/\d+ in \d+ weeks/);
    await page.reload();
    await page.getByLabel('Report').click();
    await page.getByRole('option').nth(1).click();
    await expect(page.getByRole('article')).toContainText('For Dr Pellwright');
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as PDF' }).click();
    const pdf = readFileSync(await (await saved).path());
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.length).toBeGreaterThan(10_000);
  });
});

test('the person answers on a screen that is handed over, and nothing else can be reached', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await openTab(page, 'Outcomes');
  await pick(page.getByLabel('Measure', { exact: true }), 'First activity of their own');
  await page.getByRole('button', { name: 'Hand the screen over and ask' }).click();
  await expect(page.getByText('say it, so that next time is the same')).toBeVisible();
  await page.getByLabel('The activity').fill('Carrying two pots of paint up to the lamp');
  await page.getByRole('button', { name: 'Hand the screen over and ask' }).click();
  const asked = page.getByRole('dialog', { name: 'Carrying two pots of paint up to the lamp' });
  await expect(asked).toContainText('How well can you do it today?');
  await expect(page.getByRole('navigation', { name: 'People' })).toHaveCount(0);
  await asked.getByRole('button', { name: '8', exact: true }).click();
  await expect(page.getByRole('list', { name: 'What changed' })).toContainText('3 → 8');
});

test('a practice describes its own measure, takes it, and compares with the cuff against without', async ({
  page,
}) => {
  await page.goto('/measures');
  await expect(page.getByRole('list', { name: 'Measures' })).toContainText(
    'Minutes of playing without an ache',
  );
  await page.getByRole('button', { name: 'Add a measure' }).click();
  const form = page.getByRole('form', { name: 'Add a measure' });
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toContainText('Give the measure a name.');
  await form.getByLabel('Name').fill('Hop for distance');
  await form.getByLabel('Counted in').fill('cm');
  await form.getByLabel('How it is taken, in one line').fill('The better of two, landed and held.');
  await form.getByRole('radio', { name: 'legs' }).click();
  await form.getByRole('radio', { name: 'the best' }).click();
  await form.getByLabel('Highest').fill('250');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('list', { name: 'Measures' })).toContainText(
    'Hop for distance the practice’s own',
  );

  await openPerson(page, 'Gideon Ashgrove');
  await openTab(page, 'Outcomes');
  await pick(page.getByLabel('Measure', { exact: true }), 'Hop for distance');
  await take(page, [120, 126.5]);
  await expect(page.getByRole('list', { name: 'What changed' })).toContainText(
    'Hop for distance, left thigh',
  );

  const compared = page.getByRole('region', { name: 'Compared in this person' });
  await compared.getByRole('button', { name: 'Begin a comparison' }).click();
  await pick(compared.getByLabel('Measure'), 'Hop for distance');
  await compared.getByLabel('Weeks').fill('2');
  await compared.getByRole('button', { name: 'Draw and begin' }).click();
  await expect(compared).toContainText('At least four.');
  await compared.getByLabel('Weeks').fill('6');
  await compared.getByRole('button', { name: 'Draw and begin' }).click();
  await expect(compared).toContainText(/(Left|Right) thigh with the cuff, (right|left) thigh without/);
  await expect(compared).toContainText(/left thigh: 126\.5 cm/);
  await expect(page.getByText(/^Compared: .* with the cuff/)).toBeVisible();
  await compared.getByRole('button', { name: 'End it early' }).click();
  await compared.getByLabel('Why it ends').fill('He moves to the coast');
  await compared.getByRole('button', { name: 'End it', exact: true }).click();
  await expect(compared).toContainText('Ended: He moves to the coast');
  await expect(page.getByText(/^Compared: .* with the cuff/)).toHaveCount(0);
});

test('the log has every session, adds up by limb and muscle, finds, and a set opens its place', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Rufus Tarnholm');
  await openTab(page, 'Log');
  const inAll = page.getByRole('region', { name: 'In all' });
  await expect(inAll).toContainText('675 of 675');
  await inAll.getByText('By limb and muscle').click();
  await expect(inAll.getByRole('row', { name: /^Left thigh 24/ })).toBeVisible();
  await pick(page.getByLabel('Limb'), 'right thigh');
  await page.getByRole('searchbox', { name: 'Exercise or plan' }).fill('nothing like it');
  await expect(page.getByText('No session fits.')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Exercise or plan' }).fill('press');
  await page.getByRole('link', { name: '30', exact: true }).first().click();
  await expect(page).toHaveURL(/sessions\/.*\?at=\d+/);
  await expect(page.getByRole('region', { name: 'Adverse events' })).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const file = readSessionFile(readFileSync(await (await saved).path(), 'utf8'));
  expect(fold(file.plan, file.events).finishedAtMs).not.toBeNull();
});

test('what went wrong is written down from its session, and counted without a name', async ({ page }) => {
  await page.goto('/');
  await openPerson(page, 'Nerys Coldbrook');
  await openTab(page, 'Outcomes');
  await expect(page.getByRole('region', { name: 'Adverse events' })).toContainText('A bruise of 6 cm');
  await page.getByRole('link', { name: 'The practice', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Who needs attention' })).toContainText('Ivo Brackenridge');
  await page.getByRole('link', { name: 'How safe it was' }).click();
  await expect(page.getByText(/1 adverse event on record/)).toBeVisible();
  const all = page.getByRole('row', { name: /^All / });
  await expect(all).toBeVisible();
  await page.getByRole('radio', { name: '%LOP' }).click();
  await expect(page.getByRole('row', { name: /^50–59 %/ })).toBeVisible();
  await page.getByRole('link', { name: 'Responders' }).click();
  await expect(page.getByText(/with a real\s+gain/)).toBeVisible();
  await expect(page.getByRole('main').getByRole('link', { name: 'Magnus Fairweather' })).toHaveCount(1);
  await pressKey(page, 'n');
  await expect(page.getByRole('main').getByRole('link', { name: 'Magnus Fairweather' })).toHaveCount(0);
});
