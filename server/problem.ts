import type { Context } from 'hono';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import type { z } from 'zod';
import type { ProblemBody } from '#contract/problem';
import type { Finding } from '#core/findings';
import { type Message, messageOf, msg, sentences } from '#core/message';
import type { RuleId } from '#core/rules';
import { inEnglish } from '#language/render';

type FieldError = ProblemBody['errors'][number];

/** A refusal; thrown anywhere under a route and answered as problem details. */
export class Problem extends Error {
  constructor(
    readonly status: ContentfulStatusCode,
    readonly title: Message,
    readonly says: Message,
    readonly errors: FieldError[] = [],
    readonly headers: Record<string, string> = {},
  ) {
    super(inEnglish(says));
  }
}

export const notFound = (what: Message): Problem =>
  new Problem(404, msg('Not found'), msg('{what} is not on record. It may have been typed wrong.', { what }));

/** Refusal made of rule findings, each at the field it belongs to. */
export function refusedByRules(findings: readonly Finding[]): Problem {
  const errors = findings.map(({ subject, message, remedy, rule, level, exerciseIndex }) => ({
    path: exerciseIndex === undefined ? subject : `exercises.${exerciseIndex}.${subject}`,
    message,
    remedy,
    rule,
    ...(level === 'note' ? {} : { level }),
  }));
  const [first] = findings;
  return new Problem(
    422,
    msg('Refused by a rule'),
    first ? sentences(first.message, first.remedy) : msg('Refused.'),
    errors,
  );
}

/** Refusal of one field by one rule. */
export const refusedField = (
  title: Message,
  path: string,
  rule: RuleId,
  message: Message,
  remedy: Message,
): Problem =>
  new Problem(422, title, sentences(message, remedy), [{ path, message, remedy, rule, level: 'hard' }]);

export function fromZod(error: z.core.$ZodError): Problem {
  const errors = error.issues.map((found) => ({ path: found.path.join('.'), message: messageOf(found) }));
  return new Problem(
    400,
    msg('Something to correct'),
    errors[0]?.message ?? msg('The request does not fit.'),
    errors,
  );
}

export function answerProblem(c: Context, { status, title, says, errors, headers }: Problem): Response {
  const body: ProblemBody = {
    type: 'about:blank',
    title: inEnglish(title),
    status,
    detail: inEnglish(says),
    says,
    errors,
  };
  return c.json(body, status, { ...headers, 'content-type': 'application/problem+json' });
}
