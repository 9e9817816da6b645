import { describe, expect, it } from 'vitest';
import { GUIDE, guideLink, pictureOf } from './pages';

describe('the guide in the app', () => {
  it('has a page for each link of the chain, and one to begin with', () => {
    expect([...GUIDE.keys()]).toEqual(
      expect.arrayContaining(['README', 'screen', 'fit', 'measure', 'load', 'prescribe', 'run', 'security']),
    );
  });

  it.each([...GUIDE])('leads from %s to pages and pictures that are there', (_, text) => {
    for (const [, picture] of text.matchAll(/!\[[^\]]*\]\(([^)]+)\)/g))
      expect(pictureOf(picture ?? ''), picture).toBeDefined();
    for (const [, address] of text.matchAll(/(?<!!)\[[^\]]*\]\(([^)]+)\)/g)) {
      const to = guideLink(address ?? '');
      if (to) expect(GUIDE.has(to.replace('/guide/', '')), address).toBe(true);
    }
  });
});
