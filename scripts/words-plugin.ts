import { type PluginObj, type TransformOptions, types as t, transformAsync } from '@babel/core';
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
      const read = {
        filename,
        babelrc: false,
        configFile: false,
        sourceMaps: true,
        parserOpts: { plugins: filename.endsWith('x') ? ['typescript', 'jsx'] : ['typescript'] },
      } satisfies TransformOptions;
      const marked = await transformAsync(code, {
        ...read,
        plugins: [['@lingui/babel-plugin-lingui-macro', { stripMessageField: false }]],
      });
      const ready = await transformAsync(marked?.code ?? code, {
        ...read,
        inputSourceMap: marked?.map ?? undefined,
        plugins: [inParts],
      });
      return ready?.code ? { code: ready.code, map: JSON.stringify(ready.map) } : null;
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
