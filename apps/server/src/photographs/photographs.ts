import { largestPhotographBytes, photographPx } from '@grey-keel/model';
import { imageSize } from 'image-size';
import { QueryTypes, type Transaction } from 'sequelize';
import * as z from 'zod';
import type { Database } from '../database/open-database.ts';
import { cleanJpeg, NoPicture } from './clean-jpeg.ts';

export type Taken = { readonly ok: true; readonly bytes: Buffer } | { readonly ok: false; readonly fault: string };

const refused = (fault: string): Taken => ({ ok: false, fault });

/** A picture as it is stored, without what was written about it; or why it cannot be, in words. */
export const cleanedPhotograph = (bytes: Buffer): Taken => {
  if (bytes.length > largestPhotographBytes)
    return refused(
      `It has ${Math.ceil(bytes.length / 1000)} kB; up to ${largestPhotographBytes / 1000} kB are stored. Make it smaller.`,
    );
  try {
    const { type, width, height } = imageSize(bytes);
    if (type !== 'jpg') return refused(`It is of the type "${type ?? 'unknown'}". Save it as JPEG.`);
    if (Math.max(width, height) > photographPx)
      return refused(`It is ${width} by ${height} pixels; up to ${photographPx} are stored. Make it smaller.`);
    return { ok: true, bytes: cleanJpeg(bytes) };
  } catch (error) {
    return refused(error instanceof NoPicture ? error.message : 'It cannot be read as a picture. Save it as JPEG.');
  }
};

/** So long a picture stays that nothing names: the edit that does may still wait in a browser. */
export const graceMs = 30 * 24 * 3600e3;
const cleanedName = 'photographs-cleaned';
const cleanedSchema = z.strictObject({ at: z.string(), cleaned: z.number() });

/** Whether some revision or snapshot names a picture, of whatever boat: deleted ones and named states have no others. */
const namedSomewhere = `
  EXISTS (SELECT 1 FROM snapshots WHERE instr(plan, '"' || photographs.id || '"'))
  OR EXISTS (SELECT 1 FROM revisions
    WHERE instr(edits, '"' || photographs.id || '"') OR instr(patches, '"' || photographs.id || '"'))`;

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

  /** Deletes the pictures that nothing names and that are older than the grace; says which. */
  async collect(): Promise<string[]> {
    const { sequelize } = this.database;
    const old = new Date(this.now().getTime() - graceMs).toISOString();
    const unnamed = await sequelize.query<{ id: string }>(
      `SELECT id FROM photographs WHERE made_at < :old AND NOT (${namedSomewhere})`,
      { replacements: { old }, type: QueryTypes.SELECT },
    );
    const ids = unnamed.map(({ id }) => id);
    if (ids.length === 0) return [];
    // One that is named meanwhile stays: nothing is written between the question and the deletion.
    await this.database.write((transaction) =>
      sequelize.query(`DELETE FROM photographs WHERE id IN (:ids) AND NOT (${namedSomewhere})`, {
        replacements: { ids },
        transaction,
      }),
    );
    const left = await this.of(ids);
    return ids.filter((id) => !(id in left));
  }

  /** Cleans what was stored before pictures were cleaned; how many that were. It is done once. */
  async cleanStored(): Promise<number> {
    const { photographs, settings } = this.database.tables;
    if (await settings.findByPk(cleanedName)) return 0;
    let cleaned = 0;
    for (const { id } of await photographs.findAll({ attributes: ['id'] })) {
      const before = await this.get(id);
      const after = before && cleanedPhotograph(before);
      if (before === null || !after?.ok || after.bytes.equals(before)) continue;
      await this.database.write((transaction) =>
        photographs.update({ bytes: after.bytes }, { where: { id }, transaction }),
      );
      cleaned += 1;
    }
    const value = JSON.stringify({ at: this.now().toISOString(), cleaned });
    await this.database.write((transaction) => settings.upsert({ name: cleanedName, value }, { transaction }));
    return cleaned;
  }

  /** When stored pictures were cleaned; null where none had to be. Older backups have them as they were. */
  async cleanedAt(): Promise<string | null> {
    const row = await this.database.tables.settings.findByPk(cleanedName);
    const said = row && cleanedSchema.parse(JSON.parse(row.value));
    return said && said.cleaned > 0 ? said.at : null;
  }
}
