import { shrinkPicture } from './shrink-picture.ts';

/** A picture in which no two pixels are alike, as PNG. */
const gravel = async (wide: number, high: number): Promise<Blob> => {
  const canvas = new OffscreenCanvas(wide, high);
  const context = canvas.getContext('2d')!;
  const pixels = context.createImageData(wide, high);
  for (let i = 0, seed = 7; i < pixels.data.length; i++) {
    seed = (seed * 16_807) % 2_147_483_647;
    pixels.data[i] = i % 4 === 3 ? 255 : seed % 256;
  }
  context.putImageData(pixels, 0, 0);
  return canvas.convertToBlob();
};

describe('a picture that is taken in', () => {
  it('is made smaller, its sides in proportion, and takes no more bytes than it may', async () => {
    const { picture, widthPx, heightPx } = await shrinkPicture(await gravel(1600, 400), 800, 50_000);
    expect([widthPx, heightPx, picture.type]).toEqual([800, 200, 'image/jpeg']);
    expect(picture.size).toBeLessThanOrEqual(50_000);
    const { width, height } = await createImageBitmap(picture);
    expect([width, height]).toEqual([800, 200]);
    const roomy = await shrinkPicture(await gravel(1600, 400), 800, 900_000);
    expect(roomy.picture.size).toBeGreaterThan(50_000);
  });

  it('stays as large as it is where it is small, and is white where it was clear', async () => {
    const blank = new OffscreenCanvas(40, 30);
    blank.getContext('2d');
    const clear = await blank.convertToBlob();
    const { picture, widthPx, heightPx } = await shrinkPicture(clear, 800, 900_000);
    expect([widthPx, heightPx]).toEqual([40, 30]);
    const canvas = new OffscreenCanvas(40, 30);
    const context = canvas.getContext('2d')!;
    context.drawImage(await createImageBitmap(picture), 0, 0);
    expect([...context.getImageData(20, 15, 1, 1).data]).toEqual([255, 255, 255, 255]);
  });

  it('is refused where it is none', async () => {
    await expectAsync(shrinkPicture(new Blob(['a note'], { type: 'image/jpeg' }), 800, 900_000)).toBeRejected();
  });
});
