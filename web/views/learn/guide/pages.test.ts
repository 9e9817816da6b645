import { describe, expect, it } from 'vitest';
import { LANGUAGES, type Language } from '../../../language/language';
import { guideIn, guideLink, pictureOf } from './pages';

const languages = Object.keys(LANGUAGES) as Language[];

describe.each(languages)('the guide in the app, in %s', (language) => {
  const guide = guideIn(language);

  it('has a page for each link of the chain, and one to begin with', () => {
    expect([...guide.keys()]).toEqual(
      expect.arrayContaining(['README', 'screen', 'fit', 'measure', 'load', 'prescribe', 'run', 'security']),
    );
  });

  it('has every page of the English one, with its pictures and what is typed to a machine', () => {
    const typed = (text: string) =>
      [...new Set(text.match(/NERVATO_\w+|npm [a-z]+( [a-z]+)?|\w+\.png/g))].sort();
    for (const [page, english] of guideIn('en'))
      expect(typed(guide.get(page) ?? ''), page).toEqual(typed(english));
  });

  it('is written in what the app can draw, which is no table', () => {
    for (const [page, text] of guide) expect(text, page).not.toMatch(/^\|/m);
  });

  it.each([...guide])('leads from %s to pages and pictures that are there', (_, text) => {
    for (const [, picture] of text.matchAll(/!\[[^\]]*\]\(([^)]+)\)/g))
      expect(pictureOf(picture ?? ''), picture).toBeDefined();
    for (const [, address] of text.matchAll(/(?<!!)\[[^\]]*\]\(([^)]+)\)/g)) {
      const to = guideLink(address ?? '');
      if (to) expect(guide.has(to.replace('/guide/', '')), address).toBe(true);
    }
  });
});
