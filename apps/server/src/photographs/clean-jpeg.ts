import { imageSize } from 'image-size';

/** A JPEG that holds no picture, or is cut short; in words. */
export class NoPicture extends Error {
  override readonly name = 'NoPicture';
}

const marker = {
  soi: 0xd8,
  eoi: 0xd9,
  sos: 0xda,
  app0: 0xe0,
  app1: 0xe1,
  app2: 0xe2,
  app14: 0xee,
};
const cutShort = 'It breaks off in the middle. Save it again, or take it anew.';
const headBytes = 16;
const profile = Buffer.from('ICC_PROFILE\0', 'latin1');
/** JFIF without the small picture it may hold. */
const plainJfif = (segment: Buffer): Buffer =>
  segment.length > 20 && segment.toString('latin1', 4, 9) === 'JFIF\0'
    ? Buffer.concat([Buffer.from([0xff, marker.app0, 0, headBytes]), segment.subarray(4, 16), Buffer.from([0, 0])])
    : segment;

/** Nothing but which way up it is (Exif 2.32, tag 0x0112). */
const orientationSegment = (orientation: number): Buffer =>
  Buffer.concat([
    Buffer.from([0xff, marker.app1, 0, 34]),
    Buffer.from('Exif\0\0MM\0*', 'latin1'),
    Buffer.from([0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, orientation, 0, 0, 0, 0, 0, 0]),
  ]);

/** Where the coded picture ends that begins at a place: at the next marker that is none of its own. */
const scanEnd = (bytes: Buffer, from: number): number => {
  for (let at = from; at + 1 < bytes.length; at++) {
    if (bytes[at] !== 0xff) continue;
    const next = bytes[at + 1] ?? 0;
    // A stuffed byte, one of eight restarts, or a filling byte.
    if (next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  throw new NoPicture(cutShort);
};

/** Frames and code tables (0xC0 to 0xCF), scans, tables of steps, lines and restarts: what a picture is drawn from. */
const draws = (kind: number): boolean => (kind >= 0xc0 && kind <= 0xcf) || (kind >= marker.sos && kind <= 0xdd);

/** What of a segment stays: all that the picture is drawn from, its colour profile with it, and nothing that was written about it. */
const kept = (kind: number, segment: Buffer): Buffer | null => {
  if (kind === marker.app0) return segment.toString('latin1', 4, 9) === 'JFIF\0' ? plainJfif(segment) : null;
  if (kind === marker.app2) return segment.subarray(4, 4 + profile.length).equals(profile) ? segment : null;
  // How its colours are coded.
  if (kind === marker.app14) return segment.toString('latin1', 4, 9) === 'Adobe' ? segment : null;
  return draws(kind) ? segment : null;
};

/**
 * A JPEG without what was written about it: where and with what it was taken, comments, small pictures, and whatever stands
 * behind its end. Its pixels, which way up it is and its colour profile stay. The same picture gives the same bytes, also
 * when it is cleaned again. Throws NoPicture where it holds none or breaks off (ISO/IEC 10918-1, annex B).
 */
export const cleanJpeg = (bytes: Buffer): Buffer => {
  const { orientation = 1 } = imageSize(bytes);
  const parts: Buffer[] = [Buffer.from([0xff, marker.soi])];
  let about = orientation > 1 && orientation <= 8 ? orientationSegment(orientation) : null;
  let pixels = 0;
  let at = 2;
  for (;;) {
    if (bytes[at] !== 0xff) throw new NoPicture(cutShort);
    const kind = bytes[at + 1] ?? 0;
    if (kind === 0xff) {
      at += 1;
      continue;
    }
    if (kind === marker.eoi) break;
    const end = at + 2 + (at + 4 <= bytes.length ? bytes.readUInt16BE(at + 2) : 0);
    if (end < at + 4 || end > bytes.length) throw new NoPicture(cutShort);
    const segment = kept(kind, bytes.subarray(at, end));
    // Behind JFIF, which wants to be the first, and before all else.
    if (about && kind !== marker.app0) {
      parts.push(about);
      about = null;
    }
    if (segment) parts.push(segment);
    at = end;
    if (kind === marker.sos) {
      const scanned = scanEnd(bytes, at);
      parts.push(bytes.subarray(at, scanned));
      pixels += scanned - at;
      at = scanned;
    }
  }
  if (pixels === 0) throw new NoPicture('It has a size, but no picture in it. Save it again, or take it anew.');
  return Buffer.concat([...parts, Buffer.from([0xff, marker.eoi])]);
};
