import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

// Production JavaScript that the first view loads: the entry and what it imports statically.

type Chunk = { file: string; isEntry?: boolean; imports?: string[] };
const manifest = JSON.parse(readFileSync('dist/web/.vite/manifest.json', 'utf8')) as Record<string, Chunk>;
const entry = Object.keys(manifest).find((key) => manifest[key]?.isEntry);
const loaded = new Set<string>();
const load = (key: string): void => {
  if (loaded.has(key)) return;
  loaded.add(key);
  for (const next of manifest[key]?.imports ?? []) load(next);
};
if (entry) load(entry);
const bytes = [...loaded]
  .map((key) => gzipSync(readFileSync(`dist/web/${manifest[key]?.file}`)).length)
  .reduce((sum, size) => sum + size, 0);
console.log(
  `JavaScript of the first view: ${(bytes / 1000).toFixed(0)} kB gzip in ${loaded.size} files (aim ≤ 200)`,
);
