import type { Locator, Page } from '@playwright/test';
import { holdClock, passUntil } from './held-clock';
import { DESK, SCREENS, TABLET } from './in-sight';
import {
  acceptReviewIfAsked,
  checkOnTheDayIfAsked,
  chooseLink,
  expect,
  openPerson,
  pressKey,
} from './nervato';

/** A main view and how a practitioner gets there from the first page. */
export type View = {
  name: string;
  open: (page: Page) => Promise<void>;
  /** What has to be in sight as it is then, on each of some screens. */
  inSight?: (page: Page) => { screens: typeof SCREENS; answers: Locator[] }[];
};

const bench =
  (person: string, link: string, ready: RegExp | string): View['open'] =>
  async (page) => {
    await openPerson(page, person);
    await chooseLink(page, link);
    await expect(page.getByText(ready).first()).toBeVisible();
  };

const outsideTheChain =
  (person: string, what: string, ready: string): View['open'] =>
  async (page) => {
    await openPerson(page, person);
    await page
      .getByRole('navigation', { name: 'Chain' })
      .getByRole('link', { name: new RegExp(`^${what}`) })
      .click();
    await expect(page.getByText(ready).first()).toBeVisible();
  };

/** A table of another program with a row to correct. */
const bringATable: View['open'] = async (page) => {
  await page.getByRole('link', { name: 'The practice', exact: true }).click();
  await page.getByRole('link', { name: 'Import and export' }).click();
  const rows = [
    'Client;Tested on;Exercise;Side;Load (lb);Reps',
    'Odalys Ferrant;13.4.2026;Knee extension;L;88,5;5',
    'Rufus Tarnholm;14.4.2026;Knee extension;R;66;8',
    'Rufus Tarnhelm;14.4.2026;Knee extension;L;62;8',
  ];
  await page.getByLabel('File to bring in').setInputFiles({
    name: 'strength tests.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(rows.join('\r\n')),
  });
  await expect(page.getByText('No client is called Rufus Tarnhelm.')).toBeVisible();
};

const measureATrial: View['open'] = async (page) => {
  await bench('Odalys Ferrant', 'Measure', 'Inflate in steps')(page);
  for (const [trial, gone, back] of [
    [1, 180, 172],
    [2, 180, 168],
  ]) {
    await page.getByLabel(`Trial ${trial}, pulse gone at, mmHg`).fill(String(gone));
    await page.getByLabel(`Trial ${trial}, pulse back at, mmHg`).fill(String(back));
  }
  await expect(page.getByRole('button', { name: /Limb occlusion pressure/ })).toBeVisible();
};

const pressureHistory: View['open'] = async (page) => {
  await bench('Odalys Ferrant', 'Measure', 'Pressures on record')(page);
  await page.getByRole('button', { name: /Check and history/ }).click();
  await page.getByLabel(/Quick check/).fill('168');
  await expect(page.getByRole('img', { name: /^History:/ })).toBeVisible();
  await page.getByRole('img', { name: /^History:/ }).scrollIntoViewIfNeeded();
};

const practise: View['open'] = async (page) => {
  await page.getByRole('link', { name: 'Practise measuring' }).click();
  await page.getByRole('button', { name: 'Start a case' }).click();
  // Whether its gauge is off is drawn by lot.
  await page.getByRole('button', { name: 'Gauge is not at zero' }).click();
  for (let press = 0; press < 9; press += 1) await pressKey(page, '+');
  await expect(page.getByTestId('practise-pressure')).toContainText('90');
  await page.waitForTimeout(2_000);
};

const runLive: View['open'] = async (page) => {
  await bench('Odalys Ferrant', 'Run', 'Open the session')(page);
  await holdClock(page);
  await pressKey(page, 'Space');
  await passUntil(page, page.getByRole('heading', { name: /^Inflate/ }));
  await pressKey(page, 'Space');
  await page.clock.runFor(15_000);
  await pressKey(page, 'Space');
  await passUntil(page, page.getByText('rest left', { exact: true }));
  await pressKey(page, '5');
  await passUntil(page, page.getByTestId('reps').filter({ hasText: '7 / 15' }));
  await passUntil(page, page.getByText('All saved on the server'));
  await page.clock.resume();
};

