import { z } from 'zod';
import { type Message, msg } from '#core/message';

const BOUND = { minimum: 0, maximum: 0 };

/** The fewest or the most a schema takes; `messageOf` puts its bound in. */
const least: Record<string, (minimum: number, isMore: boolean) => Message> = {
  number: (_, isMore) => (isMore ? msg('More than {minimum}.', BOUND) : msg('At least {minimum}.', BOUND)),
  string: (minimum) => (minimum === 1 ? msg('Fill this in.') : msg('At least {minimum} characters.', BOUND)),
  array: (minimum) =>
    minimum === 1 ? msg('Enter at least one.') : msg('Enter at least {minimum} of them.', BOUND),
};
const most: Record<string, (isLess: boolean) => Message> = {
  number: (isLess) => (isLess ? msg('Less than {maximum}.', BOUND) : msg('At most {maximum}.', BOUND)),
  string: () => msg('At most {maximum} characters.', BOUND),
  array: () => msg('Enter at most {maximum} of them.', BOUND),
};
const OF_TYPE: Record<string, Message> = {
  number: msg('Enter a number.'),
  int: msg('Enter a whole number.'),
  string: msg('Fill this in.'),
};

/**
 * What is wrong with a value where its schema does not say, as a template. What no field lets a person type (an unknown key, an id
 * that is none) keeps the library's words: programmers read those.
 * @example of `z.number().max(20)` and 21 //=> 'At most {maximum}.'
 */
export function schemaWords(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return OF_TYPE[String(issue.expected)]?.message;
    case 'invalid_value':
      return msg('It has to be one of these: {options}.', { options: '' }).message;
    case 'too_small':
      return least[String(issue.origin)]?.(Number(issue.minimum), issue.inclusive === false).message;
    case 'too_big':
      return most[String(issue.origin)]?.(issue.inclusive === false).message;
    default:
      return undefined;
  }
}

z.config({ customError: schemaWords });
