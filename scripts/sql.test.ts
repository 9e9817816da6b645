import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { ROOT } from './sources.mjs';

/** Lines of the server and of the demo data that match, but for files that may; tests may. */
const linesWith = (pattern: RegExp, may: RegExp): string[] =>
  ['server', 'demo']
    .flatMap((folder) =>
      readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' }).map(
        (file) => `${folder}/${file}`,
      ),
    )
    .filter((file) => /\.ts$/.test(file) && !/\.(test|fixture)\.ts$/.test(file) && !may.test(file))
    .flatMap((file) =>
      readFileSync(join(ROOT, file), 'utf8')
        .split('\n')
        .flatMap((line, place) => (pattern.test(line) ? [`${file}:${place + 1}: ${line.trim()}`] : [])),
    );

/** SQL that writes, and the ORM's own ways to write. */
const WRITES =
  /\binsert (or \w+ )?into\b|\bupdate [\w"${}]+ set\b|\bdelete from\b|\bem\.(create|persist|remove|upsert|native\w+)\(/i;
/** Where rows are written by their definitions, and what brings a file of an earlier release up to date. */
const MAY_WRITE = /^server\/(record|db\/migrations)\/|^server\/db\/fill-old\.ts$/;

it('rows are written by their definitions in server/record, and nowhere else', () => {
  expect(linesWith(WRITES, MAY_WRITE)).toEqual([]);
});

/** A statement that reads. */
const READS = /['"`]select |\bselect [\w"$].* from \w/;
/**
 * Where records are read, beside their definitions. The files named are about files of earlier releases, or make the statement
 * of any record from its definition: archives and tables.
 */
const MAY_READ =
  /^server\/(record|backup|db\/migrations|db\/dialect)\/|^server\/db\/(fill-old|database)\.ts$|^server\/interchange\/(csv-out|archive\/write-archive)\.ts$/;

it('rows are read beside their definitions in server/record, and nowhere else', () => {
  expect(linesWith(READS, MAY_READ)).toEqual([]);
});

/** Words of SQL that another engine says otherwise. */
const SQLITE_ONLY =
  /\bjson_(extract|object|set|type|each|array_length)\b|\browid\b|\bpragma\b|\bgroup_concat\b|\bcollate nocase\b|\binstr\(/;
/** Where they are, and what is SQLite's by nature: migrations, and the files of a backup. */
const MAY_BE_SQLITE = /^server\/(db\/dialect|db\/migrations|backup)\/|^server\/db\/fill-old\.ts$/;

it('the words of one engine are in server/db/dialect, and nowhere else', () => {
  expect(linesWith(SQLITE_ONLY, MAY_BE_SQLITE)).toEqual([]);
});
