import type { Message } from './message';

/**
 * A message as zod carries it in an issue of its own: zod keeps a text and parameters. Static messages may be given to zod as they
 * are: `z.string().min(1, msg('Give it a name.'))`.
 */
export const issue = ({ message, values }: Message, ...path: (string | number)[]) => ({
  code: 'custom' as const,
  path,
  message,
  params: { ...values },
});

/**
 * What an issue says, as a message. `{minimum}`, `{maximum}` and `{options}` of a template are the schema's own.
 * @example messageOf(z.number().min(5, msg('At least {minimum}.', { minimum: 5 })).safeParse(1).error.issues[0]) //=> "At least 5."
 */
export function messageOf(found: {
  message: string;
  minimum?: unknown;
  maximum?: unknown;
  /** What it has to be one of. */
  values?: unknown;
  params?: Record<string, unknown> | undefined;
}): Message {
  const { message, minimum, maximum, values: options, params } = found;
  const values = {
    ...(typeof minimum === 'number' ? { minimum } : {}),
    ...(typeof maximum === 'number' ? { maximum } : {}),
    ...(Array.isArray(options) ? { options: options.join(', ') } : {}),
    ...params,
  } as Message['values'];
  return { message, values };
}
