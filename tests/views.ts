import type { Page } from '@playwright/test';
import { chooseLink, expect, openPerson } from './nervato';

/** A main view and how a practitioner gets there from the first page. */
export type View = { name: string; open: (page: Page) => Promise<void> };

const bench =
  (person: string, link: string, ready: RegExp | string): View['open'] =>
  async (page) => {
    await openPerson(page, person);
    await chooseLink(page, link);
    await expect(page.getByText(ready).first()).toBeVisible();
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

const runLive: View['open'] = async (page) => {
  await bench('Odalys Ferrant', 'Run', 'Open the session')(page);
  await page.clock.install();
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: /^Inflate/ })).toBeVisible();
  await page.keyboard.press('Space');
  await page.clock.runFor(15_000);
  await page.keyboard.press('Space');
  await page.clock.runFor(90_500);
  await page.keyboard.press('5');
  await page.clock.runFor(52_000);
  await expect(page.getByTestId('reps')).toBeVisible();
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
export const VIEWS: View[] = [
  { name: 'today', open: async (page) => expect(page.getByText('Who can train now')).toBeVisible() },
  {
    name: 'add-person',
    open: async (page) => {
      await page.getByRole('link', { name: 'Add a person' }).first().click();
      await expect(page.getByLabel('Name')).toBeVisible();
    },
  },
  { name: 'screen', open: bench('Cassian Wetherhold', 'Screen', 'Resting blood pressure') },
  {
    name: 'fit',
    open: async (page) => {
      await bench('Odalys Ferrant', 'Fit', 'Cuffs for this limb')(page);
      await page.getByLabel('Girth of the left thigh').fill('54.5');
    },
  },
  { name: 'measure', open: measureATrial },
  {
    name: 'load',
    open: async (page) => {
      await bench('Odalys Ferrant', 'Load', 'Tests on record')(page);
      await page.getByLabel('Load').fill('30');
      await page.getByLabel('Repetitions').fill('8');
    },
  },
  { name: 'prescribe', open: bench('Odalys Ferrant', 'Prescribe', 'Target pressure') },
  { name: 'run', open: bench('Odalys Ferrant', 'Run', 'Sessions on record') },
  { name: 'live', open: runLive },
  { name: 'record', open: aRecord },
];
