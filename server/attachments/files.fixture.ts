import { deflateSync } from 'node:zlib';
import { PDFDocument } from '@cantoo/pdf-lib';

// Files with something in them that must not be kept: a place, a camera, a writer, a script.

export const SECRET = 'Tidewater Lane 12, 53.5 N';

const segment = (marker: number, data: Buffer): Buffer => {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(2 + data.length, 2);
  return Buffer.concat([head, data]);
};

/** A JPEG of some segments and bytes for pixels, turned by a quarter. It draws nothing. */
export function jpegFile({ isLittle = true, orientation = 6 } = {}): Buffer {
  const tiff = Buffer.alloc(26);
  const fields = new DataView(tiff.buffer, tiff.byteOffset);
  tiff.write(isLittle ? 'II' : 'MM', 0, 'latin1');
  fields.setUint16(2, 42, isLittle);
  fields.setUint32(4, 8, isLittle);
  fields.setUint16(8, 1, isLittle);
  fields.setUint16(10, 0x0112, isLittle);
  fields.setUint16(12, 3, isLittle);
  fields.setUint32(14, 1, isLittle);
  fields.setUint16(18, orientation, isLittle);
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, Buffer.from('JFIF\0\x01\x01\0\0\x01\0\x01\0\0', 'latin1')),
    segment(0xe1, Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff, Buffer.from(SECRET)])),
    segment(0xe1, Buffer.from(`http://ns.adobe.com/xap/1.0/\0${SECRET}`)),
    segment(0xe2, Buffer.from('ICC_PROFILE\0\x01\x01colours', 'latin1')),
    segment(0xfe, Buffer.from(SECRET)),
    segment(0xdb, Buffer.alloc(65, 1)),
    segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])),
    Buffer.from([1, 2, 0xff, 0x00, 3, 0xff, 0xd0, 4]),
    Buffer.from([0xff, 0xd9]),
    Buffer.from(SECRET),
  ]);
}

const chunk = (name: string, data: Buffer): Buffer => {
  const length = Buffer.alloc(4);
  length.writeUInt32BE(data.length);
  return Buffer.concat([length, Buffer.from(name, 'latin1'), data, Buffer.alloc(4)]);
};

/** A PNG of some chunks, with checks that do not fit. It draws nothing. */
export const pngFile = (): Buffer =>
  Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', Buffer.alloc(13, 1)),
    chunk('tEXt', Buffer.from(`Author\0${SECRET}`)),
    chunk('eXIf', Buffer.from(SECRET)),
    chunk('pHYs', Buffer.alloc(9)),
    chunk('IDAT', Buffer.from([1, 2, 3])),
    chunk('IEND', Buffer.alloc(0)),
    Buffer.from(SECRET),
  ]);

/** A PDF of two pages, with a writer, a script and a file within it. */
export async function pdfFile(): Promise<Buffer> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(SECRET);
  pdf.setAuthor(SECRET);
  pdf.addPage([200, 100]);
  pdf.addPage([200, 100]);
  pdf.addJavaScript('main', `app.alert('${SECRET}')`);
  await pdf.attach(Buffer.from(SECRET), 'inside.txt', { mimeType: 'text/plain', description: SECRET });
  return Buffer.from(await pdf.save({ useObjectStreams: false }));
}

/** A PDF of one page with objects that unpack to forty million spaces. */
export function growingPdf(): Buffer {
  const objects = deflateSync(Buffer.alloc(40_000_000, ' '), { level: 9 });
  const head = [
    '%PDF-1.5',
    '1 0 obj << /Type /Catalog /Pages 2 0 R >> endobj',
    '2 0 obj << /Type /Pages /Kids [3 0 R] /Count 1 >> endobj',
    '3 0 obj << /Type /Page /Parent 2 0 R /MediaBox [0 0 100 100] >> endobj',
    `4 0 obj << /Type /ObjStm /N 1 /First 10 /Filter /FlateDecode /Length ${objects.length} >>`,
    'stream\n',
  ].join('\n');
  const tail = '\nendstream endobj\ntrailer << /Root 1 0 R >>\n%%EOF';
  return Buffer.concat([Buffer.from(head), objects, Buffer.from(tail)]);
}
