import { chooseLink, expect, openPerson, test } from './nervato';

test('an exercise is searched and tested, the other side stands in marked, and the schools are compared', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');

  await test.step('search the library', async () => {
    await chooseLink(page, 'Load');
    const search = page.getByLabel('Exercise', { exact: true });
    await search.fill('trampoline');
    await expect(page.getByText('Nothing found: try fewer letters.')).toBeVisible();
    await search.fill('hamstrings sitting');
    await page.getByRole('button', { name: /^Leg curl, seated/ }).click();
    await expect(search).toHaveValue('');
  });

  await test.step('test the right side to failure, with the seven estimates drawn', async () => {
    await page.getByRole('radio', { name: 'Right' }).click();
    await page.getByLabel('Load').fill('20');
    await page.getByLabel('Repetitions').fill('12');
    await expect(page.getByRole('img', { name: /^Seven estimates from .* median/ })).toBeVisible();
    await expect(page.getByText(/best between 3 and 10 repetitions/)).toBeVisible();
    await page.getByRole('button', { name: 'Record test' }).click();
  });

  await test.step('the left thigh is prescribed from it, marked', async () => {
    await page.getByLabel('Exercise and 1RM').selectOption({ label: 'Leg curl, seated, right: 28 kg' });
    await expect(page.getByText('The 1RM is of the right side, standing in for the left.')).toBeVisible();
    await expect(page.getByText(/^down .* kg .*up .* kg/)).toBeVisible();
  });

  await test.step('the schools side by side, and one of them taken', async () => {
    await page.getByText('The schools side by side').click();
    const row = page.getByRole('row', { name: /^Rest-release/ });
    await expect(row).toContainText('released');
    await row.getByRole('button', { name: 'Use Rest-release' }).click();
    await expect(page.getByLabel('School')).toHaveValue('rest-release');
    await expect(page.getByLabel('Rest', { exact: true })).toHaveValue('60');
    await expect(page.getByRole('radio', { name: /Release 75/ })).toBeChecked();
  });

  await test.step('it is signed with the mark', async () => {
    await page.getByRole('button', { name: /^Sign as/ }).click();
    await expect(page.getByText(/Leg curl, seated, sitting, left thigh/)).toBeVisible();
  });
});
