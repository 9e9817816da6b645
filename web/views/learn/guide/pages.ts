import type { Language } from '../../../language/language';

// The guide is written where it can be read without the app, and shipped with it: English, and beneath it the others.
const TEXTS = import.meta.glob<string>('../../../../docs/guide/**/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
});
const PICTURES = import.meta.glob<string>('../../../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
});

const fileOf = (path: string): string => path.split('/').at(-1) ?? '';

/** Pages of the guide in a language by their names: 'README', 'screen' … */
export function guideIn(language: Language): ReadonlyMap<string, string> {
  const folder = language === 'en' ? 'guide' : language;
  return new Map(
    Object.entries(TEXTS)
      .filter(([path]) => path.split('/').at(-2) === folder)
      .map(([path, text]) => [fileOf(path).replace(/\.md$/, ''), text]),
  );
}

/** Where the app has a picture that the guide shows. */
const pictures = new Map(Object.entries(PICTURES).map(([path, address]) => [fileOf(path), address]));
export const pictureOf = (source: string): string | undefined => pictures.get(fileOf(source));

/**
 * Where a link of the guide leads within the app; undefined where it leads out of it.
 * @example guideLink('screen.md') //=> '/guide/screen'
 * @example guideLink('../decisions/at-home.md') //=> undefined
 */
export function guideLink(address: string): string | undefined {
  const name = /^(?:\.\/)?([\w-]+)\.md$/.exec(address)?.[1];
  return name === undefined ? undefined : `/guide/${name}`;
}
