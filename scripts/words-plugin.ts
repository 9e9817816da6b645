import { transformAsync } from '@babel/core';
import { formatter } from '@lingui/format-po';
import { lingui } from '@lingui/vite-plugin';
import type { Plugin } from 'vite';

/** Marks the words of the interface as messages; English stays in the code, so that it needs no catalogue to be shown. */
const macros = (): Plugin => ({
  name: 'words',
  enforce: 'pre',
  transform: {
    filter: { id: /\/web\/.*\.tsx?$/, code: /@lingui\/(core|react)\/macro/ },
    async handler(code, filename) {
      const made = await transformAsync(code, {
        filename,
        babelrc: false,
        configFile: false,
        sourceMaps: true,
        parserOpts: { plugins: filename.endsWith('x') ? ['typescript', 'jsx'] : ['typescript'] },
        plugins: [['@lingui/babel-plugin-lingui-macro', { stripMessageField: false }]],
      });
      return made?.code ? { code: made.code, map: JSON.stringify(made.map) } : null;
    },
  },
});

/** A catalogue of the core's words as pairs of English and the other language: `import pairs from './de.po?pairs'`. */
const pairs = (): Plugin => ({
  name: 'pairs of words',
  enforce: 'pre',
  transform: {
    filter: { id: /\.po\?pairs$/ },
    async handler(code, id) {
      const catalogue = await formatter().parse(code, { locale: null, sourceLocale: 'en', filename: id });
      const made = Object.entries(catalogue).map(([english, { translation }]) => [
        english,
        translation ?? '',
      ]);
      return { code: `export default ${JSON.stringify(made)}`, map: null };
    },
  },
});

/** The words of the interface: as messages where they stand in the code, and as catalogues of other languages. */
export const words = (): Plugin[] => [
  macros(),
  pairs(),
  ...(lingui({ failOnMissing: true, failOnCompileError: true }) as Plugin[]),
];
