import { describe, expect, it } from 'vitest';
import { encodingOf } from './table-file';

const TEXT = 'Name;Größe\nMüller;54,5\nSøren;61\n';
const utf16 = (text: string, order: 'little' | 'big', mark: boolean) => {
  const bytes = Buffer.from(mark ? `\ufeff${text}` : text, 'utf16le');
  return new Uint8Array(order === 'big' ? bytes.swap16() : bytes);
};

describe('what a table is written in', () => {
  it.each([
    ['UTF-8', new TextEncoder().encode(TEXT), 'utf-8'],
    ['UTF-8, cut in a letter', new TextEncoder().encode(TEXT).slice(0, 8), 'utf-8'],
    ['plain letters', new TextEncoder().encode('Name,Girth\n'), 'utf-8'],
    ['nothing', new Uint8Array(), 'utf-8'],
    ['Latin 1', new Uint8Array(Buffer.from(TEXT, 'latin1')), 'windows-1252'],
    ['UTF-16 with its mark', utf16(TEXT, 'little', true), 'utf-16le'],
    ['UTF-16 the other way', utf16(TEXT, 'big', true), 'utf-16be'],
    ['UTF-16 without a mark', utf16(TEXT, 'little', false), 'utf-16le'],
    ['UTF-16 the other way without a mark', utf16(TEXT, 'big', false), 'utf-16be'],
  ])('%s', (_, bytes, encoding) => {
    expect(encodingOf(bytes)).toBe(encoding);
  });
});
