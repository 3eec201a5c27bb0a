/** A picture as it is stored: smaller, JPEG, and without what a camera writes into its file, the place among it. */
export interface ShrunkPicture {
  readonly picture: Blob;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Of the JPEG: the next one where the picture takes too many bytes, as gravel and weed do. */
const qualities = [0.8, 0.6, 0.4, 0.2] as const;

/**
 * Draws a picture anew so that its longer side has at most so many pixels, and its file at most so many bytes as far as
 * that goes. Rejects where the file holds no picture.
 */
export const shrinkPicture = async (file: Blob, longestPx: number, mostBytes: number): Promise<ShrunkPicture> => {
  // Turned as the camera was held.
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, longestPx / Math.max(picture.width, picture.height));
  const widthPx = Math.max(1, Math.round(picture.width * scale));
  const heightPx = Math.max(1, Math.round(picture.height * scale));
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser draws no pictures.');
  // What is clear in the original would be black.
  context.fillStyle = '#fff';
  context.fillRect(0, 0, widthPx, heightPx);
  context.drawImage(picture, 0, 0, widthPx, heightPx);
  picture.close();
  let shrunk = new Blob();
  for (const quality of qualities) {
    shrunk = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (shrunk.size <= mostBytes) break;
  }
  return { picture: shrunk, widthPx, heightPx };
};
