import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const read = (file: string) => readFileSync(new URL(`../${file}`, import.meta.url), 'utf8');
type Locked = { version?: string; integrity?: string; resolved?: string; inBundle?: boolean };
const lock = JSON.parse(read('package-lock.json')) as { packages: Record<string, Locked> };
const { dependencies, devDependencies } = JSON.parse(read('package.json')) as Record<
  'dependencies' | 'devDependencies',
  Record<string, string>
>;

describe('what is installed', () => {
  it('is what the lock file says, byte by byte, from the registry', () => {
    for (const [path, { integrity, resolved, inBundle }] of Object.entries(lock.packages)) {
      // What another package carries within it is held by that one's digest.
      if (path === '' || inBundle) continue;
      expect([path, integrity?.startsWith('sha512-')]).toEqual([path, true]);
      expect([path, resolved?.startsWith('https://registry.npmjs.org/') ?? true]).toEqual([path, true]);
    }
  });

  it('runs no script of its own', () => {
    expect(read('.npmrc')).toMatch(/^ignore-scripts=true$/m);
  });

  it('is in the decisions with its release and its reason', () => {
    const page = read('docs/decisions/dependencies.md');
    for (const name of Object.keys({ ...dependencies, ...devDependencies })) {
      const version = lock.packages[`node_modules/${name}`]?.version;
      expect(page).toMatch(
        new RegExp(`^\\| \`${name}\` +\\| ${version} +\\| [\\d-]{10} +\\| \\S.+ +\\|$`, 'm'),
      );
    }
  });
});
