import type { Context } from 'hono';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import type { z } from 'zod';
import type { ProblemBody } from '#contract/problem';
import type { Finding } from '#core/findings/finding';
import type { RuleId } from '#core/rules/catalogue';

type FieldError = ProblemBody['errors'][number];

/** A refusal with its words; thrown anywhere under a route and answered as problem details. */
export class Problem extends Error {
  constructor(
    readonly status: ContentfulStatusCode,
    readonly title: string,
    readonly detail: string,
    readonly errors: FieldError[] = [],
    readonly headers: Record<string, string> = {},
  ) {
    super(detail);
  }
}

export const notFound = (what: string): Problem =>
  new Problem(404, 'Not found', `${what} is not on record. It may have been typed wrong.`);

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
    'Refused by a rule',
    first ? `${first.message} ${first.remedy}` : 'Refused.',
    errors,
  );
}

/** Refusal of one field by one rule. */
export const refusedField = (
  title: string,
  path: string,
  rule: RuleId,
  message: string,
  remedy: string,
): Problem =>
  new Problem(422, title, `${message} ${remedy}`, [{ path, message, remedy, rule, level: 'hard' }]);

export function fromZod(error: z.core.$ZodError): Problem {
  const errors = error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
  return new Problem(400, 'Something to mend', errors[0]?.message ?? 'The request does not fit.', errors);
}

export function answerProblem(c: Context, { status, title, detail, errors, headers }: Problem): Response {
  const body: ProblemBody = { type: 'about:blank', title, status, detail, errors };
  return c.json(body, status, { ...headers, 'content-type': 'application/problem+json' });
}
