import { openFile } from './open-file';
import { serveDatabase } from './serve';

await serveDatabase(await openFile());
