import type { Browser, Page } from '@playwright/test';
import { chooseLink, draftWith, expect, newDevice, openPerson, pick, test } from './nervato';

/** Makes the link whose panel is open. @returns its address */
async function makeLink(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Make a link' }).click();
  return (await page.getByText(/\/home#/).textContent()) ?? '';
}

/** A phone on which the page of a link is open, all is well today, and the session has begun. */
async function beginAtHome(browser: Browser, address: string) {
  const phone = await newDevice(browser, { viewport: { width: 390, height: 844 } });
  const home = await phone.newPage();
  const press = (name: string | RegExp) => home.getByRole('button', { name, exact: true }).click();
  await home.goto(address);
  await expect(home.getByRole('heading', { name: 'Before you begin' })).toBeVisible();
  for (const yes of await home.getByRole('radio', { name: 'Yes' }).all()) await yes.click();
  await press('1');
  await press('That is how it is');
  await press('Begin');
  return { phone, home, press };
}

test('a person trains at home by a code: the day is asked, a strap is tightened, it needs no network, and comes back to be reviewed', {
  tag: '@days',
}, async ({ page, browser }) => {
  await page.goto('/');
  await openPerson(page, 'Leocadia Brandt');
  await chooseLink(page, 'Run');
  await page.getByText('Left thigh at home: no link').click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  // This machine is localhost to itself: a code of that would lead a phone nowhere.
  await expect(page.getByText(/^No code. A phone cannot open/)).toBeVisible();
  const address = (await page.getByText(/\/home#/).textContent()) ?? '';

  const phone = await newDevice(browser, {
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
  });
  const home = await phone.newPage();
  const press = (name: string | RegExp) => home.getByRole('button', { name, exact: true }).click();

  await test.step('the plan is read, and kept on the phone', async () => {
    await home.goto(address);
    await expect(home.getByRole('heading', { name: 'Terminal knee extension' })).toBeVisible();
    await expect(home.getByText('Leocadia')).toHaveCount(0);
    await home.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await home.reload();
    await expect(home.getByRole('heading', { name: 'Before you begin' })).toBeVisible();
  });

  await test.step('without a network the day is asked, and the first exercise done', async () => {
    await phone.setOffline(true);
    await home.reload();
    for (const yes of await home.getByRole('radio', { name: 'Yes' }).all()) await yes.click();
    await press('1');
    await press('That is how it is');
    await press('Begin');
    await press('Tightened');
    await press('Start set 1');
    await press('End the set here');
    await press('Colour and feeling good');
    await home
      .getByRole('group', { name: /^Effort/ })
      .getByRole('button', { name: '6', exact: true })
      .click();
    await press('One fewer');
    await home.reload();
    await expect(home.getByRole('button', { name: 'Start set 2' })).toBeVisible();
  });

  await test.step('a sign ends it, and says which number to call', async () => {
    await press('Start set 2');
    await press('Something is wrong');
    await press(/Sharp pain/);
    await expect(home.getByRole('alert')).toContainText('Sharp pain');
    await expect(home.getByRole('link', { name: '555 0142' })).toBeVisible();
    await press('Released');
    await press('Finish and keep the record');
    await expect(home.getByText('2 kept on this phone, sent when there is a network.')).toBeVisible();
  });

  await test.step('it is sent when the network is back, and nothing goes on until the practice has looked', async () => {
    await phone.setOffline(false);
    await expect(home.getByText('All sent.')).toBeVisible();
    await expect(home.getByText('Not now')).toBeVisible();
  });

  await test.step('the practice sees it as a report from home, and the hold it raised', async () => {
    await page.reload();
    await page.getByText('Left thigh at home: 1 link').click();
    await expect(page.getByText('1 session so far')).toBeVisible();
    await page
      .getByRole('link', { name: /Record$/ })
      .first()
      .click();
    await expect(page.getByText('Done at home: reported by the person who did it.')).toBeVisible();
  });

  await test.step('the link is ended, and the page says so', async () => {
    await page.goBack();
    await page.getByText('Left thigh at home: 1 link').click();
    await page.getByRole('button', { name: 'End it' }).click();
    await expect(page.getByText('Left thigh at home: no link')).toBeVisible();
    await home.reload();
    await expect(home.getByText(/This link is not good any more/)).toBeVisible();
  });
  await phone.close();
});

test('a remote walk by strap: prescribed without a figure in mmHg, done at home on the phone, and reviewed', async ({
  page,
  browser,
}) => {
  await page.goto('/');
  await openPerson(page, 'Leocadia Brandt');
  await chooseLink(page, 'Prescribe');
  await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
  await draftWith(page, 'Goal', 'Aerobic');
  const exercises = page.getByRole('list', { name: 'Exercises in order' });
  await expect(exercises).toContainText('mark 6');
  await expect(exercises).not.toContainText('mmHg');
  // One spell is enough for a first walk.
  await page.getByRole('button', { name: 'Leave out set 2' }).click();
  // She is new to it, so it would be primed: three cycles of her strap.
  const primed = page.getByLabel('Priming cycles first');
  await expect(page.getByText('to 3, 4, 6', { exact: true })).toBeVisible();
  await primed.uncheck();
  await page.getByRole('button', { name: 'Name, days' }).click();
  await page.getByLabel('Called').fill('Walks away');
  await page.getByRole('button', { name: /^Sign as/ }).click();
  await expect(page.getByRole('list', { name: 'Plans' })).toContainText('Walks away');
  await chooseLink(page, 'Run');
  await page
    .getByRole('list', { name: 'Plans' })
    .getByRole('button', { name: /Walks away/ })
    .click();
  await page.getByText('Walks away at home: no link').click();
  const address = await makeLink(page);

  const { phone, home, press } = await beginAtHome(browser, address);
  await expect(home.getByText(/mark 6/).first()).toBeVisible();
  await press('Tightened');
  await press('Start set 1');
  await press('End the set here');
  await press('Colour and feeling good');
  await press('Released');
  await press('Finish and keep the record');
  await expect(home.getByText('All sent.')).toBeVisible();
  await phone.close();

  await page.reload();
  await page
    .getByRole('list', { name: 'Plans' })
    .getByRole('button', { name: /Walks away/ })
    .click();
  await page.getByText('Walks away at home: 1 link').click();
  await expect(page.getByText('1 session so far')).toBeVisible();
  await page
    .getByRole('link', { name: /Record$/ })
    .first()
    .click();
  await expect(page.getByText('Done at home: reported by the person who did it.')).toBeVisible();
});

test('chest pain at home: the emergency number first on the phone, and over every page of the practice at once', async ({
  page,
  browser,
}) => {
  await page.goto('/');
  await openPerson(page, 'Leocadia Brandt');
  await chooseLink(page, 'Run');
  await page.getByText('Left thigh at home: no link').click();
  const address = await makeLink(page);
  // The practice looks at something else meanwhile.
  await page.goto('/guide');

  const { phone, home, press } = await beginAtHome(browser, address);
  await press('Tightened');
  await press('Something is wrong');
  await press(/Chest pain/);
  const emergency = home.getByRole('link', { name: 'Call 112' });
  await expect(emergency).toBeInViewport();
  await expect(emergency).toHaveAttribute('href', 'tel:112');

  const bar = page.getByRole('alertdialog', { name: 'Call now' });
  await expect(bar).toContainText('Leocadia Brandt');
  await expect(bar).toContainText('Chest pain');
  await bar.getByRole('button', { name: 'Look' }).click();
  await expect(bar).toBeHidden();
  await expect(page.getByRole('region', { name: 'Holds' })).toContainText('Chest pain');
  await page.goto('/');
  await expect(page.getByRole('alert', { name: 'Call now' })).toContainText('Leocadia Brandt');
  // Once it is over on the phone, the number still comes first.
  await press('Released');
  await press('Finish and keep the record');
  await expect(home.getByRole('link', { name: 'Call 112' })).toBeVisible();
  await phone.close();
});

test('a wrap by its turns, cycles by the strap and holds without movement are done at home to their end', async ({
  page,
  browser,
}) => {
  const plans = page.getByRole('list', { name: 'Plans' });
  /** A new plan, drafted from a wish, signed, and handed out. @returns the address of its link */
  const handOut = async (called: string, wish: () => Promise<void>): Promise<string> => {
    await page.goto('/');
    await openPerson(page, 'Leocadia Brandt');
    await chooseLink(page, 'Prescribe');
    await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
    await expect(page.getByRole('button', { name: 'Name, days', exact: true })).toBeVisible();
    await wish();
    await page.getByRole('button', { name: 'Name, days', exact: true }).click();
    await page.getByLabel('Called').fill(called);
    await page.getByRole('button', { name: /^Sign as/ }).click();
    await plans.getByRole('button', { name: called }).click();
    await page.getByText(`${called} at home: no link`).click();
    return makeLink(page);
  };
  /** Presses what comes next until the session is kept, as a person in a hurry does. */
  const doAll = async (address: string, shows: RegExp): Promise<void> => {
    const { phone, home } = await beginAtHome(browser, address);
    const session = home.getByRole('region', { name: 'The session' });
    await expect(session.getByText(shows).first()).toBeVisible();
    await expect(async () => {
      if (await session.isVisible()) await session.getByRole('button').first().click({ timeout: 1_000 });
      expect(await home.getByText('All sent.').isVisible()).toBe(true);
    }).toPass({ intervals: [0] });
    await phone.close();
  };

  await test.step('a wrap', async () => {
    const address = await handOut('Wrapped arm', async () => {
      await draftWith(page, 'Goal', 'Light recovery');
      await draftWith(page, 'Limbs', 'left arm');
    });
    await doAll(address, /turns/);
  });

  await test.step('cycles', async () => {
    const address = await handOut('Cycles in bed', async () => {
      await draftWith(page, 'Goal', 'Cuff cycles');
      await page.getByLabel('Cycles', { exact: true }).fill('3');
    });
    await doAll(address, /mark/);
  });

  await test.step('holds', async () => {
    const address = await handOut('Holds', async () => {
      await page.getByRole('button', { name: 'Add an exercise' }).click();
      await page.getByLabel('Add an exercise').fill('quad set');
      await page.getByRole('button', { name: /^Quad set/ }).click();
      const leaveOut = page.getByRole('button', { name: /^Leave out (?!set|Quad)/ });
      while ((await leaveOut.count()) > 0) await leaveOut.first().click();
    });
    await doAll(address, /mark/);
  });
});
