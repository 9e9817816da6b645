import Database from 'libsql';
import { backUp } from './back-up';

// Writes and backs up without end, for a test that kills it in the midst.
const [, , file = '', folder = ''] = process.argv;
const database = new Database(file);
const add = database.prepare(
  "insert into audit (at_ms, practitioner_id, action, subject, detail) values (?, 'x', 'y', 'z', '{}')",
);
for (let turn = 0; ; turn += 1) {
  for (let row = 0; row < 40; row += 1) add.run(turn);
  console.log(`written ${turn}`);
  await backUp(file, { folder, passphrase: null, of: 'practice' }, Date.now());
  console.log(`backed up ${turn}`);
}
