import { PDFDocument } from '@cantoo/pdf-lib';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { growingPdf, jpegFile, pdfFile, pngFile, SECRET } from './files.fixture';
import { attachedType, received } from './received';

const hasSecret = (file: Buffer): boolean =>
  file.includes(SECRET) || file.includes(Buffer.from(SECRET, 'utf16le'));

describe('a file that comes in', () => {
  it('loses the metadata of a JPEG, and keeps how it is turned, its colours and its pixels', async () => {
    for (const isLittle of [true, false]) {
      const { mediaType, content } = await received(jpegFile({ isLittle }));
      expect(mediaType).toBe('image/jpeg');
      expect(hasSecret(content)).toBe(false);
      expect(content.includes('ICC_PROFILE')).toBe(true);
      expect(content.includes(Buffer.from([1, 2, 0xff, 0x00, 3, 0xff, 0xd0, 4, 0xff, 0xd9]))).toBe(true);
      // What is written is read again the same: the sixth orientation, and nothing more to remove.
      expect(content.subarray(content.indexOf('Exif')).readUInt16BE(6 + 18)).toBe(6);
      expect((await received(content)).content).toEqual(content);
    }
  });

  it('gets no Exif where a picture is not turned', async () => {
    const { content } = await received(jpegFile({ orientation: 1 }));
    expect(content.includes('Exif')).toBe(false);
  });

  it('loses the texts of a PNG, and what is after its end', async () => {
    const { mediaType, content } = await received(pngFile());
    expect(mediaType).toBe('image/png');
    expect(hasSecret(content)).toBe(false);
    for (const name of ['IHDR', 'pHYs', 'IDAT', 'IEND'])
      expect([name, content.includes(name)]).toEqual([name, true]);
    for (const name of ['tEXt', 'eXIf']) expect([name, content.includes(name)]).toEqual([name, false]);
  });

  it('loses the metadata, scripts and files of a PDF, and keeps its pages', async () => {
    const file = await pdfFile();
    expect(file.includes('JavaScript')).toBe(true);
    const { mediaType, content } = await received(file);
    expect(mediaType).toBe('application/pdf');
    const pdf = await PDFDocument.load(content, { updateMetadata: false });
    expect(pdf.getPageCount()).toBe(2);
    expect([pdf.getTitle(), pdf.getAuthor()]).toEqual([undefined, undefined]);
    const written = Buffer.from(await pdf.save({ useObjectStreams: false, updateFieldAppearances: false }));
    for (const word of ['JavaScript', '/JS', 'EmbeddedFile', 'inside.txt', 'app.alert'])
      expect([word, written.includes(word)]).toEqual([word, false]);
    expect(hasSecret(written)).toBe(false);
  });

  it('is refused where its content is another, whatever it is called', async () => {
    for (const file of [
      '<html><script>alert(1)</script></html>',
      'GIF89a',
      '',
      '<svg xmlns="http://www.w3.org/2000/svg"/>',
    ])
      await expect(received(Buffer.from(file))).rejects.toMatchObject({ status: 422 });
  });

  it('is refused where it was cut short', async () => {
    for (const file of [jpegFile(), pngFile()])
      for (const bytes of [12, 40, file.length - 40])
        await expect(received(file.subarray(0, bytes))).rejects.toMatchObject({ status: 422 });
    const pdf = await pdfFile();
    await expect(received(pdf.subarray(0, 40))).rejects.toMatchObject({ status: 422 });
  });

  it('is refused where it is a PDF by its first line alone, or unpacks to more than can be held', async () => {
    const pageless = Buffer.from('%PDF-1.4\n<html><script>alert(1)</script></html>');
    await expect(received(pageless)).rejects.toMatchObject({ status: 422 });
    const growing = growingPdf();
    expect(growing.length).toBeLessThan(200_000);
    await expect(received(growing)).rejects.toMatchObject({ status: 422 });
    // One that was ended does not hold up the next.
    expect((await received(await pdfFile())).mediaType).toBe('application/pdf');
  });

  it('never breaks the server, whatever bytes are in it', async () => {
    const heads = [jpegFile(), pngFile()];
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...heads),
        fc.nat({ max: 400 }),
        fc.uint8Array({ maxLength: 60 }),
        async (head, at, bytes) => {
          const file = Buffer.from(head);
          file.set(bytes.subarray(0, Math.max(0, file.length - at)), Math.min(at, file.length));
          const answer = await received(file).catch((error: { status?: number }) => error.status);
          if (answer === 422) return;
          expect(await attachedType((answer as { content: Buffer }).content)).not.toBeNull();
        },
      ),
    );
  });
});
