import { createInterface } from 'node:readline';
import { serve } from '@hono/node-server';
import { DEMO_ACCOUNTS } from '#demo/practice';
import { openDatabase } from '#server/db/database';
import { lineToHere } from '#server/line-to-here';
import { practiceApp } from '#server/serve';

// The server that the journeys of one worker share: each begins with a practice in a file of its own, named by a line on the
// standard input. Starting a process for each of them is a tenth of what they cost.
type Begin = { file: string; isDemo: boolean };

const port = Number(process.env.NERVATO_PORT);
const line = lineToHere(process.env);
let orm: Awaited<ReturnType<typeof openDatabase>> | undefined;
let app: Awaited<ReturnType<typeof practiceApp>>['app'] | undefined;

serve({ fetch: (request, env) => app?.fetch(request, env) ?? new Response(null, { status: 503 }), port });

async function begin({ file, isDemo }: Begin): Promise<void> {
  app = undefined;
  await orm?.close();
  orm = await openDatabase(file);
  // No process is killed here: those journeys have a process of their own.
  await orm.em.getConnection().execute('pragma synchronous = off');
  ({ app } = await practiceApp(orm, {
    line,
    port,
    ...(isDemo ? { isDemo, demoAccounts: DEMO_ACCOUNTS } : {}),
  }));
  console.log('begun');
}

for await (const text of createInterface({ input: process.stdin })) await begin(JSON.parse(text));
process.exit();
