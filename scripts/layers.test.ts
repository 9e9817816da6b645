import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { ROOT } from './sources.mjs';

const FOLDERS = ['core', 'language', 'contract', 'server', 'web', 'demo'];

/** Folders in their order: a file imports from its own folder and from those before it in the list, and from no other. */
const LAYERS: Readonly<Record<string, readonly string[]>> = {
  '': ['core', 'language', 'contract', 'server', 'demo'],
  web: [
    'state',
    'theme',
    'workers',
    'sound',
    'language',
    'data',
    'devices',
    'act',
    'words',
    'parts',
    'views',
    'routes',
    'shell',
    'parts-page',
  ],
  'web/views/visit/prescribe': ['state', 'editor'],
  'web/parts': [
    'keys',
    'base',
    'drawing',
    'fields',
    'forms',
    'time',
    'paper',
    'plan',
    'record',
    'review',
    'live',
  ],
};
/** Folders whose own folders import nothing from each other. */
const APART = [
  'web/views/access',
  'web/views/learn',
  'web/views/person',
  'web/views/practice',
  'web/views/visit',
];
/** The shell stands around what the routes draw, and knows neither. */
const NEVER: readonly (readonly [from: string, to: string])[] = [
  ['web/shell', 'web/views'],
  ['web/shell', 'web/routes'],
];
/** So many files of a folder are seen at a glance. */
const MOST_FILES = 25;

// Types count too: two files that know each other's types are one file. (Biome's rule leaves them out.)
// What is loaded only when it is needed counts as well.
const IMPORT = /(?:^(?:import|export)\b[^;'"]*?\bfrom |\bimport\()'([^']+)'/gm;
const OURS = /^#(?:core|language|contract|server|demo)\//;

const listed = FOLDERS.flatMap((folder) =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/\.d\.ts$/.test(file))
    .map((file) => join(ROOT, folder, file)),
);
const files = listed.filter((file) => !/\.(?:test|fixture)\.tsx?$/.test(file));
const known = new Set(files);
const short = (file: string): string => relative(ROOT, file);

const importsOf = (file: string): string[] =>
  [...readFileSync(file, 'utf8').matchAll(IMPORT)].flatMap(([, from = '']) => {
    const base = OURS.test(from) ? join(ROOT, from.slice(1)) : resolve(dirname(file), from);
    return ['', '.ts', '.tsx', '/index.ts'].map((end) => `${base}${end}`).filter((path) => known.has(path));
  });
const imports = new Map(files.map((file) => [file, importsOf(file)]));
const arrows = [...imports].flatMap(([from, all]) => all.map((to) => [short(from), short(to)] as const));

/** The folder of a file directly below another; undefined for one that is elsewhere, or lies in it by itself. */
function folderBelow(parent: string, file: string): string | undefined {
  const below = parent === '' ? file : file.startsWith(`${parent}/`) ? file.slice(parent.length + 1) : '';
  return below.includes('/') ? below.slice(0, below.indexOf('/')) : undefined;
}

it('files form no import cycle', () => {
  const waiting = new Map(imports);
  expect(waiting.size).toBeGreaterThan(500);
  for (let left = -1; left !== waiting.size; ) {
    left = waiting.size;
    for (const [file, needs] of waiting) if (!needs.some((need) => waiting.has(need))) waiting.delete(file);
  }
  // What is left is in a cycle, or imports one that is; the first of them name it.
  const cycle = [...waiting].map(
    ([file, needs]) => `${short(file)} → ${needs.filter((need) => waiting.has(need)).map(short)}`,
  );
  expect(cycle).toEqual([]);
});

describe('folders are imported in one direction', () => {
  it.each(Object.entries(LAYERS))('below “%s”', (parent, order) => {
    const against = arrows.flatMap(([from, to]) => {
      const [here, there] = [folderBelow(parent, from), folderBelow(parent, to)];
      if (here === undefined || there === undefined || here === there) return [];
      const [is, was] = [order.indexOf(here), order.indexOf(there)];
      return is >= 0 && was < is ? [] : [`${from} → ${to}`];
    });
    // The web is no layer of the server: both build on the contract.
    expect(against.filter((arrow) => parent !== '' || !arrow.startsWith('web/'))).toEqual([]);
  });

  it('and never at all between views, nor from the shell to what it surrounds', () => {
    const between = arrows.filter(([from, to]) =>
      APART.some((parent) => {
        const [here, there] = [folderBelow(parent, from), folderBelow(parent, to)];
        return here !== undefined && there !== undefined && here !== there;
      }),
    );
    const groups = arrows.filter(([from, to]) => {
      const [here, there] = [folderBelow('web/views', from), folderBelow('web/views', to)];
      return here !== undefined && there !== undefined && here !== there;
    });
    const never = arrows.filter(([from, to]) =>
      NEVER.some(([one, other]) => from.startsWith(`${one}/`) && to.startsWith(`${other}/`)),
    );
    expect([...between, ...groups, ...never]).toEqual([]);
  });
});

it('core reads its own files, and all others its faces: an index of a folder names what it is for', () => {
  const faces = arrows.filter(
    ([from, to]) => from.startsWith('core/') && to.endsWith('/index.ts') && !from.endsWith('/index.ts'),
  );
  expect(faces).toEqual([]);
  // No other way leads in: `imports` of package.json knows the faces, and what tests are made of.
  const { imports: ways } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')) as {
    imports: object;
  };
  expect(Object.entries(ways).filter(([name]) => name.startsWith('#core'))).toEqual([
    ['#core/*.fixture', './core/*.fixture.ts'],
    ['#core/*', './core/*/index.ts'],
  ]);
});

it('folders of the interface are seen at a glance', () => {
  const many = new Map<string, number>();
  for (const file of listed.map(short))
    if (/^web\/(parts|views)\//.test(file)) many.set(dirname(file), (many.get(dirname(file)) ?? 0) + 1);
  expect([...many].filter(([, count]) => count > MOST_FILES)).toEqual([]);
});
