import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { GUIDE, guideLink, pictureOf } from './pages';

const FOLDER = 'docs/guide';

describe('the guide in the app', () => {
  it('has every page there is', () => {
    const files = readdirSync(FOLDER).map((file) => file.replace(/\.md$/, ''));
    expect([...GUIDE.keys()].sort()).toEqual(files.sort());
  });

  it.each([...GUIDE.keys()])('leads from %s to pages and pictures that are there', (name) => {
    const text = readFileSync(`${FOLDER}/${name}.md`, 'utf8');
    for (const [, picture] of text.matchAll(/!\[[^\]]*\]\(([^)]+)\)/g))
      expect(pictureOf(picture ?? ''), picture).toBeDefined();
    for (const [, address] of text.matchAll(/(?<!!)\[[^\]]*\]\(([^)]+)\)/g)) {
      const to = guideLink(address ?? '');
      if (to) expect(GUIDE.has(to.replace('/guide/', '')), address).toBe(true);
    }
  });
});
