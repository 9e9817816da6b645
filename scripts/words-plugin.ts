import { type PluginObj, types as t, transformAsync } from '@babel/core';
import { formatter } from '@lingui/format-po';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { lingui } from '@lingui/vite-plugin';
import type { Plugin } from 'vite';

/** Messages with something put in, in parts, so that the page need not bring what takes sentences apart. */
const inParts: PluginObj = {
  visitor: {
    ObjectExpression({ node }) {
      if (!node.leadingComments?.some(({ value }) => value === 'i18n')) return;
      for (const property of node.properties) {
        if (!t.isObjectProperty(property) || !t.isIdentifier(property.key, { name: 'message' })) continue;
        if (t.isStringLiteral(property.value) && property.value.value.includes('{'))
          property.value = t.valueToNode(compileMessage(property.value.value));
      }
    },
  },
};

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
        plugins: [['@lingui/babel-plugin-lingui-macro', { stripMessageField: false }], inParts],
      });
      return made?.code ? { code: made.code, map: JSON.stringify(made.map) } : null;
    },
  },
});

/** The sentences of a catalogue as English and the other language. @param po the catalogue as its file has it */
export async function pairsOf(po: string, filename: string): Promise<[english: string, other: string][]> {
  const catalogue = await formatter().parse(po, { locale: null, sourceLocale: 'en', filename });
  return Object.entries(catalogue).map(([english, { translation = '' }]) => [english, translation]);
}

/** A catalogue of the core's words as pairs: `import pairs from './de.po?pairs'`. */
const pairs = (): Plugin => ({
  name: 'pairs of words',
  enforce: 'pre',
  transform: {
    filter: { id: /\.po\?pairs$/ },
    handler: async (code, id) => ({
      code: `export default ${JSON.stringify(await pairsOf(code, id))}`,
      map: null,
    }),
  },
});

/** The words of the interface: as messages where they stand in the code, and as catalogues of other languages. */
export const words = (): Plugin[] => [
  macros(),
  pairs(),
  ...(lingui({ failOnMissing: true, failOnCompileError: true }) as Plugin[]),
];
