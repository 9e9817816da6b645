import { createMiddleware } from 'hono/factory';
import type { Logger } from 'pino';
import { routeOf } from './access/route-of';
import type { Env } from './context';

const KINDS = ['1xx', '2xx', '3xx', '4xx', '5xx'] as const;
/** Upper ends of what requests took, in ms. */
const ENDS_MS = [5, 10, 25, 50, 100, 250, 500, 1_000, 5_000];

/** How many requests there were, how they ended, and how long they took, since the server started. */
export class Requests {
  private readonly byKind = new Map<string, number>();
  private readonly within = ENDS_MS.map(() => 0);
  private count = 0;
  private sumMs = 0;

  constructor(private readonly log: Logger) {}

  /**
   * Counts a request and writes one line of it: by its route, not its address, which may hold a name that was searched for. The
   * line and the answer have the same id.
   */
  readonly note = createMiddleware<Env>(async (c, next) => {
    const startMs = performance.now();
    await next();
    const tookMs = performance.now() - startMs;
    const { status } = c.res;
    this.add(status, tookMs);
    this.log.info(
      {
        request: c.get('requestId'),
        method: c.req.method,
        route: routeOf(c)?.split(' ')[1] ?? 'none',
        status,
        tookMs: Math.round(tookMs),
        by: c.get('practitioner')?.id,
      },
      'request',
    );
  });

  private add(status: number, tookMs: number): void {
    const kind = KINDS[Math.floor(status / 100) - 1] ?? '5xx';
    this.byKind.set(kind, (this.byKind.get(kind) ?? 0) + 1);
    this.count += 1;
    this.sumMs += tookMs;
    for (const [place, end] of ENDS_MS.entries())
      if (tookMs <= end) this.within[place] = (this.within[place] ?? 0) + 1;
  }

  /** The counts as text, one a line, as programs that watch servers read them. */
  text(): string {
    return [
      '# TYPE nervato_requests_total counter',
      ...[...this.byKind].map(([kind, n]) => `nervato_requests_total{status="${kind}"} ${n}`),
      '# TYPE nervato_request_ms histogram',
      ...ENDS_MS.map((end, place) => `nervato_request_ms_bucket{le="${end}"} ${this.within[place]}`),
      `nervato_request_ms_bucket{le="+Inf"} ${this.count}`,
      `nervato_request_ms_sum ${this.sumMs.toFixed(1)}`,
      `nervato_request_ms_count ${this.count}`,
      '# TYPE nervato_resident_bytes gauge',
      `nervato_resident_bytes ${process.memoryUsage.rss()}`,
      '',
    ].join('\n');
  }
}
