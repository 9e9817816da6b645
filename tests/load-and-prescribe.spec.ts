import { chooseLink, expect, openPerson, pick, pressKey, test } from './nervato';
import { patientMs } from './patience';

test('an exercise is searched and tested, added to the session with the other side standing in, and the schools are compared', async ({
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

  await test.step('the left thigh takes it up, marked', async () => {
    await page.getByRole('button', { name: 'Add an exercise' }).click();
    await page.getByLabel('Add an exercise').fill('leg curl seated');
    await page.getByRole('button', { name: /^Leg curl, seated/ }).click();
    await expect(page.getByLabel('1RM it goes by')).toContainText('Leg curl, seated, right: 28 kg');
    await expect(page.getByText('The 1RM is from the right side.')).toBeVisible();
    await expect(page.getByText(/^down .* kg .*up .* kg/)).toBeVisible();
  });

  await test.step('the schools side by side, and one of them taken', async () => {
    await page.getByText('The schools side by side').click();
    const row = page.getByRole('row', { name: /^Rest-release/ });
    await expect(row).toContainText('released');
    await row.getByRole('button', { name: 'Use Rest-release' }).click();
    await expect(page.getByRole('button', { name: 'School: rest-release' })).toBeVisible();
    await expect(page.getByLabel('Rest', { exact: true })).toHaveValue('65');
    await expect(page.getByLabel('Protocol')).toHaveText('Release 75, released each rest');
  });

  await test.step('it is signed with the mark', async () => {
    await page.getByRole('button', { name: /^Sign as/ }).click();
    await expect(page.getByText('2. Leg curl, seated, sitting')).toBeVisible();
  });
});

test('a session is drafted, edited, fixed, signed and printed', async ({ page }) => {
  await page.goto('/');
  await openPerson(page, 'Rufus Tarnholm');
  await chooseLink(page, 'Prescribe');
  const editor = page.getByRole('region', { name: 'Leg press' });
  const order = page.getByRole('list', { name: 'Exercises in order' });
  const press = page.getByRole('button', { name: 'Move Leg press, both' });

  await test.step('the draft takes up the last review', async () => {
    await expect(
      page
        .getByRole('list', { name: 'About this draft' })
        .getByText(/^Leg press: hold\..*the ramp is at 50 %.*REV-7/),
    ).toBeVisible();
    await expect(order.getByRole('button', { name: /Target, left thigh.*92 mmHg/ })).toBeVisible();
    await expect(page.getByText(/All sets finished in/)).toBeVisible();
  });

  await test.step('exercises are put in another order by keys, and the order is questioned', async () => {
    await press.focus();
    await pressKey(page, 'Space');
    await page.waitForTimeout(250);
    await pressKey(page, 'ArrowDown');
    await page.waitForTimeout(250);
    await pressKey(page, 'Space');
    await expect(order.getByRole('listitem').first()).toContainText('Knee extension');
    await expect(page.getByText('Leg press is compound and comes after isolated work.')).toBeVisible();
  });

  await test.step('what is left out by a slip comes back by one press', async () => {
    const lines = await order.getByRole('listitem').allTextContents();
    await page.getByRole('button', { name: /^Leave out Leg press/ }).click();
    await expect(order.getByRole('listitem')).toHaveCount(lines.length - 1);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(order.getByRole('listitem')).toHaveText(lines);
  });

  await test.step('three findings are provoked', async () => {
    await editor.getByLabel('Pressure', { exact: true }).fill('88');
    await editor.getByLabel('Load', { exact: true }).fill('45');
    await expect(
      editor.getByText('88 % is above 80 % of LOP, which must not be exercised at.'),
    ).toBeVisible();
    await expect(editor.getByText('45 % of 1RM is above the usual 40 %.')).toBeVisible();
    await expect(page.getByRole('button', { name: /^Sign as/ })).toBeDisabled();
  });

  await test.step('each is fixed by one key, also while typing', async () => {
    await expect(editor.getByRole('button', { name: 'Set 80 % or lower' })).toBeVisible();
    await expect(async () => {
      await pressKey(page, 'Alt+1');
      await expect(order.getByRole('listitem').first()).toContainText('Leg press', {
        timeout: patientMs(500),
      });
    }).toPass({ intervals: [0] });
    const fixed = page.getByRole('button', { name: /1\. Leg press/ });
    await fixed.click();
    await expect(editor.getByLabel('Pressure', { exact: true })).toHaveValue(/^[45]\d$/);
    await expect(editor.getByLabel('Load', { exact: true })).toHaveValue('40');
    await expect(editor.getByText(/Not allowed/)).toHaveCount(0);
  });

  await test.step('a rest is dragged on the strip, a release moved, and the numbers follow', async () => {
    const rest = page.getByRole('slider', { name: 'Rest after exercise 1, set 1' });
    await expect(rest).toHaveAttribute('aria-valuetext', '30 s');
    await rest.press('ArrowRight');
    await expect(editor.getByLabel('Set 1, rest after it, seconds')).toHaveValue('35');
    const box = await rest.boundingBox();
    if (!box) throw new Error('The handle has no place.');
    await page.mouse.move(box.x + 5, box.y + 5);
    await page.mouse.down();
    await page.mouse.move(box.x + 60, box.y + 5, { steps: 4 });
    await page.mouse.up();
    const seconds = Number(await editor.getByLabel('Set 1, rest after it, seconds').inputValue());
    expect(seconds).toBeGreaterThan(50);
    await page.getByRole('button', { name: 'Cuff down after exercise 1, set 1' }).click();
    await expect(editor.getByLabel('Set 1, cuff down after it')).toBeChecked();
  });

  await test.step('half a number keeps the figures waiting and loses nothing', async () => {
    await editor.getByLabel('Pressure', { exact: true }).fill('');
    await expect(
      page.getByText('Fill in every figure, within its range, and the strip comes back.'),
    ).toBeVisible();
    await editor.getByLabel('Pressure', { exact: true }).fill('50');
    await expect(order.getByRole('button', { name: /Target, left thigh.*92 mmHg/ })).toBeVisible();
  });

  await test.step('a pressure is said in mmHg, and comes to a share of each limb’s own LOP', async () => {
    await editor.getByRole('button', { name: 'Say it in mmHg' }).click();
    await editor.getByLabel('Pressure', { exact: true }).fill('80');
    await expect(order.getByRole('button', { name: /Target, left thigh.*80 mmHg/ })).toBeVisible();
    await expect(order.getByRole('button', { name: /Target, right thigh.*80 mmHg/ })).toBeVisible();
    await expect(
      editor.getByText(/^Comes to left thigh 4\d(\.\d)? %, right thigh 4\d(\.\d)? % of LOP$/),
    ).toBeVisible();
    await editor.getByRole('button', { name: 'Say it in % of LOP' }).click();
    await editor.getByLabel('Pressure', { exact: true }).fill('50');
  });

  await test.step('what is half made survives a reload', async () => {
    await page.reload();
    await expect(page.getByText('Taken up where it was left.')).toBeVisible();
    await expect(editor.getByLabel('Pressure', { exact: true })).toHaveValue('50');
  });

  await test.step('it is kept as a template and signed', async () => {
    await page.getByRole('button', { name: 'Keep as a template' }).click();
    await page.getByLabel('Name of the template').fill('Thighs, firm');
    await pressKey(page, 'Enter');
    await page.getByRole('button', { name: /^Template: / }).click();
    await expect(page.getByRole('menuitemradio', { name: 'Thighs, firm' })).toBeVisible();
    await pressKey(page, 'Escape');
    await page.getByRole('button', { name: 'Sign as Ines Marrable' }).click();
    await expect(page.getByText('3 exercises, size')).toBeVisible();
  });

  await test.step('the sheets are one page each, for both papers', async () => {
    for (const reader of ['person', 'operator']) {
      await page.getByRole('link', { name: `Sheet for the ${reader}` }).click();
      await expect(page.getByRole('heading', { name: 'Rufus Tarnholm' })).toBeVisible();
      for (const paper of ['A4', 'Letter'] as const) {
        await page.getByRole('radio', { name: paper }).click();
        const pdf = await page.pdf({ preferCSSPageSize: true });
        expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
      }
      await page.getByRole('link', { name: 'Back to Rufus Tarnholm' }).click();
    }
  });
});

test('a block schedules plans, is kept, followed after missed days, and handed out as a calendar', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Prescribe');
  await page.getByRole('radio', { name: 'A block of weeks' }).click();
  const sessions = page.getByRole('button', { name: /: .*session\./ });

  await test.step('days follow the wish', async () => {
    await pick(page.getByLabel('Start from'), 'In season');
    await expect(page.getByText('24 sessions in 12 weeks')).toBeVisible();
    await page.getByLabel('Weeks', { exact: true }).fill('40');
    await expect(page.getByText('A block lasts at most 12 weeks.')).toBeVisible();
    await page.getByLabel('Weeks', { exact: true }).fill('4');
    await expect(sessions).toHaveCount(8);
    await page.getByRole('group', { name: 'Heavy training on' }).getByLabel('Tue').check();
    await page.getByRole('group', { name: 'Can come on' }).getByLabel('Mon').uncheck();
    await page.getByRole('group', { name: 'Can come on' }).getByLabel('Wed').uncheck();
    await page.getByRole('group', { name: 'Can come on' }).getByLabel('Fri').uncheck();
    await expect(page.getByText(/Week 2: 1 of 2 sessions fit/)).toBeVisible();
    await page.getByRole('group', { name: 'Can come on' }).getByLabel('Mon').check();
    await expect(page.getByText(/sessions fit/)).toHaveCount(0);
    // What the weeks are meant to be: the ramp goes on from where it stands, by five points a week.
    await expect(page.getByRole('row', { name: /^4 / })).toContainText(/\d+ % of LOP/);
    await expect(page.getByRole('row', { name: /^2 / })).toContainText('8 sets');
  });

  await test.step('a day is added by hand and the block kept', async () => {
    await page.getByRole('radio', { name: 'months' }).click();
    await expect(page.getByRole('button', { name: 'The month after' })).toBeVisible();
    await page.getByRole('radio', { name: 'the block' }).click();
    const before = await sessions.count();
    await page
      .getByRole('button', { name: /^Sunday/ })
      .first()
      .click();
    await expect(sessions).toHaveCount(before + 1);
    await page.getByRole('button', { name: 'Keep the block' }).click();
    await expect(page.getByRole('button', { name: 'Kept' })).toBeDisabled();
  });

  await test.step('it is handed out as a calendar', async () => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Calendar file of the kept block' }).click(),
    ]);
    expect(file.suggestedFilename()).toBe('training-block.ics');
  });

  await test.step('a block that runs shows what was done and missed, and what is left goes on by itself', async () => {
    await openPerson(page, 'Rufus Tarnholm');
    await chooseLink(page, 'Prescribe');
    await page.getByRole('radio', { name: 'A block of weeks' }).click();
    await expect(page.getByRole('button', { name: /: .*Legs ?, done/ }).first()).toBeVisible();
    await expect(page.getByRole('button', { name: /: .*Legs ?, missed/ }).first()).toBeVisible();
    await expect(page.getByText(/16 sessions in 8 weeks: 1 done, \d+ missed, \d+ to come/)).toBeVisible();
    await page.getByRole('button', { name: 'Rehearse the block' }).click();
    const rehearsal = page.getByRole('region', { name: 'Rehearsal' });
    await expect(rehearsal.getByText(/will probably stall|likely to fall short/)).toBeVisible();
    await expect(rehearsal.getByRole('row').nth(1)).toContainText('Legs');
    await pick(page.getByLabel('Add a plan'), 'Arms, to finish with');
    await expect(page.getByRole('button', { name: /Arms, to finish with ?, session/ }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Keep the block' }).click();
    await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
  });
});

