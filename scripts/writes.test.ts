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
