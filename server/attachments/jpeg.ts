// A JPEG is a list of segments, each with a marker (ITU-T T.81, annex B). What draws the picture is kept; all else goes: Exif with
// place, time and camera, comments, previews, and what is after the end.

const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
const APP0 = 0xe0;
const APP1 = 0xe1;
const APP2 = 0xe2;
const APP14 = 0xee;
const COMMENT = 0xfe;

const EXIF = Buffer.from('Exif\0\0', 'latin1');
const COLOUR_PROFILE = Buffer.from('ICC_PROFILE\0', 'latin1');
const ORIENTATION_TAG = 0x0112;
/** The first pixel is at the top left: nothing to turn. */
const UPRIGHT = 1;

type Segment = {
  marker: number /** With its marker. */;
  bytes: Buffer /** After its length. */;
  data: Buffer;
};

/**
 * A JPEG without its metadata. How it is turned is kept: a photograph would lie on its side without it.
 * @throws RangeError where its segments do not follow each other
 */
export function jpegWithoutMetadata(file: Buffer): Buffer {
  const segments = segmentsOf(file);
  const turned = segments.map(orientationOf).find((orientation) => orientation !== null) ?? UPRIGHT;
  const [start, ...rest] = segments.filter(draws).map(({ bytes }) => bytes);
  if (!start) throw new RangeError('A JPEG without a segment.');
  return Buffer.concat([start, ...(turned === UPRIGHT ? [] : [exifOf(turned)]), ...rest]);
}

const draws = ({ marker, data }: Segment): boolean => {
  if (marker === COMMENT) return false;
  const isApplication = marker >= APP0 && marker <= 0xef;
  if (!isApplication || marker === APP0 || marker === APP14) return true;
  return marker === APP2 && data.subarray(0, COLOUR_PROFILE.length).equals(COLOUR_PROFILE);
};

function segmentsOf(file: Buffer): Segment[] {
  const segments: Segment[] = [{ marker: START, bytes: file.subarray(0, 2), data: Buffer.alloc(0) }];
  let at = 2;
  for (;;) {
    // Any number of FF may come before a marker.
    while (file[at] === 0xff && file[at + 1] === 0xff) at += 1;
    const marker = file[at + 1];
    if (file[at] !== 0xff || marker === undefined)
      throw new RangeError(`No segment of a JPEG at byte ${at}.`);
    if (marker === END) {
      segments.push({ marker, bytes: file.subarray(at, at + 2), data: Buffer.alloc(0) });
      return segments;
    }
    if (at + 4 > file.length) throw new RangeError('A JPEG that ends within a segment.');
    const length = file.readUInt16BE(at + 2);
    const end = marker === SCAN ? endOfScan(file, at + 2 + length) : at + 2 + length;
    if (length < 2 || end > file.length) throw new RangeError('A JPEG that ends within a segment.');
    segments.push({ marker, bytes: file.subarray(at, end), data: file.subarray(at + 4, at + 2 + length) });
    at = end;
  }
}

/** Where the pixels of a scan end: at a marker that is neither a stuffed FF (00) nor a restart (D0 to D7). */
function endOfScan(file: Buffer, from: number): number {
  for (let at = file.indexOf(0xff, from); at >= 0 && at + 1 < file.length; at = file.indexOf(0xff, at + 1)) {
    const next = file[at + 1] ?? 0;
    if (next !== 0x00 && next !== 0xff && (next < 0xd0 || next > 0xd7)) return at;
  }
  throw new RangeError('A JPEG that ends within its pixels.');
}

/** How a picture is turned, 1 to 8 (Exif 2.32, 4.6.4); null where a segment does not say. */
function orientationOf({ marker, data }: Segment): number | null {
  if (marker !== APP1 || !data.subarray(0, EXIF.length).equals(EXIF)) return null;
  const tiff = data.subarray(EXIF.length);
  if (tiff.length < 14) return null;
  const isLittle = tiff.toString('latin1', 0, 2) === 'II';
  const word = (at: number) =>
    at < 0 || at + 2 > tiff.length ? 0 : isLittle ? tiff.readUInt16LE(at) : tiff.readUInt16BE(at);
  const first = isLittle ? tiff.readUInt32LE(4) : tiff.readUInt32BE(4);
  for (let entry = 0; entry < word(first); entry += 1) {
    const at = first + 2 + entry * 12;
    const value = word(at + 8);
    if (word(at) === ORIENTATION_TAG) return value >= 1 && value <= 8 ? value : null;
  }
  return null;
}

/** A segment of Exif that says how a picture is turned, and nothing else. */
function exifOf(orientation: number): Buffer {
  const tiff = Buffer.alloc(26);
  tiff.write('MM', 0, 'latin1');
  tiff.writeUInt16BE(42, 2);
  tiff.writeUInt32BE(8, 4);
  tiff.writeUInt16BE(1, 8);
  tiff.writeUInt16BE(ORIENTATION_TAG, 10);
  // One value of 16 bits.
  tiff.writeUInt16BE(3, 12);
  tiff.writeUInt32BE(1, 14);
  tiff.writeUInt16BE(orientation, 18);
  const head = Buffer.from([0xff, APP1, 0, 2 + EXIF.length + tiff.length]);
  return Buffer.concat([head, EXIF, tiff]);
}
