import { openFile } from '#server/open-file';
import { serveDatabase } from '#server/serve';
import { loadDemo } from './load';

// Loads the demo practice where the file named by NERVATO_DB has none yet, and serves it, in one process.
const orm = await openFile();
if (await loadDemo(orm, Date.now())) console.log('Loaded the Tidewater Lane practice.');
await serveDatabase(orm, { isDemo: true });
