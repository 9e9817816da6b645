import { openFile } from './open-file';
import { serveDatabase } from './serve';
import { start } from './start';

await start(async () => {
  await serveDatabase(await openFile());
});
