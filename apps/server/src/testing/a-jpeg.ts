/** What may be written about a picture besides its pixels. */
export interface About {
  readonly segments?: readonly Buffer[];
  readonly after?: Buffer;
  /** Bytes of the coded picture: its pixels are not drawn anywhere here. */
  readonly scan?: Buffer;
}

export const segment = (kind: number, content: Buffer): Buffer => {
  const length = Buffer.alloc(2);
  length.writeUInt16BE(content.length + 2);
  return Buffer.concat([Buffer.from([0xff, kind]), length, content]);
};

/** The parts of a JPEG of a size, with a coded picture that nobody draws. */
export const aJpeg = (
  wide: number,
  high: number,
  { segments = [], after, scan = Buffer.from([0x12, 0xff, 0, 0x34]) }: About = {},
): Buffer =>
  Buffer.concat([
    Buffer.from('ffd8', 'hex'),
    segment(0xe0, Buffer.from('4a46494600010100000100010000', 'hex')),
    ...segments,
    segment(
      0xc0,
      Buffer.concat([
        Buffer.from([8, high >> 8, high & 255, wide >> 8, wide & 255]),
        Buffer.from('03012200021101031101', 'hex'),
      ]),
    ),
    segment(0xda, Buffer.from('03010002110311003f00', 'hex')),
    scan,
    Buffer.from('ffd9', 'hex'),
    ...(after ? [after] : []),
  ]);
