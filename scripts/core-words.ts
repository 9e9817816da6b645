import { type NodePath, parseSync, type types as t, traverse } from '@babel/core';
import type { ExtractorType } from '@lingui/conf';

/** Where a text is a name for the program, not words for people. */
const NAMES = /^(by|id|cause|kind|type|pattern|what|method|loinc|system|code|subject|only)$/;
/** Words that files are read by: they are as whoever wrote the file put them. */
const IS_OF_FILES = /core\/(table\/words|screening\/loinc)\./;

/** Statements to the database, headers of answers, and ids that are put together. */
const IS_OF_PROGRAMS = new RegExp(
  [
    / = \?|<> ''|\|\| '| as "|\w+_\w+\(|replace\(|\bin \(\{/,
    /\b(insert into|delete from|where \{|client_search|select|coalesce|pragma|case (when|decision)|rowid|union all|is null)\b/,
    /^[a-z_]+, [a-z_]+$|charset=|filename=|^(X|Cross)-|^[A-Z]+ \//,
    /^(home|own|entered|pin of|sign|screening|day-check|day-after) \{/,
  ]
    .map(({ source }) => source)
    .join('|'),
);

/** A sentence or a label: it begins with a capital or has a space between words. Ids of rules and of things are neither. */
function isWords(text: string): boolean {
  const bare = text.replace(/\{\d+\}/g, ' ');
  if (!/[A-Za-z’]{2,}/.test(bare.replace(/\b(mmHg|kg|lb|cm|min|LOP|1RM|RUN|RM)\b/g, ' '))) return false;
  if (/^[A-Z]+(-\d+)?$/.test(text) || /^(NFKD|Bundle|left right|two sided)$/.test(text)) return false;
  if (/^[\w-]+-[\w-]+( |$)/.test(text) && /^[a-z\d-]+( \{|$)/.test(text)) return false;
  if (text.includes('\n') || IS_OF_PROGRAMS.test(text)) return false;
  if (/^[a-z]\w*\.[\w{]|^\{\d+\}-|^\/|\.ts\b/.test(text)) return false;
  return /\s/.test(text.trim()) || /^[A-Z]/.test(text);
}

/** The text of a literal, with `{0}`, `{1}` … where something is put in. */
const textOf = (node: t.StringLiteral | t.TemplateLiteral): string =>
  node.type === 'StringLiteral'
    ? node.value
    : node.quasis
        .map(({ value }, i) => `${value.cooked}${i < node.expressions.length ? `{${i}}` : ''}`)
        .join('');

/** Whether a literal stands where words for people stand. */
function isSaid(path: NodePath<t.StringLiteral | t.TemplateLiteral>, file: string): boolean {
  const { node, parent } = path;
  switch (parent.type) {
    case 'BinaryExpression':
      return !/[=<>]/.test(parent.operator);
    case 'ArrayExpression':
      // What a column of a table may be called.
      return !file.endsWith('core/table/tables.ts');
    case 'ObjectProperty':
      return parent.key !== node && !(parent.key.type === 'Identifier' && NAMES.test(parent.key.name));
    case 'SwitchCase':
    case 'MemberExpression':
    case 'ImportDeclaration':
    case 'ExportNamedDeclaration':
    case 'ExportAllDeclaration':
    case 'TSLiteralType':
    case 'TSTemplateLiteralType':
      return false;
    default:
      return true;
  }
}

/**
 * Collects every sentence and label that the core and the server make, with `{0}` … where something is put in. Both speak English
 * and know of no other language; the interface finds its sentences again by these (`web/language/told.ts`).
 */
export const coreWords: ExtractorType = {
  match: (file) => /\/(core|contract|server)\//.test(file) && file.endsWith('.ts') && !file.includes('/web/'),
  extract(file, code, found) {
    if (IS_OF_FILES.test(file)) return;
    const ast = parseSync(code, {
      filename: file,
      babelrc: false,
      configFile: false,
      parserOpts: { plugins: ['typescript'] },
    });
    const visit = (path: NodePath<t.StringLiteral | t.TemplateLiteral>) => {
      const text = textOf(path.node);
      if (!isSaid(path, file) || !isWords(text)) return;
      found({ id: text, message: text, origin: [file, path.node.loc?.start.line ?? 0] } as Parameters<
        typeof found
      >[0]);
    };
    if (ast) traverse(ast, { StringLiteral: visit, TemplateLiteral: visit });
  },
};
