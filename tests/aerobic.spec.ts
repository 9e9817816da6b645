import { choose, chooseLink, draftWith, expect, openPerson, pick, test } from './nervato';

test('a test on the bike makes watts and a zone of heart rate of a share of VO2max: in Prescribe, on paper and at the bike', async ({
  page,
}) => {
  await page.goto('/');
  const exercises = page.getByRole('list', { name: 'Exercises in order' });
  await test.step('without a test it is said what is missing', async () => {
    await openPerson(page, 'Odalys Ferrant');
    await chooseLink(page, 'Prescribe');
    await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
    await expect(exercises).toContainText('tempo 1–0–1');
    await draftWith(page, 'Goal', 'Aerobic');
    await choose(page, 'Intensity', 'by share of VO2max');
    await expect(page.getByText('No VO2max is on record: record it in Outcomes')).toBeVisible();
  });

  await test.step('the test is recorded with its watts and its heart rate', async () => {
    await page.getByRole('link', { name: 'Outcomes' }).last().click();
    const form = page.getByRole('form', { name: 'Take a measure' });
    const take = async (measure: string, figure: string, more: Record<string, string> = {}) => {
      await pick(form.getByLabel('Measure', { exact: true }), measure);
      for (const [label, value] of Object.entries(more))
        await form.getByLabel(label, { exact: true }).fill(value);
      await form.getByLabel(/^Figure 1/).fill(figure);
      await form.getByRole('button', { name: 'Save' }).click();
      await expect(form.getByLabel(/^Figure 1/)).toHaveValue('');
    };
    await take('VO2max', '30', { Protocol: 'Ramp on the bike', Power: '150', 'Heart rate': '160' });
    await take('Resting heart rate', '66');
    await page.getByRole('button', { name: /^VO2max, Ramp on the bike/ }).click();
    await expect(page.getByText('At the end of the last test: 150 W, 160 beats a minute.')).toBeVisible();
  });

  await test.step('the plan says what it comes to, with its working', async () => {
    await chooseLink(page, 'Prescribe');
    await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
    // (12 − 7) ÷ (30 − 7) × 150 = 32.6 W; 94 beats over 26.5 ml from 3.5.
    await expect(exercises).toContainText('40 % of VO2max, about 30 W, 90–101 beats a minute');
    await page.getByRole('button', { name: /^About, on the bike/ }).click();
    await expect(page.getByText('32.6 W, rounded down to 30 W')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Name, days' }).click();
    await page.getByLabel('Called').fill('Rides');
    await page.getByRole('button', { name: /^Sign as/ }).click();
  });

  await test.step('so does the sheet, and the session', async () => {
    const plans = page.getByRole('list', { name: 'Plans' });
    await plans.getByText('Rides').click();
    await page.getByRole('link', { name: 'Sheet to fill in' }).click();
    await expect(
      page.getByRole('paragraph').filter({ hasText: 'about 30 W, 90–101 beats a minute' }),
    ).toBeVisible();
  });
});
