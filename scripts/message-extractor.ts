import { parseSync, type types as t, traverse } from '@babel/core';
import babel from '@lingui/cli/api/extractors/babel';
import type { ExtractorType } from '@lingui/conf';

type Found = Parameters<Parameters<ExtractorType['extract']>[2]>[0];

/** Whether a template has letters of its own. `{low}–{high} %` is written the same in every language. */
export const hasLetters = (template: string): boolean => /\p{L}/u.test(withoutHoles(template));

/** The texts of a template, without the names of what is put in: those within a plural or a select count. */
const withoutHoles = (template: string): string =>
  template.replace(/\{\w+\}/g, ' ').replace(/\{\w+, (plural|select),|\b(one|other|=\d+|\w+) (?=\{)/g, ' ');

/**
 * Collects messages for the catalogues: those of Lingui's macros, and every `msg('…')` of core, the contract, the server and the
 * interface. The template of a `msg` is its id, since that is what a message has with it when it is rendered.
 */
export const messageExtractor: ExtractorType = {
  match: (file) => babel.match(file),
  async extract(file, code, found, context) {
    if (/@lingui\/(core|react)\/macro/.test(code)) await babel.extract(file, code, found, context);
    if (!code.includes('msg(')) return;
    const ast = parseSync(code, {
      filename: file,
      babelrc: false,
      configFile: false,
      parserOpts: { plugins: file.endsWith('x') ? ['typescript', 'jsx'] : ['typescript'] },
    });
    const visit = ({ node }: { node: t.CallExpression }) => {
      const [template] = node.arguments;
      if (node.callee.type !== 'Identifier' || node.callee.name !== 'msg') return;
      const line = node.loc?.start.line ?? 0;
      if (template?.type !== 'StringLiteral')
        throw new Error(
          `${file}:${line}: give msg() its template as one text in quotes, so that it can be collected.`,
        );
      if (hasLetters(template.value))
        found({ id: template.value, message: template.value, origin: [file, line] } as Found);
    };
    if (ast) traverse(ast, { CallExpression: visit });
  },
};
