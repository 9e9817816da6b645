import { readdirSync, readFileSync } from 'node:fs';
import { parseSync, traverse } from '@babel/core';
import { getCatalogs } from '@lingui/cli/api';
import { getConfig } from '@lingui/conf';
import { compileMessage } from '@lingui/message-utils/compileMessage';

// The words of the interface: all are in the catalogues and in German, and none is bare in what is drawn. Part of the lint.

type Part = ReturnType<typeof compileMessage>[number];

/** What is put in, or is around a part of a message, whatever its place in it and however often. */
const holesOf = (message: string): string[] => [...new Set(compileMessage(message).flatMap(holesIn))].sort();

function holesIn(part: Part): string[] {
  if (typeof part === 'string') return part.match(/<\/?\d+\/?>/g) ?? [];
  const [name, , choices] = part;
  const within = typeof choices === 'object' && choices !== null ? Object.values(choices) : [];
  return [
    name,
    ...within.flatMap((one) => (Array.isArray(one) ? one.flatMap((inner) => holesIn(inner as Part)) : [])),
  ];
}

const catalogues = await getCatalogs(getConfig({ cwd: process.cwd() }));

/** Sentences that are in the code or in a catalogue, and not in the other. */
const astray = async (catalogue: (typeof catalogues)[number]): Promise<string[]> => {
  const said = Object.entries((await catalogue.collect()) ?? {})
    .filter(([, { obsolete }]) => !obsolete)
    .map(([id]) => id);
  const kept = Object.keys((await catalogue.read('de')) ?? {});
  return [
    ...said.filter((id) => !kept.includes(id)).map((id) => `not in the catalogue, run npm run words: ${id}`),
    ...kept
      .filter((id) => !said.includes(id))
      .map((id) => `in the catalogue alone, run npm run words: ${id}`),
  ];
};

/** Sentences without their German, or with other things put into them. */
const notInGerman = async (catalogue: (typeof catalogues)[number]): Promise<string[]> =>
  Object.entries((await catalogue.read('de')) ?? {})
    .map(([id, { message = id, translation = '' }]) => ({ message, translation }))
    .filter(
      ({ message, translation }) =>
        translation.trim() === '' || String(holesOf(translation)) !== String(holesOf(message)),
    )
    .map(({ message, translation }) => `not in German: ${message} | ${translation}`);

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

const wrong = (
  await Promise.all(
    catalogues.map(async (catalogue) =>
      [...(await astray(catalogue)), ...(await notInGerman(catalogue))].map(
        (line) => `${catalogue.path.replace(process.cwd(), '').slice(1)}: ${line}`,
      ),
    ),
  )
).flat();
const drawn = readdirSync('web', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.tsx') && !file.startsWith('parts-page'))
  .flatMap((file) => bareWordsOf(`web/${file}`))
  .map((line) => `bare words, make them a message: ${line}`);
for (const line of [...wrong, ...drawn]) console.error(line);
if (wrong.length + drawn.length > 0) process.exit(1);
console.log(`The words of ${catalogues.length} catalogues are whole.`);
