import {
  PDFArray,
  type PDFContext,
  PDFDict,
  PDFDocument,
  PDFName,
  type PDFObject,
  PDFRef,
  PDFStream,
} from '@cantoo/pdf-lib';

const name = (text: string) => PDFName.of(text);

/** What a dictionary of a PDF does not keep: metadata, what runs by itself, and files within the file (ISO 32000-1). */
const NOT_KEPT = [
  ...['Metadata', 'PieceInfo', 'LastModified', 'Thumb'],
  ...['OpenAction', 'AA', 'JS', 'JavaScript', 'XFA', 'RichMediaContent', 'RichMediaSettings'],
  ...['EmbeddedFiles', 'EF', 'AF'],
].map(name);

/** Actions that do more than show another page. */
const ACTIONS = [
  'JavaScript',
  'Launch',
  'SubmitForm',
  'ImportData',
  'GoToE',
  'GoToR',
  'Rendition',
  'RichMediaExecute',
].map(name);

/**
 * A PDF without metadata, scripts and files within it. It is written again, so that what was changed before is not in it either; a
 * digital signature does not hold any more.
 * @throws Error where it cannot be read as a PDF, and where it asks for a password
 */
export async function pdfWithoutMetadata(file: Buffer): Promise<Buffer> {
  const pdf = await PDFDocument.load(file, { updateMetadata: false, throwOnInvalidObject: true });
  if (pdf.getPageCount() === 0) throw new Error('It has no page.');
  const { context } = pdf;
  delete context.trailerInfo.Info;
  delete context.trailerInfo.ID;
  const inUse = clean(context);
  for (const [ref] of context.enumerateIndirectObjects()) if (!inUse.has(ref)) context.delete(ref);
  return Buffer.from(await pdf.save({ addDefaultPage: false, updateFieldAppearances: false }));
}

/** Takes what is not kept out of everything that the pages need. @returns the objects that they still need */
function clean(context: PDFContext): Set<PDFRef> {
  const inUse = new Set<PDFRef>();
  const waiting: (PDFObject | undefined)[] = [context.trailerInfo.Root];
  while (waiting.length > 0) {
    const object = waiting.pop();
    if (object instanceof PDFRef) {
      if (inUse.has(object)) continue;
      inUse.add(object);
      waiting.push(context.lookup(object));
    } else if (object instanceof PDFArray) waiting.push(...object.asArray());
    else if (object instanceof PDFStream) waiting.push(object.dict);
    else if (object instanceof PDFDict) {
      const isAction = ACTIONS.some((action) => action === object.get(name('S')));
      for (const key of isAction ? object.keys() : NOT_KEPT) object.delete(key);
      waiting.push(...object.values());
    }
  }
  return inUse;
}
