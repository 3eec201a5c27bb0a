import { imageSize } from 'image-size';
import { aJpeg, segment } from '../testing/a-jpeg.ts';
import { cleanJpeg, NoPicture } from './clean-jpeg.ts';

/** Which way up, and where it was taken, as a telephone writes it: little-endian, with a second directory. */
const exif = (orientation: number): Buffer =>
  segment(
    0xe1,
    Buffer.concat([
      Buffer.from('Exif\0\0II*\0', 'latin1'),
      Buffer.from([8, 0, 0, 0, 2, 0]),
      Buffer.from([0x12, 1, 3, 0, 1, 0, 0, 0, orientation, 0, 0, 0]),
      Buffer.from([0x25, 0x88, 4, 0, 1, 0, 0, 0, 38, 0, 0, 0]),
      Buffer.from([0, 0, 0, 0]),
      Buffer.from('GPS 47 12 33 N', 'latin1'),
    ]),
  );
const profile = segment(0xe2, Buffer.from('ICC_PROFILE\0\x01\x01colours', 'latin1'));
const adobe = segment(0xee, Buffer.from('Adobe\0\x64\0\0\0\0\x01', 'latin1'));
const spoken = [
  segment(0xe1, Buffer.from('http://ns.adobe.com/xap/1.0/\0<gps>47.2</gps>', 'latin1')),
  segment(0xe2, Buffer.from('MPF\0second picture', 'latin1')),
  segment(0xed, Buffer.from('Photoshop 3.0\0by somebody', 'latin1')),
  segment(0xfe, Buffer.from('taken behind the island', 'latin1')),
  // Of a kind that no picture has.
  segment(0x24, Buffer.from('Exif\0\0 47.2 N', 'latin1')),
];

describe('a photograph that is cleaned', () => {
  it('loses where it was taken, comments, and what stands behind its end; its colours and pixels stay', () => {
    const after = Buffer.from('a second file with a position');
    const cleaned = cleanJpeg(aJpeg(8, 6, { segments: [exif(1), profile, adobe, ...spoken], after }));
    expect(cleaned.equals(aJpeg(8, 6, { segments: [profile, adobe] }))).toBeTrue();
  });

  it('stays the way up it was, and is the same bytes each time it is cleaned', () => {
    for (const orientation of [2, 3, 6, 8]) {
      const cleaned = cleanJpeg(aJpeg(8, 6, { segments: [exif(orientation), profile] }));
      expect(imageSize(cleaned).orientation).toBe(orientation);
      expect(cleaned.includes('GPS')).toBeFalse();
      expect(cleanJpeg(cleaned).equals(cleaned)).toBeTrue();
    }
  });

  it('keeps every scan of a picture that is drawn in several, and the small picture of its head goes', () => {
    const scans = Buffer.concat([
      Buffer.from([1, 0xff, 0xd0, 2, 0xff, 0, 3]),
      segment(0xc4, Buffer.from([0, 1, 2])),
      segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])),
      Buffer.from([4, 5]),
    ]);
    expect(cleanJpeg(aJpeg(8, 6, { scan: scans })).equals(aJpeg(8, 6, { scan: scans }))).toBeTrue();
    const plain = aJpeg(8, 6);
    const small = segment(
      0xe0,
      Buffer.concat([Buffer.from('4a464946000101000001000101', 'hex'), Buffer.from([1, 9, 9, 9])]),
    );
    const withSmall = Buffer.concat([plain.subarray(0, 2), small, plain.subarray(20)]);
    expect(cleanJpeg(withSmall).equals(plain)).toBeTrue();
  });

  it('is refused without pixels, or cut short anywhere', () => {
    expect(() => cleanJpeg(aJpeg(8, 6, { scan: Buffer.alloc(0) }))).toThrowError(NoPicture, /no picture in it/);
    const whole = aJpeg(8, 6, { segments: [profile] });
    for (let length = 60; length < whole.length; length++)
      expect(() => cleanJpeg(whole.subarray(0, length)))
        .withContext(`${length}`)
        .toThrow();
  });
});
