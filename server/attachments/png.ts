// A PNG is a signature and a list of chunks (W3C PNG, third edition). Those that draw the picture are kept; texts, times, Exif, and
// what is after the end go.

const SIGNATURE_BYTES = 8;
/** Length, name and check of a chunk. */
const AROUND_BYTES = 12;

const DRAW = new Set([
  ...['IHDR', 'PLTE', 'IDAT', 'IEND'],
  ...['tRNS', 'gAMA', 'cHRM', 'sRGB', 'iCCP', 'cICP', 'sBIT', 'pHYs', 'bKGD'],
]);

/** A PNG without its metadata. @throws RangeError where its chunks do not follow each other to the end */
export function pngWithoutMetadata(file: Buffer): Buffer {
  const kept = [file.subarray(0, SIGNATURE_BYTES)];
  let at = SIGNATURE_BYTES;
  for (;;) {
    if (at + AROUND_BYTES > file.length) throw new RangeError('A PNG that ends before its last chunk.');
    const end = at + AROUND_BYTES + file.readUInt32BE(at);
    if (end > file.length) throw new RangeError('A PNG that ends within a chunk.');
    const name = file.toString('latin1', at + 4, at + 8);
    if (DRAW.has(name)) kept.push(file.subarray(at, end));
    if (name === 'IEND') return Buffer.concat(kept);
    at = end;
  }
}
