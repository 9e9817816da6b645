import { isMessage, type Message } from '#core/message';
import { inEnglish } from './render';

/** A value with its messages as English text, however deep. */
export type EnglishOf<T> = T extends Message
  ? string
  : T extends (...args: never[]) => unknown
    ? T
    : T extends object
      ? { [K in keyof T]: EnglishOf<T[K]> }
      : T;

/** For tests: what core says, as a practitioner reads it. @example englishOf([msg('Fit')]) //=> ['Fit'] */
export function englishOf<T>(value: T): EnglishOf<T> {
  const made = (): unknown => {
    if (isMessage(value)) return inEnglish(value);
    if (Array.isArray(value)) return value.map(englishOf);
    if (value instanceof Map) return new Map([...value].map(([key, one]) => [key, englishOf(one)]));
    if (typeof value === 'object' && value !== null && isPlain(value))
      return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, englishOf(one)]));
    return value;
  };
  return made() as EnglishOf<T>;
}

const isPlain = (value: object): boolean =>
  Object.getPrototypeOf(value) === Object.prototype || Object.getPrototypeOf(value) === null;
