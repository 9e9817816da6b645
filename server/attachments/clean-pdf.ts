import { buffer } from 'node:stream/consumers';
import { pdfWithoutMetadata } from './pdf';

// Reads a PDF from the standard input and writes it without metadata to the standard output; any error ends it.

/** No list of objects of a file that is received is as long; pictures are not unpacked. */
const MOST_UNPACKED_BYTES = 32 * 1024 * 1024;

// The library unpacks into arrays that it makes larger and larger, without a bound. This process does nothing else.
globalThis.Uint8Array = new Proxy(Uint8Array, {
  construct(target, given: [unknown], made) {
    const [size] = given;
    if (typeof size === 'number' && size > MOST_UNPACKED_BYTES)
      throw new RangeError(`It unpacks to more than ${MOST_UNPACKED_BYTES} bytes.`);
    return Reflect.construct(target, given, made);
  },
});

process.stdout.write(await pdfWithoutMetadata(await buffer(process.stdin)));
