import type { Context } from 'hono';
import { matchedRoutes } from 'hono/route';

/** The route of the API that answers a request, as it was written: of several that fit, the first. @example routeOf(c) //=> 'GET /clients/:id' */
export function routeOf(c: Context): string | undefined {
  const route = matchedRoutes(c).find(({ method, path }) => method !== 'ALL' && path.startsWith('/api/'));
  return route && `${route.method} ${route.path.slice('/api'.length)}`;
}
