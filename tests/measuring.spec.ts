import { makeLimb, seedOf } from '#core/simulation';
import { choose, chooseLink, expect, openPerson, pressKey, test, withOwnServer } from './nervato';
import { ProbeEar } from './probe-ear';

test('two keys and a simulated limb give its true pressure within the stated uncertainty', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Measure');
  const ear = await ProbeEar.of(page, () => choose(page, 'Read from', 'a simulated hand pump'));
  await expect(page.getByRole('img', { name: 'Pulse trace' })).toBeVisible();

  for (const trial of [1, 2]) {
    await test.step(`trial ${trial}`, async () => {
      await expect(page.getByRole('button', { name: /Pulse gone/ })).toBeVisible();
      // Straight to where it gets interesting, then in steps.
      for (let press = 0; press < 10; press += 1) await pressKey(page, '+');
      while (await ear.hears()) await pressKey(page, '+');
      await pressKey(page, 'Space');
      await expect(page.getByRole('region', { name: 'Cuff dock' })).toContainText('Measuring Odalys Ferrant');
      do await pressKey(page, '-');
      while (!(await ear.hears()));
      await pressKey(page, 'Space');
      await pressKey(page, 'Space');
      await page.getByRole('button', { name: 'It has been 60 s already' }).click();
      await expect(page.getByText('No cuff is inflated.')).toBeVisible();
    });
  }
  ear.stop();

  await expect(page.getByText(/2 trials within .* mmHg: enough/)).toBeVisible();
  const record = page.getByRole('button', { name: /^Record \d/ });
  const [, value, uncertainty] = (await record.textContent())?.match(/Record ([\d.]+) ± (\d+)/) ?? [];
  const truth = makeLimb({
    limb: 'left-thigh',
    position: 'sitting',
    girthCm: 54.5,
    widthCm: 11.5,
    systolicMmHg: 128,
    seed: seedOf('Odalys Ferrant left-thigh'),
  });
  expect(Math.abs(Number(value) - truth.occlusionMmHg)).toBeLessThanOrEqual(Number(uncertainty));
  await pressKey(page, 'Enter');
  await expect(page.getByRole('heading', { name: 'Run' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Chain' })).toContainText(
    `${value} ± ${uncertainty} mmHg`,
  );
});

test('a round measures several limbs, a quick check confirms, and a leg refuses an oximeter', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');

  await test.step('fit the other thigh', async () => {
    await chooseLink(page, 'Fit');
    await page.getByRole('radio', { name: 'Right thigh' }).check({ force: true });
    await page.getByLabel('Girth of the right thigh').fill('55');
    await pressKey(page, 'Enter');
  });

  await test.step('both thighs, sitting, one after the other', async () => {
    await page.getByText('Several limbs in a round').click();
    await page.getByLabel('lying', { exact: true }).uncheck();
    await page.getByRole('button', { name: 'Start the round' }).click();
    for (const limb of ['Left thigh', 'Right thigh']) {
      await expect(page.getByRole('listitem').filter({ hasText: `${limb}, sitting` })).toHaveAttribute(
        'aria-current',
        'step',
      );
      await page.getByLabel('Trial 1, pulse gone at, mmHg').fill('180');
      await page.getByLabel('Trial 1, pulse back at, mmHg').fill(limb === 'Left thigh' ? '172' : '176');
      if (limb === 'Right thigh') {
        await expect(page.getByText('Right thigh is 4 mmHg above left thigh.')).toBeVisible();
      }
      await page.getByRole('button', { name: /^Record \d/ }).click();
    }
    await expect(page.getByRole('heading', { name: 'Run' })).toBeVisible();
  });

  await test.step('a quick check within ten', async () => {
    await chooseLink(page, 'Measure');
    await page.getByRole('button', { name: /Check and history ?, Left thigh, sitting/ }).click();
    await expect(page.getByRole('img', { name: /^History: .*174/ })).toBeVisible();
    const check = page.getByLabel(/Quick check/);
    await check.fill('195');
    await expect(page.getByText(/185 to 195 is 11 or more from 174: measure it in full/)).toBeVisible();
    await check.fill('180');
    await page.getByRole('button', { name: 'Record the check' }).click();
    await expect(page.getByText(/quick checks: 1/)).toBeVisible();
  });

  await test.step('an oximeter on a leg', async () => {
    await choose(page, 'Pulse by', 'oximeter trace');
    await expect(page.getByText(/upper limb only/)).toBeVisible();
  });

  await test.step('half a trial survives going elsewhere', async () => {
    await page.getByLabel('Trial 1, pulse gone at, mmHg').fill('170');
    await chooseLink(page, 'Fit');
    await chooseLink(page, 'Measure');
    await expect(page.getByLabel('Trial 1, pulse gone at, mmHg')).toHaveValue('170');
  });
});

