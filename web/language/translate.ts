import { i18n } from '@lingui/core';
import type { Writing } from '#contract/writing';
import type { Text } from '#core/message';
import { DATE_ORDERS } from '#core/table';
import { figureText, render, type Speaker } from '#language/render';

let writing: Writing = { units: { mass: 'kg', length: 'cm' }, dateOrder: 'year-month-day' };

/** How the practice writes: from now on every message is rendered so. */
export function writeAs(practice: Writing): void {
  writing = practice;
}

const speaker: Speaker = {
  translate: (template, values) => i18n._(template, values),
  get locale() {
    return i18n.locale;
  },
  get units() {
    return writing.units;
  },
  day: (isoDay) => {
    if (writing.dateOrder === 'year-month-day') return isoDay;
    const [y = '', m = '', d = ''] = isoDay.split('-');
    const { parts } = DATE_ORDERS[writing.dateOrder];
    return parts.map((part) => ({ y, m, d })[part]).join(i18n.locale === 'de' ? '.' : '/');
  },
};

/**
 * What core or the server says, in the language of the interface and the units of the practice. Text that a person typed, or that
 * an earlier release kept, is shown as it is.
 * @example translate(msg('Set {percent} % or lower.', { percent: 35 })) //=> 'Set 35 % or lower.', in German '35 % oder weniger einstellen.'
 */
export function translate(text: Text): string;
export function translate(text: Text | undefined): string | undefined;
export function translate(text: Text | null): string | null;
export function translate(text: Text | null | undefined): string | null | undefined;
export function translate(text: Text | null | undefined): string | null | undefined {
  return text === undefined || text === null ? text : render(text, speaker);
}

/**
 * A figure with the decimal mark of the language.
 * @param decimals so many, zeros too; left out, as many as there are
 * @example figure(12.5) //=> '12.5', in German '12,5'
 */
export const figure = (value: number, decimals = 0): string => figureText(value, i18n.locale, decimals);

/**
 * A heading within a sentence: English begins it with a small letter there, German does not.
 * @example inSentence(msg('Size')) //=> 'size'
 */
export function inSentence(heading: Text): string {
  const said = translate(heading);
  return i18n.locale === 'de' ? said : `${said.charAt(0).toLowerCase()}${said.slice(1)}`;
}
