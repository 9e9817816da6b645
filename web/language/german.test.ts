import { i18n } from '@lingui/core';
import { setDefaultOptions } from 'date-fns';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mass, msg, only } from '#core/message';
import { RULES } from '#core/rules';
import { SCREEN_ITEMS } from '#core/screening';
import { SIGNS } from '#core/session';
import { inEnglish } from '#language/render';
import { figure, inSentence, translate, writeAs } from './translate';

beforeAll(async () => {
  const { messages } = await import('./german');
  i18n.loadAndActivate({ locale: 'de', messages });
});
afterAll(() => {
  i18n.loadAndActivate({ locale: 'en', messages: {} });
  writeAs({ units: { mass: 'kg', length: 'cm' }, dateOrder: 'year-month-day' });
  // biome-ignore lint/suspicious/noExplicitAny: none is what it was before
  setDefaultOptions({ locale: undefined as any });
});

describe('German', () => {
  it('has every rule, sign and question of the screening', () => {
    const said = [
      ...Object.values(RULES).flatMap(({ title, text }) => [title, text]),
      ...Object.values(SIGNS).map(({ label }) => label),
      ...Object.values(SCREEN_ITEMS).map(({ label }) => label),
    ];
    expect(
      said.filter((one) => translate(one) === inEnglish(one) && inEnglish(one) !== 'Diabetes').map(inEnglish),
    ).toEqual([]);
  });

  it('keeps the numbers of a rule: none is lost or changed but for its decimal mark', () => {
    const figuresOf = (words: string) =>
      (words.replace(/(\d),(\d)/g, '$1.$2').match(/\d+(\.\d+)?/g) ?? []).sort();
    for (const { text } of Object.values(RULES))
      expect(figuresOf(translate(text)), inEnglish(text)).toEqual(figuresOf(inEnglish(text)));
  });

  it('never touches what a person typed, though it is spelt like a word of the interface', () => {
    expect(translate('Wide')).toBe('Wide');
    expect(translate(msg('{cuff} does not fit.', { cuff: 'No. 2' }))).toBe('No. 2 passt nicht.');
    expect(translate(only('Back'))).toBe('Back');
  });

  it('has a comma in its figures, and the unit of the practice', () => {
    const load = msg('{loadKg} lifted once', { loadKg: mass(42.5) });
    expect(translate(load)).toBe('42,5 kg einmal gehoben');
    writeAs({ units: { mass: 'lb', length: 'in' }, dateOrder: 'day-month-year' });
    expect(translate(load)).toBe('93,7 lb einmal gehoben');
    expect(figure(7.5)).toBe('7,5');
  });

  it('leaves a heading as it is within a sentence, where English takes a small letter', () => {
    expect(inSentence(RULES['SCR-1'].title)).toBe(translate(RULES['SCR-1'].title));
  });
});
