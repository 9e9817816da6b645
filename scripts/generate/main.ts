import { existsSync, mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { openDatabase } from '#server/db/database';
import { generate } from './generate';

// Makes a practice of a size, to see and measure Nervato at it:
//   npm run generate -- --people 500 --years 1

const { values } = parseArgs({
  options: {
    people: { type: 'string', default: '50' },
    years: { type: 'string', default: '1' },
    'log-weeks': { type: 'string', default: '520' },
    file: { type: 'string' },
  },
});
const people = Number(values.people);
const years = Number(values.years);
if (!(people >= 1 && people <= 50_000 && years > 0 && years <= 20)) {
  console.error('Ask for 1 to 50000 people and up to 20 years, as in: --people 500 --years 1');
  process.exit(1);
}
const file = resolve(values.file ?? `data/${people}x${years}.sqlite`);
if (existsSync(file)) {
  console.error(`${file} is there already. Remove it, or name another with --file.`);
  process.exit(1);
}
mkdirSync(dirname(file), { recursive: true });
const orm = await openDatabase(file);
await generate(orm, { people, years, logWeeks: Number(values['log-weeks']) }, Date.now());
await orm.close();
console.log(`${people} people, ${years} years: ${file}`);
console.log(`Look at it with: NERVATO_DB=${file} npm run demo`);
