import { transformAsync } from '@babel/core';
import { lingui } from '@lingui/vite-plugin';
import type { Plugin } from 'vite';

/** Lingui's macros; English stays in the code, so that it needs no catalogue to be shown. */
const macros = (): Plugin => ({
  name: 'lingui-macros',
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

/** The messages of the interface: those in the code, and the catalogues of the other languages. */
export const linguiMacros = (): Plugin[] => [
  macros(),
  ...(lingui({ failOnMissing: true, failOnCompileError: true }) as Plugin[]),
];