test('a practice adds an exercise of its own, and it is found where exercises are chosen', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Exercises', exact: true }).click();
  await page.getByRole('button', { name: 'Add an exercise' }).click();
  await page.getByLabel('Name').fill('Harbour step-down');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Name the muscle group.')).toBeVisible();
  await page.getByLabel('Muscle group').fill('quadriceps');
  await page.getByLabel('Cue, one line').fill('Heel down slowly, hips level.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByLabel('Search').fill('harbour');
  const own = page.getByText('the practice’s own', { exact: true });
  await expect(own).toBeVisible();
  await pick(page.getByLabel('For', { exact: true }), 'arm');
  await expect(page.getByText(/^Nothing found/)).toBeVisible();
  await pick(page.getByLabel('For', { exact: true }), 'any limb');
  await page.getByRole('button', { name: /^Retire.*Harbour step-down/ }).click();
  await expect(own).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(own).toBeVisible();
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Prescribe');
  await page.getByRole('button', { name: 'Add an exercise' }).click();
  await page.getByLabel('Add an exercise').fill('harbour');
  await expect(page.getByRole('button', { name: /^Harbour step-down/ })).toBeVisible();
  // With a wrong letter, and by the word of every day.
  await page.getByLabel('Add an exercise').fill('squad');
  await expect(page.getByText('“squat”?')).toBeVisible();
  await page.getByLabel('Add an exercise').fill('chair');
  await expect(page.getByRole('button', { name: /^Sit to stand/ }).first()).toBeVisible();
  await page.getByLabel('Add an exercise').fill('');
  await pressKey(page, 'Control+K');
  const palette = page.getByPlaceholder('A person or an action');
  await palette.fill('squad');
  await expect(page.getByRole('option', { name: /^Exercise: .*squat/i })).toHaveCount(5);
  await palette.fill('deadlift');
  await page.getByRole('option', { name: 'Exercise: Deadlift' }).click();
  await expect(page.getByRole('textbox', { name: 'Search', exact: true })).toHaveValue('Deadlift');
});

test('a side that was operated on is not tested without a clinician’s reason', async ({ page }) => {
  await page.goto('/');
  await openPerson(page, 'Maren Holdwick');
  await chooseLink(page, 'Load');
  // Her right knee was operated on: the other side is offered.
  await expect(page.getByRole('radio', { name: 'Left' })).toBeChecked();
  await page.getByRole('radio', { name: 'Right' }).click();
  await page.getByLabel('Load').fill('20');
  await page.getByLabel('Repetitions').fill('8');
  const record = page.getByRole('button', { name: 'Record test' });
  await expect(page.getByText(/Right thigh was operated on/)).toBeVisible();
  await expect(record).toBeDisabled();
  await page.getByLabel(/reason/i).fill('The surgeon asks for a pain-limited best.');
  await record.click();
  await expect(page.getByRole('navigation', { name: 'Chain' })).toContainText('25 kg');
});
