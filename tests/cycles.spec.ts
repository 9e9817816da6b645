import {
  acceptReviewIfAsked,
  checkOnTheDayIfAsked,
  chooseLink,
  draftWith,
  expect,
  openPerson,
  pick,
  pressKey,
  test,
} from './nervato';

test('cycles of the cuff are found by an everyday word, composed, run by the pump from one press, and counted in the day', async ({
  page,
}) => {
  await page.goto('/');
  await test.step('found and composed', async () => {
    await expect(page.getByText('Who can train now')).toBeVisible();
    await pressKey(page, 'Control+K');
    await page.getByPlaceholder('A person or an action').fill('Odalys on and off');
    await page.getByText('Odalys Ferrant: new plan, cuff cycles').click();
    await expect(page.getByRole('slider', { name: 'Cycle 1, share of the target' })).toHaveAttribute(
      'aria-valuetext',
      '60 %, 50 mmHg',
    );
    await page.getByLabel('Cycles', { exact: true }).fill('2');
    await page.getByLabel('On', { exact: true }).fill('10');
    await page.getByLabel('Off', { exact: true }).fill('5');
    const first = page.getByRole('slider', { name: 'Cycle 1, share of the target' });
    await first.press('ArrowUp');
    await expect(first).toHaveAttribute('aria-valuenow', '65');
    await expect(page.getByText('A new plan: Left thigh, cycles, any day')).toBeVisible();
    // Another wish drafts again, and what was made by hand can be had back.
    await draftWith(page, 'Goal', 'Size');
    await expect(page.getByText('A new plan: Left thigh, any day')).toBeVisible();
    await page.getByRole('button', { name: 'Take your own changes back' }).click();
    await expect(first).toHaveAttribute('aria-valuenow', '65');
    await page.getByRole('button', { name: /^Sign as/ }).click();
  });
  await test.step('run by the pump: one press to begin', async () => {
    await checkOnTheDayIfAsked(page);
    await expect(
      page.getByText('Left thigh: 0 min under the cuff today, 1 of 60 min with this.'),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Open the session' }).click();
    await page.getByText('Pump', { exact: true }).first().click();
    await pick(page.getByLabel('Pump'), 'simulated regulated pump');
    await expect(page.getByText('It reports')).toBeVisible();
    await pressKey(page, 'Space');
    const dock = page.getByRole('region', { name: 'Cuff dock' });
    await expect(dock.getByText('86 mmHg')).toBeVisible();
    await expect(page.getByText(/See colour return/)).toBeVisible();
  });
  await test.step('counted in the day', async () => {
    await pressKey(page, 'Space');
    await openPerson(page, 'Odalys Ferrant');
    await chooseLink(page, 'Run');
    const cycles = page.getByRole('list', { name: 'Plans' }).getByRole('button', { name: /cycles/ });
    await expect(cycles).toContainText('Done today');
    await cycles.click();
    // What is beneath is of this plan from then on.
    await expect(cycles).toHaveAttribute('aria-pressed', 'true');
    await acceptReviewIfAsked(page);
    await expect(
      page.getByText('Left thigh: 1 min under the cuff today, 1 of 60 min with this.'),
    ).toBeVisible();
  });
  await test.step('and the training itself after it', async () => {
    await page
      .getByRole('list', { name: 'Plans' })
      .getByRole('button', { name: /Left thigh(?!, cycles)/ })
      .click();
    await acceptReviewIfAsked(page);
    await page.getByRole('button', { name: 'Open the session' }).click();
    await expect(page.getByRole('heading', { name: /^Inflate left thigh to 86 mmHg/ })).toBeVisible();
  });
});
