import { aJpeg, segment } from '../../apps/server/src/testing/a-jpeg.ts';
import type { FuzzSender } from './sender.ts';

/** Photographs with a position in them, some spoilt: what is stored must not hold it. */
export const photographInput = ({ random, newId, send, fault }: FuzzSender): (() => Promise<void>) => {
  const takePicture = async (): Promise<void> => {
    const about = segment(0xe1, Buffer.from('Exif\0\0II*\0 position'));
    const bytes = Buffer.from(aJpeg(1 + Math.floor(1400 * random()), 6, { segments: [about], after: about }));
    for (let i = Math.floor(4 * random()); i > 0; i--)
      bytes[Math.floor(random() * bytes.length)] = Math.floor(256 * random());
    const whole = random() < 0.2 ? bytes.subarray(0, Math.floor(random() * bytes.length)) : bytes;
    const id = newId();
    const reply = await send('PUT', `/api/photographs/${id}`, whole, { 'content-type': 'image/jpeg' });
    if (reply?.status !== 204) return;
    const stored = await send('GET', `/api/photographs/${id}`);
    if (stored?.bytes.includes('position') !== false)
      fault('PUT photograph', 'stored with its position', whole.toString('hex'));
  };
  return takePicture;
};