/** Three people train at once: one in a set, one resting, one to be inflated. */
const floor: View['open'] = async (page) => {
  for (const [person, steps] of [
    ['Odalys Ferrant', 3],
    ['Rufus Tarnholm', 2],
  ] as const) {
    await openPerson(page, person);
    await chooseLink(page, 'Run');
    await acceptReviewIfAsked(page);
    const running = page.getByRole('link', { name: 'Go on with the open session' });
    const check = page.getByRole('region', { name: 'Check on the day' });
    const ready = page.getByRole('button', { name: 'Open the session' });
    await expect(running.or(check).or(ready)).toBeVisible();
    if (await running.isVisible()) continue;
    await checkOnTheDayIfAsked(page);
    await ready.click();
    await expect(page.getByRole('heading', { name: /^Inflate/ })).toBeVisible();
    for (let step = 1; step < steps; step += 1) {
      await pressKey(page, 'Space');
      await page.waitForTimeout(300);
    }
  }
  await page.getByRole('link', { name: 'Floor', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Rufus Tarnholm' }).last()).toBeVisible();
};

const aRecord: View['open'] = async (page) => {
  await bench('Odalys Ferrant', 'Run', 'Sessions on record')(page);
  await page
    .getByRole('link', { name: /Record$/ })
    .first()
    .click();
  await expect(page.getByText('Occluded in all')).toBeVisible();
};

/** Every main view, in the order of the work. */
const ofThePractice =
  (link: string, ready: string): View['open'] =>
  async (page) => {
    await page.getByRole('link', { name: 'The practice', exact: true }).click();
    await page.getByRole('link', { name: link }).click();
    await expect(page.getByText(ready).first()).toBeVisible();
  };

/** The page of a home link, as a phone without an account opens it. */
const atHome: View['open'] = async (page) => {
  await bench('Odran Fellweather', 'Run', 'Walks at home')(page);
  await page.getByText('Walks at home: no link').click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  await page.goto((await page.getByText(/\/home#/).textContent()) ?? '');
  await expect(page.getByRole('heading', { name: 'Before you begin' })).toBeVisible();
};

export const VIEWS: View[] = [
  {
    name: 'guide',
    open: async (page) => {
      await page.goto('/guide/run');
      await expect(page.getByRole('heading', { name: 'At home' })).toBeVisible();
    },
  },
  { name: 'at home', open: atHome },
  { name: 'entries', open: outsideTheChain('Odalys Ferrant', 'Record', 'Audit log of this record') },
  { name: 'accounts', open: ofThePractice('Accounts', 'signs in as tobias') },
  { name: 'audit', open: ofThePractice('Audit log', 'Signed in') },
  {
    name: 'account',
    open: async (page) => {
      await page.getByRole('button', { name: /^Account of/ }).click();
      await page.getByRole('link', { name: 'Passphrase, PIN and codes' }).click();
      await expect(page.getByRole('heading', { name: 'Codes of a second device' })).toBeVisible();
    },
  },
  { name: 'today', open: async (page) => expect(page.getByText('Who can train now')).toBeVisible() },
  {
    name: 'add-person',
    open: async (page) => {
      await page.getByRole('link', { name: 'Add a person' }).first().click();
      await expect(page.getByLabel('Name')).toBeVisible();
    },
  },
  {
    name: 'screen',
    open: async (page) => {
      await bench('Cassian Wetherhold', 'Screen', 'Do not start')(page);
      await page.getByRole('button', { name: 'Health has changed: screen again' }).click();
      await page
        .getByRole('radiogroup', { name: 'Diabetes', exact: true })
        .getByRole('radio', { name: 'Yes' })
        .click();
      await pressKey(page, 'Shift+N');
      for (const [reading, upper] of [
        ['First', '148'],
        ['Second', '144'],
      ]) {
        await page.getByLabel(`${reading}, upper`).fill(upper ?? '');
        await page.getByLabel(`${reading}, lower`).fill('88');
      }
      // What is on record stops him, whatever is answered now.
      await expect(page.getByText('Do not start', { exact: true })).toBeVisible();
    },
  },
  { name: 'screened', open: bench('Odalys Ferrant', 'Screen', 'Clearances') },
  {
    name: 'fit',
    open: async (page) => {
      await bench('Odalys Ferrant', 'Fit', 'Cuffs for this limb')(page);
      await page.getByLabel('Girth of the left thigh').fill('54.5');
    },
  },
  {
    name: 'measure',
    open: measureATrial,
    inSight: (page) => [
      {
        screens: [DESK, TABLET],
        answers: [
          page.getByText('Limb occlusion pressure'),
          page.getByRole('button', { name: /^Record \d/ }),
        ],
      },
    ],
  },
  { name: 'pressures', open: pressureHistory },
  { name: 'by-feel', open: bench('Leocadia Brandt', 'Measure', 'By feel only') },
  {
    name: 'load',
    open: async (page) => {
      await bench('Odalys Ferrant', 'Load', 'Tests on record')(page);
      await page.getByLabel('Load').fill('30');
      await page.getByLabel('Repetitions').fill('8');
    },
  },
  {
    name: 'prescribe',
    open: async (page) => {
      await bench('Odalys Ferrant', 'Prescribe', 'Target pressure')(page);
      await expect(page.getByText(/All sets finished in/)).toBeVisible();
    },
  },
  {
    name: 'block',
    open: async (page) => {
      await bench('Rufus Tarnholm', 'Prescribe', 'Target, left thigh')(page);
      await page.getByRole('radio', { name: 'A block of weeks' }).click();
      await expect(page.getByText('16 sessions in 8 weeks')).toBeVisible();
    },
  },
  {
    name: 'sheet',
    open: async (page) => {
      await bench('Rufus Tarnholm', 'Run', 'Sheet for the person')(page);
      await page.getByRole('link', { name: 'Sheet for the person' }).click();
      await expect(page.getByText('Normal while the cuff is up')).toBeVisible();
    },
  },
  { name: 'run', open: bench('Odalys Ferrant', 'Run', 'Sessions on record') },
  {
    name: 'live',
    open: runLive,
    inSight: (page) => {
      const main = page.getByRole('main');
      const figure = page.getByTestId('reps').or(page.getByText('rest left', { exact: true }));
      return [
        {
          screens: SCREENS,
          answers: [
            figure.first(),
            main.getByRole('button', { name: /^Release/ }).first(),
            main.getByRole('button', { name: /^Stop/ }),
          ],
        },
        { screens: [DESK], answers: [main.locator('svg:has(pattern)').last()] },
      ];
    },
  },
  { name: 'floor', open: floor },
  { name: 'record', open: aRecord },
  { name: 'outcomes', open: outsideTheChain('Eskil Rowanwood', 'Outcomes', 'Pain on the provoking test') },
  { name: 'log', open: outsideTheChain('Birgitta Somerhall', 'Log', 'Occluded in all') },
  {
    name: 'report',
    open: async (page) => {
      await outsideTheChain('Eskil Rowanwood', 'Outcomes', 'Pain on the provoking test')(page);
      await page.getByRole('link', { name: /^Report for them/ }).click();
      await expect(page.getByText('Not issued yet')).toBeVisible();
    },
  },
  {
    name: 'week',
    open: async (page) => {
      await page.getByRole('link', { name: 'The practice', exact: true }).click();
      await expect(page.getByRole('list', { name: 'Who needs attention' })).toBeVisible();
    },
  },
  {
    name: 'safety',
    open: async (page) => {
      await page.getByRole('link', { name: 'The practice', exact: true }).click();
      await page.getByRole('link', { name: 'How safe it was' }).click();
      await expect(page.getByText(/adverse event on record/)).toBeVisible();
    },
  },
  {
    name: 'responders',
    open: async (page) => {
      await page.getByRole('link', { name: 'The practice', exact: true }).click();
      await page.getByRole('link', { name: 'Responders' }).click();
      await expect(page.getByText(/with a real\s+gain/)).toBeVisible();
    },
  },
  {
    name: 'measures',
    open: async (page) => {
      await page.getByRole('link', { name: 'The practice', exact: true }).click();
      await page.getByRole('link', { name: 'Measures' }).click();
      await page.getByRole('button', { name: 'Add a measure' }).click();
      await expect(page.getByRole('form', { name: 'Add a measure' })).toBeVisible();
    },
  },
  { name: 'import-export', open: bringATable },
  {
    name: 'paper',
    open: async (page) => {
      await bench('Rufus Tarnholm', 'Run', 'Sheet to fill in')(page);
      await page.getByRole('link', { name: 'Sheet to fill in' }).click();
      await expect(page.getByText('Worst joint pain 0–10')).toBeVisible();
    },
  },
  {
    name: 'explain',
    open: async (page) => {
      await bench('Rufus Tarnholm', 'Screen', 'Screened')(page);
      await page.getByRole('region', { name: 'Consent' }).getByRole('link', { name: 'on screen' }).click();
      await expect(page.getByRole('heading', { name: 'Training with a cuff' })).toBeVisible();
    },
  },
  {
    name: 'exercises',
    open: async (page) => {
      await page.getByRole('link', { name: 'Exercises', exact: true }).click();
      await expect(page.getByLabel('Search')).toBeVisible();
    },
  },
  {
    name: 'kit',
    open: async (page) => {
      await page.getByRole('link', { name: 'Kit and practice' }).click();
      await expect(page.getByRole('heading', { name: 'Gauges and pumps' })).toBeVisible();
    },
  },
  { name: 'practise', open: practise },
];
