/**
 * What core says, as a value: an English template in ICU MessageFormat and what is put into it. It is turned into text at the edge
 * (`language/render.ts`), in one language or another and in the practice's units. It may be stored; it is never compared as text.
 */
export type Message = { readonly message: string; readonly values?: Values | undefined };

/** Each is a `Value`, which `msg` sees to; a type that refers to itself would be lost in the routes' typed client. */
export type Values = { readonly [name: string]: unknown };

/** What may be put into a template. A string is shown as it is: a name that a person typed, or text kept from an earlier release. */
export type Value =
  | string
  | number
  | Message
  /** Shown in kg or lb, as the practice has it, with the unit. */
  | { readonly massKg: number }
  /** Shown in cm or in, as the practice has it, with the unit unless it is left to the next one. */
  | { readonly lengthCm: number; readonly isBare?: true | undefined }
  /** A figure with so many decimals, zeros too. */
  | { readonly figure: number; readonly decimals: number }
  /** A calendar day, `2026-05-04`, in the order the practice writes dates. */
  | { readonly isoDay: string }
  | { readonly list: readonly Value[]; readonly joined: Joint }
  /** Begins with a capital letter, as a heading or a sentence does. */
  | { readonly capital: Value };

/** What is between the parts of a list; "and" and "or" follow the language. */
export type Joint = 'and' | 'or' | ', ' | '/' | '; ' | ' · ' | ' ' | ' + ' | ': ' | '';

/** The names of what a template asks for: `'{low} to {high} {n, plural, one {set} other {sets}}'` asks for low, high and n. */
type Asked<T extends string> = T extends `${string}{${infer Inside}}${infer Rest}`
  ? Inside extends `${infer Name}, plural,${string}` | `${infer Name}, select,${string}`
    ? Name | Asked<AfterChoice<Rest>>
    : Inside | Asked<Rest>
  : never;

/** What follows a plural or a select: the template after its double brace. */
type AfterChoice<T extends string> = T extends `${string}}}${infer Rest}` ? Rest : never;

/**
 * A message; the compiler holds the template and its values together.
 * @param message English, in ICU MessageFormat; `npm run words` collects it for the other languages
 * @example msg('Set {percent} % or lower.', { percent: 35 }) //=> { message: 'Set {percent} % or lower.', values: { percent: 35 } }
 */
export function msg<const T extends string>(
  message: T,
  ...[values]: [Asked<T>] extends [never] ? [] : [Record<Asked<T>, Value>]
): Message {
  return values === undefined ? { message } : { message, values };
}

/** A message that is nothing but a value, such as text that is shown as it was kept. */
export const only = (value: Value): Message => ({ message: '{value}', values: { value } });

/** @example list(['a', 'b'], 'or') //=> "a or b" in English, "a oder b" in German */
export const list = (values: readonly Value[], joined: Joint): Message => only({ list: values, joined });

/** Sentences one after the other; what is null is left out. */
export const sentences = (...said: readonly (Value | null)[]): Message =>
  list(
    said.filter((one) => one !== null),
    ' ',
  );

/** The message as a heading or the start of a sentence. @example capital(msg('left arm')) //=> "Left arm" */
export const capital = (value: Value): Message => only({ capital: value });

/** Shown in the practice's unit of mass. */
export const mass = (massKg: number): Value => ({ massKg });
/** Shown in the practice's unit of length. */
export const length = (lengthCm: number): Value => ({ lengthCm });
/** @example lengths(35, 50) //=> "35–50 cm" */
export const lengths = (lowCm: number, highCm: number): Message =>
  msg('{low}–{high}', { low: { lengthCm: lowCm, isBare: true }, high: { lengthCm: highCm } });

/** What is shown: a message, or text as a person typed it or an earlier release kept it. */
export type Text = Message | string;

export const isMessage = (value: unknown): value is Message =>
  typeof value === 'object' && value !== null && 'message' in value && typeof value.message === 'string';
