import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { serve } from '@hono/node-server';
import { z } from 'zod';
import { replayBridge } from '#server/devices/bridge';

// `npm run device-bridge [-- --trace FILE --port 4320]`: a device that plays a recorded trace of pressure, as a pattern for bridges.
const { values } = parseArgs({
  options: {
    trace: { type: 'string', default: 'docs/examples/pressure-trace.csv' },
    port: { type: 'string', default: '4320' },
  },
});
const FRAME_MS = 50;
const point = z.tuple([z.coerce.number().min(0), z.coerce.number().min(0).max(400)]);
const [, ...lines] = readFileSync(values.trace, 'utf8').trim().split('\n');
const trace = lines.map((line, at) => {
  const read = point.safeParse(line.split(','));
  if (!read.success) {
    console.error(`${values.trace}, line ${at + 2}: “${line}” is not a time in ms and a pressure in mmHg.`);
    process.exit(1);
  }
  const [afterMs, pressureMmHg] = read.data;
  return { afterMs, pressureMmHg };
});
serve(
  { fetch: replayBridge(trace, Date.now, FRAME_MS).fetch, port: Number(values.port), hostname: '127.0.0.1' },
  ({ port }) => console.log(`A device that plays ${values.trace} is at http://127.0.0.1:${port}`),
);
