import { t } from '@lingui/core/macro';

const MOST_MB = 64;
const FIRST_BYTES = 4_096;

type KindOfFile = { ok: true; kind: 'archive' | 'table' } | { ok: false; words: string };

/** Files that are known by how they begin, and are none of ours, with what to do instead. */
const OTHERS: { begins: RegExp; words: string }[] = [
  {
    begins: /^PK[^\w\s]{2}/,
    words: t`This is a spreadsheet as its program keeps it. Save it there as CSV (“save as”, comma separated), and choose that file.`,
  },
  { begins: /^%PDF/, words: t`This is a PDF: a picture of a table. Ask for the table itself, as CSV.` },
  {
    begins: /^\s*BEGIN:VCALENDAR/,
    words: t`This is a calendar. It is brought in where a block is planned, at a person.`,
  },
  { begins: /^\s*</, words: t`This is a page or XML, no table. Save it as CSV, and choose that file.` },
];

/** What a file is, by its first letters rather than by its name. */
export async function kindOfFile(file: File): Promise<KindOfFile> {
  if (file.size === 0) return { ok: false, words: t`${file.name} is empty. Choose another file.` };
  if (file.size > MOST_MB * 1024 * 1024)
    return {
      ok: false,
      words: t`${file.name} has ${Math.round(file.size / 1024 / 1024)} MB; at most ${MOST_MB} MB are read here. Split the table, or take a large archive in on the machine itself: npm run archive -- in FILE`,
    };
  const text = new TextDecoder('latin1').decode(await file.slice(0, FIRST_BYTES).arrayBuffer());
  if (/^\s*\{"format":"nervato-archive"/.test(text)) return { ok: true, kind: 'archive' };
  const other = OTHERS.find(({ begins }) => begins.test(text));
  if (other) return { ok: false, words: other.words };
  if (/^\s*[{[]/.test(text))
    return { ok: false, words: t`This is JSON, but no archive of Nervato. Choose another file.` };
  return { ok: true, kind: 'table' };
}
