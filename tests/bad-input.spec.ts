import { chooseLink, expect, openPerson, pressKey, test, workAs } from './nervato';

test('what cannot be right is answered beside its field, and nothing typed is lost', async ({ page }) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');

  await test.step('a girth of 0, and a cuff that does not fit', async () => {
    await chooseLink(page, 'Fit');
    const girth = page.getByLabel('Girth of the left thigh');
    await girth.fill('0');
    await expect(page.getByText(/a girth of 0 cm is outside 25–110 cm/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Record girth and cuff' })).toBeDisabled();
    await girth.fill('68');
    await page.getByRole('radio', { name: /Thigh medium/ }).check();
    await expect(page.getByText(/Thigh medium does not fit.*Use Thigh large/)).toBeVisible();
    await expect(girth).toHaveValue('68');
  });

  await test.step('gone below back', async () => {
    await chooseLink(page, 'Measure');
    const gone = page.getByLabel('Trial 1, pulse gone at, mmHg');
    await gone.fill('160');
    await page.getByLabel('Trial 1, pulse back at, mmHg').fill('172');
    await expect(page.getByText(/gone cannot be below back/)).toBeVisible();
    await expect(gone).toHaveValue('160');
    await gone.fill('180');
    await expect(page.getByText('172–176 mmHg')).toBeVisible();
  });

  await test.step('40 repetitions to failure', async () => {
    await chooseLink(page, 'Load');
    await page.getByLabel('Load').fill('12');
    await page.getByLabel('Repetitions').fill('40');
    await pressKey(page, 'Enter');
    await expect(page.getByText(/More than 15 repetitions say little/)).toBeVisible();
    await expect(page.getByLabel('Load')).toHaveValue('12');
  });

  await test.step('a share of LOP above the hard limit', async () => {
    await chooseLink(page, 'Prescribe');
    await page.getByLabel('Pressure', { exact: true }).fill('85');
    await expect(page.getByText(/85 % is above 80 % of LOP/)).toBeVisible();
    await expect(page.getByRole('button', { name: /^Sign as/ })).toBeDisabled();
  });

  await test.step('a guard, for a coach', async () => {
    await page.getByLabel('Pressure', { exact: true }).fill('60');
    await expect(page.getByText(/60 % is above the .* that the ramp allows/)).toBeVisible();
    await workAs(page, 'tobias');
    await expect(page.getByText(/passed only by a clinician/)).toBeVisible();
    await workAs(page, 'ines');
    await page.getByLabel('Reason for passing the guard').fill('Trained at 60 % elsewhere until last week');
    await expect(page.getByRole('button', { name: /^Sign as/ })).toBeEnabled();
  });
});
