import { largestPhotographBytes, photographPx } from '@grey-keel/model';
import { imageSize } from 'image-size';
import type { Transaction } from 'sequelize';
import type { Database } from '../database/open-database.ts';

/** Why some bytes are no photograph that can be stored, in words; null where they are one. */
export const photographFault = (bytes: Buffer): string | null => {
  if (bytes.length > largestPhotographBytes)
    return `It has ${Math.ceil(bytes.length / 1000)} kB; up to ${largestPhotographBytes / 1000} kB are stored. Make it smaller.`;
  try {
    const { type, width, height } = imageSize(bytes);
    if (type !== 'jpg') return `It is of the type "${type ?? 'unknown'}". Save it as JPEG.`;
    if (Math.max(width, height) > photographPx)
      return `It is ${width} by ${height} pixels; up to ${photographPx} are stored. Make it smaller.`;
    return null;
  } catch {
    return 'It cannot be read as a picture. Save it as JPEG.';
  }
};

/** Photographs by id: stored once, never changed; what the plan says of them can come and go. */
export class Photographs {
  constructor(
    private readonly database: Database,
    private readonly now: () => Date,
  ) {}

  async get(id: string): Promise<Buffer | null> {
    return (await this.database.tables.photographs.findByPk(id))?.bytes ?? null;
  }

  /** Stores one; the same again is no other. */
  async put(id: string, bytes: Buffer): Promise<'stored' | 'id taken'> {
    return this.database.write(async (transaction) => {
      const there = await this.database.tables.photographs.findByPk(id, { transaction });
      if (there) return there.bytes.equals(bytes) ? 'stored' : 'id taken';
      await this.add({ [id]: bytes }, transaction);
      return 'stored';
    });
  }

  /** Stores several along with something else, or none of it; one whose id is there already stays. */
  async add(pictures: Readonly<Record<string, Buffer>>, transaction: Transaction): Promise<void> {
    const made_at = this.now().toISOString();
    await this.database.tables.photographs.bulkCreate(
      Object.entries(pictures).map(([id, bytes]) => ({ id, bytes, made_at })),
      { transaction, ignoreDuplicates: true },
    );
  }

  /** Those of these ids that are there. */
  async of(ids: readonly string[]): Promise<Record<string, Buffer>> {
    const rows = await this.database.tables.photographs.findAll({ where: { id: [...ids] } });
    return Object.fromEntries(rows.map(({ id, bytes }) => [id, bytes]));
  }
}
