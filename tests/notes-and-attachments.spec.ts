import { chooseLink, draftWith, expect, openPerson, pressKey, test } from './nervato';

test('a note of a visit is signed, corrected and found; a letter and a picture are attached and open', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Rufus Tarnholm');
  await page
    .getByRole('navigation', { name: 'Chain' })
    .getByRole('link', { name: /^Record/ })
    .click();
  const notes = page.getByRole('region', { name: 'Notes' });

  await test.step('signed, and on record with the day and the name', async () => {
    await notes.getByLabel('Note of the visit').fill('Left ankle swollen: shoe one size up.');
    await notes.getByRole('button', { name: 'Sign the note' }).click();
    await expect(notes.getByRole('listitem')).toContainText('Left ankle swollen');
    await expect(notes.getByRole('listitem')).toContainText('Ines Marrable');
  });

  await test.step('corrected: what was wrong is struck through, with why', async () => {
    await notes.getByRole('button', { name: /^Correct : Left ankle/ }).click();
    await notes
      .getByRole('listitem')
      .getByLabel('Note of the visit')
      .fill('Right ankle swollen: shoe one size up.');
    await notes.getByLabel('Why it is corrected').fill('The other side');
    await notes.getByRole('button', { name: 'Sign the correction' }).click();
    await expect(notes.locator('s')).toHaveText('Left ankle swollen: shoe one size up.');
    await expect(notes).toContainText('The other side');
  });

  await test.step('found from anywhere by its words', async () => {
    await page.goto('/');
    await pressKey(page, 'Control+k');
    await page.getByPlaceholder('A person or an action').fill('ankle SWOLLEN');
    await page.getByRole('option', { name: /^Note, Rufus Tarnholm: Right ankle/ }).click();
    await expect(notes.getByLabel('Words of a note')).toHaveValue('ankle SWOLLEN');
    await expect(notes.getByRole('listitem').first()).toContainText('Right ankle');
  });

  await test.step('a picture is shown, a letter opens, and a page of the web is refused', async () => {
    const files = page.getByRole('region', { name: 'Attachments' });
    const attach = (name: string, mimeType: string, buffer: Buffer) =>
      files.getByLabel('Attach a letter or a picture').setInputFiles({ name, mimeType, buffer });
    await attach('ankle.jpg', 'image/jpeg', await page.screenshot({ type: 'jpeg' }));
    await expect(files.getByRole('link', { name: 'ankle.jpg' })).toBeVisible();
    await expect
      .poll(() => files.locator('img').evaluate((image: HTMLImageElement) => image.naturalWidth))
      .toBeGreaterThan(0);
    await attach('letter.pdf', 'application/pdf', await page.pdf());
    const letter = files.getByRole('link', { name: 'letter.pdf' });
    await expect(letter).toBeVisible();
    const answer = await page.request.get((await letter.getAttribute('href')) ?? '');
    expect([answer.status(), answer.headers()['content-type']]).toEqual([200, 'application/pdf']);
    await attach('letter.pdf', 'application/pdf', Buffer.from('<script>alert(1)</script>'));
    await expect(files.getByRole('alert')).toContainText('a PDF, a JPEG or a PNG');
  });

  await test.step('a signed consent is where consent is', async () => {
    await chooseLink(page, 'Screen');
    await page
      .getByLabel('Attach the signed consent')
      .setInputFiles({ name: 'consent.pdf', mimeType: 'application/pdf', buffer: await page.pdf() });
    await expect(page.getByRole('link', { name: 'consent.pdf' })).toBeVisible();
  });
});

test('a practice of two places: kit is there, a plan is done there, its number stands on the sheet', async ({
  page,
}) => {
  await page.goto('/kit');
  const places = page.getByRole('region', { name: 'Places' });

  await test.step('a place that kit is at is not removed', async () => {
    await places.getByRole('button', { name: 'Add a place' }).click();
    await places.getByLabel('Name of the place').fill('The mill');
    await places.getByLabel('Opening hours').fill('Tue 9–12');
    await places.getByLabel('Emergency number there').fill('118');
    await places.getByRole('button', { name: 'Save the place' }).click();
    await expect(places.getByRole('listitem').filter({ hasText: 'The mill' })).toContainText('emergency 118');
  });

  await test.step('a draft for it knows it', async () => {
    await page.goto('/');
    await openPerson(page, 'Rufus Tarnholm');
    await chooseLink(page, 'Prescribe');
    await draftWith(page, 'Where', 'at The mill');
    await page.getByRole('button', { name: /^Sign as/ }).click();
    await expect(page.getByText('Done at The mill, Tue 9–12.')).toBeVisible();
    await expect(page.getByText('118', { exact: true })).toBeVisible();
    await page.getByRole('link', { name: 'Sheet for the operator' }).click();
    await expect(page.getByText('Done at The mill, Tue 9–12.')).toBeVisible();
  });
});
