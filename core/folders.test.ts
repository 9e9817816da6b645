import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

const CORE = import.meta.dirname;
const IMPORTS = /from '(?:\.\.\/)+([a-z-]+)\//g;

// Types count too: two folders that know each other's types are one folder. (dependency-cruiser does not read TypeScript 7.)
const imports = (folder: string): string[] =>
  readdirSync(`${CORE}/${folder}`, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !/\.(?:test|fixture)\.ts$/.test(file))
    .flatMap((file) => [...readFileSync(`${CORE}/${folder}/${file}`, 'utf8').matchAll(IMPORTS)])
    .flatMap(([, name = '']) => (name === folder ? [] : [name]));

it('form no circle: each core folder needs only such as can be listed before it', () => {
  const folders = readdirSync(CORE, { withFileTypes: true }).filter((entry) => entry.isDirectory());
  const waiting = new Map(folders.map(({ name }) => [name, new Set(imports(name))]));
  expect(waiting.size).toBeGreaterThan(10);
  for (let listed = -1; listed !== waiting.size; ) {
    listed = waiting.size;
    for (const [name, needs] of waiting) {
      if ([...needs].every((need) => !waiting.has(need))) waiting.delete(name);
    }
  }
  expect(Object.fromEntries([...waiting].map(([name, needs]) => [name, [...needs]]))).toEqual({});
});
