import { openFile } from '#server/open-file';
import { serveDatabase } from '#server/serve';
import { start } from '#server/start';
import { loadMonths, loadPractice } from './load';
import { DEMO_ACCOUNTS } from './practice';

// Loads the demo practice where the file named by NERVATO_DB has none yet, and serves it, in one process. The months of most
// of its people are played while one looks at it already.
await start(async () => {
  const orm = await openFile();
  const nowMs = Date.now();
  const world = await loadPractice(orm, nowMs);
  if (world) console.log('Loaded the Tidewater Lane practice.');
  const tellChanged = await serveDatabase(orm, { isDemo: true, demoAccounts: DEMO_ACCOUNTS });
  if (world) {
    console.log('Its people’s months are being played; they appear as they are done.');
    await loadMonths(world, nowMs, tellChanged);
  }
});
