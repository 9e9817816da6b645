const WIDE = 0b1;
const CONTACT_KNOWN = 0b100;
const CONTACT = 0b10;

/**
 * Beats a minute from a Heart Rate Measurement (Bluetooth GATT characteristic 0x2A37).
 * @returns null where the strap says it has no contact, has counted nothing, or sent too little
 * @example heartRateOf(new Uint8Array([0x00, 72])) //=> 72
 */
export function heartRateOf(bytes: Uint8Array): number | null {
  const [flags = 0, low, high = 0] = bytes;
  const isWide = (flags & WIDE) !== 0;
  if (low === undefined || (isWide && bytes.length < 3)) return null;
  if ((flags & CONTACT_KNOWN) !== 0 && (flags & CONTACT) === 0) return null;
  const beats = isWide ? low + 256 * high : low;
  return beats === 0 ? null : beats;
}
