// The guide is written where anybody can read it without the app, and shipped with it.
const TEXTS = import.meta.glob<string>('../../../docs/guide/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
});
const PICTURES = import.meta.glob<string>('../../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
});

const fileOf = (path: string): string => path.split('/').at(-1) ?? '';

/** Pages of the guide by their names: 'README', 'screen' … */
export const GUIDE: ReadonlyMap<string, string> = new Map(
  Object.entries(TEXTS).map(([path, text]) => [fileOf(path).replace(/\.md$/, ''), text]),
);

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
