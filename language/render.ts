import { setupI18n } from '@lingui/core';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { isMessage, type Joint, type Message, type Text, type Value } from '#core/message';
import { type DisplayUnits, lengthIn, massIn } from '#core/quantity';

/** Who turns messages into text: the language, what is in it for each English template, and how the practice writes. */
export type Speaker = {
  /** The template in the language, with values put in. */
  translate: (template: string, values: Record<string, string | number>) => string;
  /** A language tag, such as 'de'. */
  locale: string;
  units: DisplayUnits;
  /** A calendar day, `2026-05-04`, as the practice writes it. */
  day: (isoDay: string) => string;
};

/**
 * A message as text in the language and the units of the speaker. Text that is none of core's messages is as it is.
 * @example render(msg('Set {load} or lower.', { load: mass(42.5) }), ENGLISH) //=> 'Set 42.5 kg or lower.'
 */
export const render = (text: Text, speaker: Speaker): string =>
  typeof text === 'string' ? text : renderMessage(text, speaker);

function renderMessage({ message, values = {} }: Message, speaker: Speaker): string {
  const put = Object.fromEntries(
    Object.entries(values).map(([name, value]) => [name, renderValue(value as Value, speaker)]),
  );
  // A template that is nothing but its value is the same in every language.
  return message === '{value}' ? String(put.value) : speaker.translate(message, put);
}

/** A whole number stays one, since a plural is chosen by it. */
function renderValue(value: Value, speaker: Speaker): string | number {
  if (typeof value === 'string') return value;
  if (typeof value === 'number') return Number.isInteger(value) ? value : figureText(value, speaker.locale);
  if (isMessage(value)) return renderMessage(value, speaker);
  if ('massKg' in value)
    return `${figureText(massIn(value.massKg, speaker.units.mass), speaker.locale)} ${speaker.units.mass}`;
  if ('lengthCm' in value) {
    const shown = figureText(lengthIn(value.lengthCm, speaker.units.length), speaker.locale);
    return value.isBare ? shown : `${shown} ${speaker.units.length}`;
  }
  if ('figure' in value) return figureText(value.figure, speaker.locale, value.decimals);
  if ('isoDay' in value) return speaker.day(value.isoDay);
  if ('capital' in value) return begun(String(renderValue(value.capital, speaker)));
  return joined(
    value.list.map((one) => String(renderValue(one, speaker))),
    value.joined,
    speaker.locale,
  );
}

const begun = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

/** What is costly to make is made once for each key. */
function keptIn<T>(memory: Map<string, T>, key: string, make: () => T): T {
  const known = memory.get(key);
  if (known !== undefined) return known;
  const made = make();
  memory.set(key, made);
  return made;
}

const MOST_DECIMALS = 10;
const numbers = new Map<string, Intl.NumberFormat>();

/** With the decimal mark of the language and no mark between thousands. @example figureText(12.5, 'de') //=> '12,5' */
export const figureText = (value: number, locale: string, decimals = 0): string =>
  keptIn(
    numbers,
    `${locale} ${decimals}`,
    () =>
      new Intl.NumberFormat(locale, {
        useGrouping: false,
        minimumFractionDigits: decimals,
        maximumFractionDigits: decimals === 0 ? MOST_DECIMALS : decimals,
      }),
  ).format(value);

const LIST_WORDS = { and: 'conjunction', or: 'disjunction' } as const;
const lists = new Map<string, Intl.ListFormat>();

function joined(parts: readonly string[], joint: Joint, locale: string): string {
  if (joint !== 'and' && joint !== 'or') return parts.join(joint);
  // English without the comma before the last "and".
  const tag = locale === 'en' ? 'en-GB' : locale;
  return keptIn(lists, `${tag} ${joint}`, () => new Intl.ListFormat(tag, { type: LIST_WORDS[joint] })).format(
    parts,
  );
}

const compiled = new Map<string, ReturnType<typeof compileMessage>>();

/** A template in parts, taken apart once; for a catalogue that is not compiled, such as the English in the code. */
export const compileOnce = (template: string): ReturnType<typeof compileMessage> =>
  keptIn(compiled, template, () => compileMessage(template));

const english = setupI18n({ locale: 'en', messages: { en: {} } }).setMessagesCompiler(compileOnce);

/** English, in kg and cm: what files, logs and programs read. */
export const ENGLISH: Speaker = {
  translate: (template, values) => english._(template, values),
  locale: 'en',
  units: { mass: 'kg', length: 'cm' },
  day: (isoDay) => isoDay,
};

/** @example inEnglish(msg('Set {percent} % or lower.', { percent: 35 })) //=> 'Set 35 % or lower.' */
export const inEnglish = (text: Text): string => render(text, ENGLISH);
