import { z } from 'zod';

/** The fewest or the most a schema takes, in words. @param isMore whether it has to be more than the figure itself */
const leastWords: Record<string, (least: number, isMore: boolean) => string> = {
  number: (least, isMore) => (isMore ? `More than ${least}.` : `At least ${least}.`),
  string: (least) => (least === 1 ? 'Fill this in.' : `At least ${least} characters.`),
  array: (least) => (least === 1 ? 'Enter at least one.' : `Enter at least ${least} of them.`),
};
const mostWords: Record<string, (most: number, isLess: boolean) => string> = {
  number: (most, isLess) => (isLess ? `Less than ${most}.` : `At most ${most}.`),
  string: (most) => `At most ${most} characters.`,
  array: (most) => `Enter at most ${most} of them.`,
};
const TYPE_WORDS: Record<string, string> = {
  number: 'Enter a number.',
  int: 'Enter a whole number.',
  string: 'Fill this in.',
};

/**
 * What is wrong with a value where its schema has no words of its own. What no field lets somebody type (an unknown key, an id
 * that is none) keeps the library's words: whoever writes a program reads those.
 * @example of `z.number().max(20)` and 21 //=> 'At most 20.'
 */
export function schemaWords(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return TYPE_WORDS[String(issue.expected)];
    case 'invalid_value':
      return `It has to be one of these: ${(issue.values as unknown[]).join(', ')}.`;
    case 'too_small':
      return leastWords[String(issue.origin)]?.(Number(issue.minimum), issue.inclusive === false);
    case 'too_big':
      return mostWords[String(issue.origin)]?.(Number(issue.maximum), issue.inclusive === false);
    default:
      return undefined;
  }
}

z.config({ customError: schemaWords });
