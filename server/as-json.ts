import type { Context, TypedResponse } from 'hono';
import type { Env } from './context';

/** Answers with a JSON text that is made already; the type says what it reads as. */
export const asJson = <T>(c: Context<Env>, text: string, status: 200 | 201 = 200) =>
  c.body(text, status, { 'content-type': 'application/json' }) as unknown as Response &
    TypedResponse<T, 200, 'json'>;
