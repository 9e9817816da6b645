import { readdirSync, readFileSync } from 'node:fs';
import { parseSync, traverse } from '@babel/core';
import { getCatalogs } from '@lingui/cli/api';
import { getConfig } from '@lingui/conf';
import { describe, expect, it } from 'vitest';

/** What is put in, or stands round a part of a sentence, whatever its place in it. */
const holesOf = (message: string): string[] => (message.match(/\{[^}]*\}|<\/?\d+\/?>/g) ?? []).sort();

const config = getConfig({ cwd: process.cwd() });
const catalogues = await getCatalogs(config);

describe('the words of the interface', () => {
  it('are all in the catalogues, and nothing else is: npm run words brings them there', async () => {
    for (const catalogue of catalogues) {
      const said = Object.entries((await catalogue.collect()) ?? {}).filter(([, { obsolete }]) => !obsolete);
      const kept = Object.keys((await catalogue.read('de')) ?? {});
      expect(kept.sort(), catalogue.path).toEqual(said.map(([id]) => id).sort());
    }
  });

  it.each(catalogues.map((catalogue) => ({ path: catalogue.path.replace(process.cwd(), ''), catalogue })))(
    'are all in German, with what is put into them: $path',
    async ({ catalogue }) => {
      const wrong = Object.entries((await catalogue.read('de')) ?? {})
        .map(([id, { message = id, translation = '' }]) => ({ message, translation }))
        .filter(
          ({ message, translation }) =>
            translation.trim() === '' || String(holesOf(translation)) !== String(holesOf(message)),
        );
      expect(wrong).toEqual([]);
    },
  );

  it('stand in the code as messages, none bare between tags or in what is read aloud', () => {
    const drawn = readdirSync('web', { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.tsx') && !file.startsWith('parts-page'))
      .flatMap((file) => bareWordsOf(`web/${file}`));
    expect(drawn).toEqual([]);
  });
});

/** What is read by people and written the same in every language. */
const SAME = /\b(mmHg|kg|lb|cm|min|LOP|RM|Nervato|MB|PIN)\b/g;
const READ = ['aria-label', 'label', 'title', 'hint', 'placeholder', 'alt'];

const hasWords = (text: string): boolean => /[A-Za-z]{2,}/.test(text.replace(SAME, ' '));

function bareWordsOf(file: string): string[] {
  const ast = parseSync(readFileSync(file, 'utf8'), {
    filename: file,
    babelrc: false,
    configFile: false,
    parserOpts: { plugins: ['typescript', 'jsx'] },
  });
  const found: string[] = [];
  if (ast)
    traverse(ast, {
      JSXElement(path) {
        const { name } = path.node.openingElement;
        if (name.type === 'JSXIdentifier' && name.name === 'Trans') path.skip();
      },
      JSXText({ node }) {
        if (hasWords(node.value)) found.push(`${file}: ${node.value.trim()}`);
      },
      JSXAttribute({ node }) {
        const { name, value } = node;
        if (value?.type === 'StringLiteral' && READ.includes(String(name.name)) && hasWords(value.value))
          found.push(`${file}: ${value.value}`);
      },
    });
  return found;
}
