import {
  acceptReviewIfAsked,
  chooseLink,
  expect,
  openPerson,
  pick,
  pressKey,
  screenAsClear,
  test,
  workAs,
} from './nervato';

test('a screening finds an item, a clinician clears it with a cap, and the cap is obeyed', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Screen');

  await test.step('what was yes last time is shown, and a new item needs a clearance', async () => {
    await page.getByRole('button', { name: 'Health has changed: screen again' }).click();
    await expect(page.getByText('on record', { exact: true })).toBeVisible();
    const diabetes = page.getByRole('radiogroup', { name: 'Diabetes', exact: true });
    await diabetes.getByRole('radio', { name: 'Yes' }).click();
    await pressKey(page, 'Shift+N');
    for (const reading of ['First', 'Second']) {
      await page.getByLabel(`${reading}, upper`).fill('126');
      await page.getByLabel(`${reading}, lower`).fill('80');
    }
    await expect(page.getByText('Needs clearance', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Record the screening' }).click();
    await expect(page.getByText(/New: Diabetes. No longer: Varicose veins/)).toBeVisible();
    await expect(page.getByRole('navigation', { name: 'Chain' })).toContainText('needs clearance');
  });

  await test.step('a coach cannot clear it', async () => {
    await workAs(page, 'tobias');
    await expect(page.getByText('Only a clinician records a clearance.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Record a clearance' })).toHaveCount(0);
  });

  await test.step('a clinician can, with a cap', async () => {
    await workAs(page, 'ines');
    const begin = page.getByRole('button', { name: 'Record a clearance' });
    await begin.click();
    await page.getByLabel('Given by').press('Escape');
    await begin.click();
    await page.getByRole('button', { name: 'Record the clearance' }).click();
    await expect(page.getByText('Say who gave it.')).toBeVisible();
    await page.getByLabel('Given by').fill('Dr Wren Halloway');
    await page.getByLabel('At most').fill('45,5');
    await page.getByRole('button', { name: 'Record the clearance' }).click();
    await expect(page.getByText('Enter a whole number.')).toBeVisible();
    await page.getByLabel('At most').fill('45');
    await page.getByRole('button', { name: 'Record the clearance' }).click();
    await expect(page.getByText('Start with limits', { exact: true }).first()).toBeVisible();
  });

  await test.step('the cap is obeyed where pressure is prescribed', async () => {
    await chooseLink(page, 'Prescribe');
    await expect(page.getByLabel('Pressure', { exact: true })).toHaveValue('45');
    await expect(page.getByText(/^Dr Wren Halloway: to 45 % of LOP\./)).toBeVisible();
    await page.getByLabel('Pressure', { exact: true }).fill('50');
    await expect(
      page.getByRole('alert').filter({ hasText: /50 % is above the 45 % .* Dr Wren Halloway has cleared/ }),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: /^Sign as/ })).toBeDisabled();
  });
});

test('the check on the day takes three keys, and holds the session when something is wrong', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Screen');
  await page.getByRole('button', { name: 'Check again' }).click();
  await page.getByRole('button', { name: 'All well' }).click();
  await page.getByRole('radiogroup', { name: 'No fever' }).getByRole('radio', { name: 'No' }).click();
  await pressKey(page, '2');
  await expect(page.getByText('Fever.')).toBeVisible();
  await pressKey(page, 'Enter');
  await chooseLink(page, 'Run');
  await expect(page.getByText('Fever: not today.').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Open the session' })).toHaveCount(0);
});