test('what is to be measured is offered, lying first, and trial, recovery and round survive a reload', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('navigation', { name: 'People' }).getByRole('link', { name: 'Add a person' }).click();
  await page.getByLabel('Name').fill('Imogen Tarrow');
  await pressKey(page, 'Enter');
  await expect(page.getByRole('heading', { name: 'Imogen Tarrow' })).toBeVisible();
  await chooseLink(page, 'Fit');
  await page.getByLabel('Girth of the left thigh').fill('55');
  await pressKey(page, 'Enter');
  const due = page.getByRole('region', { name: 'To measure' });
  await expect(due.getByRole('listitem')).toHaveText([
    'Left thigh, lying none yet',
    'Left thigh, sitting none yet',
  ]);
  await due.getByRole('button', { name: 'Measure these 2 in a round' }).click();
  await expect(page.getByText('Round: 2 pressures to go')).toBeVisible();

  await page.getByLabel('Gauge reading in mmHg').fill('180');
  await pressKey(page, 'Space');
  await page.getByLabel('Gauge reading in mmHg').fill('172');
  await pressKey(page, 'Space');
  await expect(page.getByText('Cuff fully down. Wait before the next trial.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Cuff fully down. Wait before the next trial.')).toBeVisible();
  await expect(page.getByText('Round: 2 pressures to go')).toBeVisible();
  await expect(page.getByLabel('Trial 1, pulse back at, mmHg')).toHaveValue('172');

  // On record: the round goes on to the next position, and the same limb still waits there.
  await page.getByRole('button', { name: /^Record \d/ }).click();
  await expect(page.getByText('Round: 1 pressure to go')).toBeVisible();
  await expect(page.getByText('Cuff fully down. Wait before the next trial.')).toBeVisible();
});

withOwnServer(
  'a lost stream is said at once, and the measurement goes on by hand',
  async ({ page, nervato }) => {
    await page.goto('/');
    await openPerson(page, 'Odalys Ferrant');
    await chooseLink(page, 'Measure');
    await choose(page, 'Read from', 'a simulated regulated pump');
    await expect(page.getByText('mmHg, read by the app')).toBeVisible();
    await pressKey(page, '+');
    await expect(page.getByRole('region', { name: 'Cuff dock' })).toContainText('Measuring Odalys Ferrant');
    await nervato.kill();
    await expect(page.getByText(/The stream is lost. Read the gauge by hand/)).toBeVisible();
    const dock = page.getByRole('region', { name: 'Cuff dock' });
    await expect(dock.getByRole('alert')).toHaveText('Stream lost: let it down by hand');
    await choose(page, 'Read from', 'a gauge, typed');
    await dock.getByRole('button', { name: 'It is down' }).click();
    await expect(dock).toContainText('No cuff is inflated.');
    await page.getByLabel('Gauge reading in mmHg').fill('180');
    await pressKey(page, 'Space');
    await expect(page.getByLabel('Trial 1, pulse gone at, mmHg')).toHaveValue('180');
  },
);

test('a regulated pump measures by itself, and its figure becomes a trial', async ({ page }) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Measure');
  await choose(page, 'Pulse by', 'the pump itself');
  await choose(page, 'Read from', 'a simulated regulated pump');
  await expect(page.getByText('mmHg, read by the app')).toBeVisible();
  await pressKey(page, 'Space');
  await expect(page.getByText('The pump is measuring. Keep still, do not talk.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Record \d/ })).toBeEnabled();
  await expect(page.getByLabel('Trial 1, pulse gone at, mmHg')).not.toHaveValue('');
});
