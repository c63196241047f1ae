import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Spot } from '../../core/studio/making/making.ts';
import type { Database } from '../models/database.ts';
import { Refusal } from '../refusal.ts';

/** Longer side of a kept photograph and of its thumbnail (px). */
const SIDES = { full: 2400, small: 320 } as const;

/** A size in which a photograph is kept. */
export type PhotographSize = keyof typeof SIDES;

/** Larger pictures are not opened (px). */
const MOST_PIXELS = 120_000_000;

/** A photograph as it comes from a browser, with the id that it chose. */
export interface PhotographStart extends Spot {
  readonly id: string;
  readonly at: string;
}

/** Formats of cameras. Drawings, which may refer to other files, are not opened. */
const FORMATS = ['jpeg', 'png', 'webp', 'heif'];

/** Re-encodes a picture upright, without the camera's metadata: place, time, owner. */
async function encoded(bytes: Buffer, size: PhotographSize) {
  const side = SIDES[size];
  try {
    const { format } = await sharp(bytes).metadata();
    if (!FORMATS.includes(format ?? '')) throw new Refusal('bad-photograph');
    return await sharp(bytes, { limitInputPixels: MOST_PIXELS })
      .autoOrient()
      .resize(side, side, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: size === 'full' ? 86 : 78 })
      .toBuffer({ resolveWithObject: true });
  } catch {
    throw new Refusal('bad-photograph');
  }
}

/**
 * Stores photographs by content in a folder of the data folder, so that one that is sent twice is stored once.
 *
 * @param folder where the pictures lie; made when the first one comes
 */
export function photographService({ photographs, makings, write }: Database, folder: string) {
  const fileOf = (hash: string, size: PhotographSize) =>
    join(folder, hash.slice(0, 2), `${hash}${size === 'small' ? '-small' : ''}.jpg`);

  async function lay(file: string, bytes: Buffer, part: string): Promise<void> {
    if (existsSync(file)) return;
    await mkdir(join(file, '..'), { recursive: true });
    await writeFile(`${file}.${part}`, bytes);
    await rename(`${file}.${part}`, file);
  }

  return {
    /** Keeps a photograph once by its id. Refuses with `making-not-found`, and with `bad-photograph` what is no picture. */
    async keep(makingId: string, { id, piece, number, step, at }: PhotographStart, bytes: Buffer): Promise<void> {
      if (!(await makings.findByPk(makingId, { attributes: ['id'] }))) throw new Refusal('making-not-found');
      if (await photographs.findByPk(id, { attributes: ['id'] })) return;
      const full = await encoded(bytes, 'full');
      const small = await encoded(full.data, 'small');
      const hash = createHash('sha256').update(full.data).digest('hex');
      await lay(fileOf(hash, 'small'), small.data, id);
      await lay(fileOf(hash, 'full'), full.data, id);
      const { width, height } = full.info;
      const row = { id, makingId, piece, number, step, at, hash, width, height };
      await write((transaction) => photographs.bulkCreate([row] as never, { transaction, ignoreDuplicates: true }));
    },

    /** The file of a photograph; refuses with `not-found`. */
    file(hash: string, size: PhotographSize): string {
      const file = fileOf(hash, size);
      if (!existsSync(file)) throw new Refusal('not-found');
      return file;
    },
  };
}

/** Photographs as the routes use them. */
export type PhotographService = ReturnType<typeof photographService>;