test('kit in pounds and inches: a new cuff is ranked, and a strap goes by feel', async ({ page }) => {
  await page.goto('/kit');
  await test.step('units and a new cuff', async () => {
    await page.getByRole('radio', { name: 'in', exact: true }).click();
    const cuffs = page.getByRole('region', { name: 'Cuffs' });
    await cuffs.getByRole('button', { name: 'Add a cuff' }).click();
    await cuffs.getByLabel('Name').fill('Thigh extra large');
    await pick(cuffs.getByLabel('For', { exact: true }), 'thigh');
    await cuffs.getByLabel('Bladder width').fill('5');
    await cuffs.getByLabel('Girth from').fill('26');
    await cuffs.getByRole('button', { name: 'Save' }).click();
    await expect(cuffs.getByText('Enter a number.').first()).toBeVisible();
    await expect(cuffs.getByLabel('Name')).toHaveValue('Thigh extra large');
    await cuffs.getByLabel('Girth to').fill('34');
    await cuffs.getByLabel('Highest pressure').fill('300');
    await cuffs.getByRole('button', { name: 'Save' }).click();
    const added = cuffs.getByRole('row', { name: /^Thigh extra large/ });
    await expect(added).toBeVisible();
    await added.getByRole('button', { name: 'Retire Thigh extra large' }).filter({ visible: true }).click();
    await expect(added).toHaveCount(0);
    await expect(page.getByText('Thigh extra large is no longer in use.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(added).toBeVisible();
  });
  await test.step('a stranger is screened and gets it', async () => {
    await page.getByRole('link', { name: 'Add a person' }).first().click();
    // The kit stays until its page is there, and has names of its own.
    await expect(page.getByRole('heading', { name: 'Add a person' })).toBeVisible();
    await page.getByLabel('Name').fill('Perrin Oakhollow');
    await pressKey(page, 'Enter');
    await screenAsClear(page);
    await chooseLink(page, 'Fit');
    await page.getByLabel('Girth of the left thigh').fill('30');
    await expect(page.getByRole('radio', { name: /Thigh extra large/ })).toBeEnabled();
    await page.getByLabel('Girth of the left thigh').fill('42');
    await expect(page.getByText(/one is needed whose range includes 42 in/)).toBeVisible();
    await page.getByLabel('Girth of the left thigh').fill('22');
  });
  await test.step('by feel only, and said so', async () => {
    await page.getByRole('radio', { name: /Marked thigh strap/ }).check();
    await page.getByRole('button', { name: 'Record girth and strap' }).click();
    await page.getByLabel('Mark at the buckle').fill('5');
    await page.getByRole('button', { name: '8', exact: true }).click();
    await page.getByRole('radiogroup', { name: 'Colour good' }).getByRole('radio', { name: 'Yes' }).click();
    await page.getByRole('radiogroup', { name: 'No tingling' }).getByRole('radio', { name: 'Yes' }).click();
    await expect(page.getByText(/Felt 8 of 10 is tighter than 7/)).toBeVisible();
    await page.getByRole('button', { name: '7', exact: true }).click();
    await page.getByRole('button', { name: 'Record mark and feel' }).click();
    await expect(page.getByRole('navigation', { name: 'Chain' })).toContainText('felt 7 of 10');
    await expect(page.getByRole('navigation', { name: 'Chain' })).not.toContainText('%');
  });
});

test('the practice bench sets a case, hides the truth, and scores it', async ({ page }) => {
  await page.goto('/practise');
  await page.getByRole('button', { name: 'Start a case' }).click();
  // Whether its gauge is off is drawn by lot.
  await page.getByRole('button', { name: 'Gauge is not at zero' }).click();
  await expect(page.getByTestId('practise-pressure')).toBeVisible();
  for (let press = 0; press < 12; press += 1) await pressKey(page, '+');
  await expect(page.getByTestId('practise-pressure')).toContainText('120');
  await page.getByRole('button', { name: 'The person is talking' }).click();
  await expect(page.getByRole('button', { name: 'Ask for quiet: done' })).toBeDisabled();
  await page.getByLabel('I state the occlusion pressure as').fill('150');
  await pressKey(page, 'Enter');
  await expect(page.getByText('of 100 points')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Points:/ })).toBeVisible();
  await page.getByRole('button', { name: 'Another case' }).click();
  await expect(page.getByRole('button', { name: 'Done: score me' })).toBeDisabled();
});

test('a session is run on a simulated person by keys, and scored by what was done', async ({ page }) => {
  await page.goto('/practise');
  await page.getByRole('button', { name: 'Start a session' }).click();
  await expect(page.getByTestId('session-pressure')).toBeVisible();
  for (let press = 0; press < 10; press += 1) await pressKey(page, '+');
  await expect(page.getByTestId('session-pressure')).toContainText(/^(49|50)/);
  await pressKey(page, 'Space');
  await expect(page.getByText(/repetitions, set 1$/)).toBeVisible();
  await pressKey(page, 'Escape');
  await expect(page.getByRole('button', { name: 'Begin set 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Finish: score me' }).click();
  await expect(page.getByText('stopped without a symptom to stop for')).toBeVisible();
  await page.getByRole('button', { name: 'Something else' }).click();
  await expect(page.getByRole('figure').filter({ hasText: 'Sessions' }).getByRole('img')).toBeVisible();
});

test('who slept badly is offered a lighter version for today, which is what opens', { tag: '@days' }, async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await pressKey(page, 'g');
  await pressKey(page, 's');
  // In a demonstration she was checked today; anywhere else she is asked.
  const again = page.getByRole('button', { name: 'Check again' });
  const check = page.getByRole('region', { name: 'Check on the day' });
  await expect(again.or(check)).toBeVisible();
  if (await again.isVisible()) await again.click();
  await pressKey(page, 'w');
  await check
    .getByRole('radiogroup', { name: 'Slept and hydrated' })
    .getByRole('radio', { name: 'No' })
    .click();
  await pressKey(page, '1');
  await pressKey(page, 'Enter');
  await pressKey(page, 'g');
  await pressKey(page, 'r');
  await acceptReviewIfAsked(page);
  const lighter = page.getByRole('region', { name: 'Lighter today' });
  await expect(lighter.getByRole('radio', { name: 'Ten points less' })).toBeChecked();
  await lighter.getByRole('radio', { name: 'One set fewer' }).check({ force: true });
  await page.getByRole('button', { name: 'Open the session' }).click();
  await expect(page.getByText('Lighter today: one set fewer. Slept badly.')).toBeVisible();
  await expect(page.getByText(/of 3/).first()).toBeVisible();
});
