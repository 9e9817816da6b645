import type { Locator, Page } from '@playwright/test';
import { chooseLink, daysPass, draftWith, expect, inDemonstration, openPerson, pick, test } from './nervato';

/** Opens the entry of a session done on paper; the day and the time are filled in. */
async function enter(page: Page, name: string, plan?: string): Promise<Locator> {
  await page.goto('/');
  await openPerson(page, name);
  await chooseLink(page, 'Run');
  if (plan !== undefined) {
    const plans = page.getByRole('list', { name: 'Plans' });
    if (await plans.isVisible()) await plans.getByRole('button', { name: plan }).click();
  }
  await page.getByRole('button', { name: /^Enter a session of/ }).click();
  const form = page.locator('form').filter({ hasText: 'done on paper or elsewhere' });
  await expect(form.getByLabel('It began on', { exact: true })).not.toHaveValue('');
  await expect(form.getByLabel('At', { exact: true })).not.toHaveValue('');
  return form;
}

const keep = async (page: Page, form: Locator): Promise<void> => {
  await form.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByText(/Entered later/)).toBeVisible();
};

test('a session on paper is entered in every mode as its sheet asks: what was read is kept, what was not stays unknown', async ({
  page,
}) => {
  await test.step('counted work under a cuff: pressure, colour, the check of the day, blood pressure', async () => {
    const form = await enter(page, 'Alvar Pendlebury');
    await form.getByLabel('Repetitions, set 1').fill('30');
    await form.getByLabel('Read, set 1').fill('100');
    await form.getByLabel('Colour good').first().getByText('Yes').click();
    await form.getByLabel('Repetitions, set 2').fill('13');
    await form.getByLabel('Before', { exact: true }).fill('128');
    await form.getByRole('button', { name: 'Enter it' }).click();
    await expect(form.getByText('Write it as 124/78.')).toBeVisible();
    await form.getByLabel('Before', { exact: true }).fill('128/80');
    await form.getByText('Well today').click();
    await form.getByLabel('Pain now 0–10').fill('2');
    await form.getByRole('button', { name: 'Enter it' }).click();
    await expect(form.getByText(/^Answer all the questions of the day/)).toBeVisible();
    await form.getByLabel('Pain now 0–10').fill('');
    await keep(page, form);
    await expect(page.getByText('Blood pressure, before: 128/80 mmHg.')).toBeVisible();
    await expect(page.getByText('rests are the plan’s, and what was not read is not known')).toBeVisible();
  });

  await test.step('aerobic work of two limbs: minutes and seconds, watts, heart rate, each limb by itself', async () => {
    const form = await enter(page, 'Ingrith Solveigson');
    await form.getByLabel('Done, set 1').fill('4:30');
    await form.getByLabel('Power, set 1').fill('95');
    await form.getByLabel('Pulse, end, set 1').fill('118');
    await form.getByLabel('Read, left thigh, set 1').fill('84');
    await keep(page, form);
    await expect(page.getByText('Machine, set 1: 95 W.')).toBeVisible();
    await expect(page.getByText('Heart rate, set 1, at the end: 118.')).toBeVisible();
    // Of the limb that was not read there is time, and no pressure.
    await expect(page.getByRole('row', { name: 'Right thigh 4:50 4:50 – –' })).toBeVisible();
  });

  await test.step('a strap by its mark', async () => {
    const form = await enter(page, 'Leocadia Brandt');
    await expect(form.getByLabel('Read, set 1')).toHaveCount(0);
    await form.getByLabel('Repetitions, set 1').first().fill('30');
    await form
      .getByLabel(/^Mark.*, set 1$/)
      .first()
      .fill('5');
    await keep(page, form);
  });

  await test.step('the sheet has the columns of the entry, in their order', async () => {
    await page.goto('/');
    await openPerson(page, 'Ingrith Solveigson');
    await chooseLink(page, 'Run');
    await page.getByRole('link', { name: 'Sheet to fill in' }).click();
    const heads = page.getByRole('table').getByRole('columnheader');
    await expect(heads).toHaveText([
      'Set',
      'Planned',
      'Done, min:s',
      'Power, W',
      'Pulse, minute 5, /min',
      'Pulse, end, /min',
      'Effort',
      'Read, left thigh, mmHg',
      'Read, right thigh, mmHg',
      'Colour good',
    ]);
  });
});

inDemonstration(
  'what is done at rest and without a LOP is entered by the clock, as its sheet asks',
  async ({ page }) => {
    /** A new plan for a goal, as it is drafted. */
    const signNew = async (name: string, goal: string) => {
      await page.goto('/');
      await openPerson(page, name);
      await chooseLink(page, 'Prescribe');
      await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
      await expect(page.getByRole('button', { name: 'Name, days', exact: true })).toBeVisible();
      await draftWith(page, 'Goal', goal);
      await page.getByRole('button', { name: /^Sign as/ }).click();
      await expect(page.getByRole('list', { name: 'Plans' })).toBeVisible();
    };

    await inDemonstration.step('passive: minutes of each time up, and the pressure held', async () => {
      await signNew('Odalys Ferrant', 'Passive');
      // Paper is typed in after the plan was signed.
      await daysPass(page, 1);
      const form = await enter(page, 'Odalys Ferrant', 'passive');
      for (const [set, done] of [
        ['1', '5:00'],
        ['2', '4:10'],
      ] as const)
        await form.getByLabel(`Done, set ${set}`).fill(done);
      await form.getByLabel('Read, set 1').fill('118');
      await expect(form.getByLabel(/Repetitions/)).toHaveCount(0);
      await keep(page, form);
      // The third time was left empty: it was not done.
      const sets = page.getByRole('table').filter({ hasText: 'Lasted' }).getByRole('row');
      await expect(sets).toHaveCount(3);
      await expect(sets.nth(2)).toContainText('4:10');
    });

    await inDemonstration.step('cycles: those that were done, however many were planned', async () => {
      const form = await enter(page, 'Brisa Okonvale', 'cycles');
      for (const set of [1, 2, 3]) await form.getByLabel(`Done, set ${set}`).fill('0:30');
      await keep(page, form);
      const sets = page.getByRole('table').filter({ hasText: 'Lasted' }).getByRole('row');
      await expect(sets).toHaveCount(4);
    });

    await inDemonstration.step(
      'a walk without a LOP: speed and gradient, and what the gauge showed',
      async () => {
        const form = await enter(page, 'Odran Fellweather');
        await form.getByLabel('Done, set 1').fill('6:00');
        await form.getByLabel('Speed, set 1').fill('4,2');
        await form.getByLabel('Gradient, set 1').fill('2');
        await form.getByLabel('Read, left thigh, set 1').fill('130');
        await keep(page, form);
        await expect(page.getByText('Machine, set 1: 4.2 km/h, 2 %.')).toBeVisible();
      },
    );
  },
);
