import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { ROOT } from './sources.mjs';

/** SQL that writes, and the ORM's own ways to write. */
const WRITES =
  /\binsert (or \w+ )?into\b|\bupdate [\w"${}]+ set\b|\bdelete from\b|\bem\.(create|persist|remove|upsert|native\w+)\(/i;
/** Where rows are written by their definitions, and what brings a file of an earlier release up to date. */
const MAY = /^server\/(record|db\/migrations)\/|^server\/db\/fill-old\.ts$/;

it('rows are written by their definitions in server/record, and nowhere else', () => {
  const files = ['server', 'demo'].flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' }).map((file) => `${folder}/${file}`),
  );
  const written = files
    .filter((file) => /\.ts$/.test(file) && !/\.(test|fixture)\.ts$/.test(file) && !MAY.test(file))
    .flatMap((file) =>
      readFileSync(join(ROOT, file), 'utf8')
        .split('\n')
        .flatMap((line, place) => (WRITES.test(line) ? [`${file}:${place + 1}: ${line.trim()}`] : [])),
    );
  expect(written).toEqual([]);
});

/** Words of SQL that another engine says otherwise. */
const SQLITE_ONLY =
  /\bjson_(extract|object|set|type|each|array_length)\b|\browid\b|\bpragma\b|\bgroup_concat\b|\bcollate nocase\b|\binstr\(/;
/** Where they are, and what is SQLite's by nature: migrations, and the files of a backup. */
const MAY_BE_SQLITE = /^server\/(db\/dialect|db\/migrations|backup)\/|^server\/db\/fill-old\.ts$/;

it('the words of one engine are in server/db/dialect, and nowhere else', () => {
  const said = readdirSync(join(ROOT, 'server'), { recursive: true, encoding: 'utf8' })
    .map((file) => `server/${file}`)
    .filter((file) => /\.ts$/.test(file) && !/\.(test|fixture)\.ts$/.test(file) && !MAY_BE_SQLITE.test(file))
    .flatMap((file) =>
      readFileSync(join(ROOT, file), 'utf8')
        .split('\n')
        .flatMap((line, place) => (SQLITE_ONLY.test(line) ? [`${file}:${place + 1}: ${line.trim()}`] : [])),
    );
  expect(said).toEqual([]);
});
