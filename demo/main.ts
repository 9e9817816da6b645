import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { openDatabase } from '#server/db/database';
import { loadDemo } from './load';

// Loads the demo practice into the database file named by NERVATO_DB, if that file has no practice yet.
const file = resolve(process.env.NERVATO_DB ?? 'data/nervato.sqlite');
mkdirSync(dirname(file), { recursive: true });
const orm = await openDatabase(file);
const loaded = await loadDemo(orm, Date.now());
console.log(
  loaded ? 'Loaded the Tidewater Lane practice.' : 'The database already has a practice; left as it is.',
);
await orm.close();
