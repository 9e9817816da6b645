import { openFile } from '#server/open-file';
import { loadDemo } from './load';

// Loads the demo practice into the database file named by NERVATO_DB, if that file has no practice yet.
const orm = await openFile();
await loadDemo(orm, Date.now());
await orm.close();
