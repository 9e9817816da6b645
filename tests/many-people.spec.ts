import { expect, otherDevice, pressKey, test } from './nervato';

test('of many people the day’s come first, a long list holds only what is in view, is searched as one types, and says what another device changes', {
  tag: '@days',
}, async ({ page, browser, nervato }) => {
  for (let i = 1; i <= 70; i += 1) {
    const name = `Walker ${String(i).padStart(2, '0')}`;
    await page.request.post('/api/clients', {
      data: { name, story: i === 64 ? 'Achilles, right.' : '' },
    });
  }
  await page.goto('/');
  const today = page.getByRole('main');
  const rail = page.getByRole('navigation', { name: 'People' });
  await expect(today.getByText('Brisa Okonvale')).toBeVisible();
  expect(await today.getByRole('listitem').count()).toBeLessThan(40);

  await test.step('the day’s people by what they need, a few of each, on the rail and beside it', async () => {
    await expect(today.getByRole('heading', { name: /^Ready now/ })).toBeVisible();
    await expect(today.getByRole('button', { name: /^\d+ more$/ }).first()).toBeVisible();
    await expect(rail.getByRole('link', { name: /^Odalys Ferrant/ })).toBeVisible();
    await expect(rail.getByRole('link', { name: /^Walker 70/ })).toHaveCount(0);
  });

  await test.step('all people by name are a press away, the end of the list a scroll', async () => {
    await today.getByRole('button', { name: /^All \d+ people by name$/ }).click();
    await today.hover();
    await page.mouse.wheel(0, 20_000);
    await expect(today.getByText('Walker 70')).toBeVisible();
  });

  await test.step('a few letters of a name or a story find a person', async () => {
    await rail.getByRole('searchbox', { name: 'Find a person' }).fill('achil');
    await expect(rail.getByRole('link', { name: /^Walker 64/ })).toBeVisible();
    await expect(rail.getByRole('link', { name: /^Walker 1/ })).toHaveCount(0);
    // Enter before the answer means its first line, too.
    await rail.getByRole('searchbox').fill('walker 64');
    await pressKey(page, 'Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Walker 64' })).toBeVisible();
    await pressKey(page, 'Control+k');
    await page.getByRole('combobox', { name: 'Find people and actions' }).fill('walker 64');
    await pressKey(page, 'Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Walker 64' })).toBeVisible();
    // The same where one waits for the answer, and of actions where no person has the name.
    await pressKey(page, 'Control+k');
    await page.getByRole('combobox', { name: 'Find people and actions' }).fill('oda');
    await expect(page.getByRole('option', { name: 'Odalys Ferrant', exact: true })).toHaveAttribute(
      'aria-selected',
      'true',
    );
    await pressKey(page, 'Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Odalys Ferrant' })).toBeVisible();
    await pressKey(page, 'Control+k');
    await page.getByRole('combobox', { name: 'Find people and actions' }).fill('kit and');
    await pressKey(page, 'Enter');
    await expect(page.getByRole('heading', { level: 1, name: 'Kit and practice' })).toBeVisible();
    await rail.getByRole('link', { name: /^Walker 64/ }).click();
  });

  await test.step('what another device records shows here by itself', async () => {
    const other = await otherDevice(browser, nervato.address);
    await other.goto('/');
    const otherRail = other.getByRole('navigation', { name: 'People' });
    await otherRail.getByRole('searchbox').fill('achil');
    const line = otherRail.getByRole('link', { name: /^Walker 64/ });
    await expect(line.getByTitle(/^Screen: No screening/)).toBeVisible();
    const { people } = await (await page.request.get('/api/clients?search=achil')).json();
    const calm = { systolicMmHg: 124, diastolicMmHg: 78 };
    await page.request.post(`/api/clients/${people[0].id}/screenings`, {
      data: { yes: [], bloodPressures: [calm, calm], note: '' },
    });
    await expect(line.getByTitle(/^Screen: Clear to start/)).toBeVisible();
    await expect(page.getByText(/clear to start/i).first()).toBeVisible();
    await other.context().close();
  });
});
