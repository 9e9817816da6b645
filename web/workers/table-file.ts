/** What a text file is written in, by how it begins. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/**
 * The encoding of a file, of its first bytes: by its mark, by the zeros of UTF-16, by whether it is UTF-8 at all; else what
 * spreadsheets of the West write.
 */
export function encodingOf(bytes: Uint8Array): Encoding {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  const zeros = (from: 0 | 1) => bytes.filter((byte, at) => at % 2 === from && byte === 0).length;
  if (bytes.length > 20 && zeros(1) > bytes.length / 4) return 'utf-16le';
  if (bytes.length > 20 && zeros(0) > bytes.length / 4) return 'utf-16be';
  try {
    // What is cut off in the midst of a letter is no fault of the letter.
    new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream: true });
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}
