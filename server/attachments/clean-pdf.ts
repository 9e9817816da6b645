import { buffer } from 'node:stream/consumers';
import { pdfWithoutMetadata } from './pdf';

// Reads a PDF from the standard input and writes it without metadata to the standard output; any error ends it.
process.stdout.write(await pdfWithoutMetadata(await buffer(process.stdin)));
