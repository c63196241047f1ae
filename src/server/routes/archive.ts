import { createWriteStream, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { randomUUID } from 'node:crypto';
import { Transform } from 'node:stream';
import { Router, type Request } from 'express';
import type { ArchiveOffer } from '../../contract/archive.ts';
import { archivePath, archiveWord } from '../../contract/requests.ts';
import { clashesOf, mergeArchive, restoreExactly } from '../archive/applyArchive.ts';
import { ARCHIVE_LIMITS, BadArchive } from '../archive/archiveFormat.ts';
import { stageArchive, type StagedArchive } from '../archive/stageArchive.ts';
import { writeArchive } from '../archive/writeArchive.ts';
import type { Database } from '../models/database.ts';
import { Refusal } from '../refusal.ts';
import { jsonBody } from './body.ts';
import { parse, parseText } from './parse.ts';

/** How long an opened archive waits for confirmation (ms). */
const WAITS = 3600_000;

/** Streams a body to a new file. */
async function received(req: Request, file: string): Promise<void> {
  let bytes = 0;
  const counted = new Transform({
    transform(chunk: Buffer, _encoding, next) {
      bytes += chunk.length;
      if (bytes > ARCHIVE_LIMITS.all) next(new Refusal('too-large'));
      else next(null, chunk);
    },
  });
  await pipeline(req, counted, createWriteStream(file));
}

/** /api/archive: exports the whole studio as one file, and imports one: it is first read and checked, then applied on confirmation. */
export function archiveRoutes(database: Database, photographs: string | null): Router {
  const router = Router();
  let held: { readonly token: string; readonly staged: StagedArchive; readonly timer: NodeJS.Timeout } | null = null;

  async function letGo(): Promise<void> {
    const last = held;
    held = null;
    if (!last) return;
    clearTimeout(last.timer);
    await last.staged.clear();
  }
  function holding(token: string): StagedArchive {
    if (held?.token !== token) throw new Refusal('archive-not-found');
    return held.staged;
  }

  router.get('/', async (_req, res) => {
    const now = new Date();
    const archive = await writeArchive(database, photographs, now);
    res.attachment(`fawn-table-${now.toISOString().slice(0, 10)}.zip`).type('application/zip');
    await pipeline(archive, res);
  });

  router.post('/', async (req, res) => {
    const place = mkdtempSync(join(tmpdir(), 'fawn-sent-'));
    try {
      const file = join(place, 'archive.zip');
      await received(req, file);
      const staged = await stageArchive(file);
      await letGo();
      const token = randomUUID();
      const timer = setTimeout(() => void letGo(), WAITS);
      timer.unref();
      held = { token, staged, timer };
      const { madeAt, counts } = staged.manifest;
      const offer: ArchiveOffer = { token, madeAt, counts, clashes: await clashesOf(database, staged) };
      res.status(201).json(offer);
    } catch (error) {
      if (!(error instanceof BadArchive)) throw error;
      throw new Refusal('bad-archive', {
        faults: [{ code: 'unreadable', path: '', value: 'archive', rule: error.message }],
      });
    } finally {
      rmSync(place, { recursive: true, force: true });
    }
  });

  router.post('/:token', jsonBody(), async (req, res) => {
    const { token } = parseText(archivePath, req.params);
    const word = parse(archiveWord, req.body);
    const staged = holding(token);
    if (word.mode === 'exactly') await restoreExactly(database, staged, photographs);
    else {
      const decides = new Set(word.archive.map(({ kind, id }) => `${kind} ${id}`));
      await mergeArchive(database, {
        staged,
        photographs,
        counts: ({ kind, id }) => (decides.has(`${kind} ${id}`) ? 'archive' : 'here'),
      });
    }
    await letGo();
    res.status(204).end();
  });

  router.delete('/:token', async (req, res) => {
    holding(parseText(archivePath, req.params).token);
    await letGo();
    res.status(204).end();
  });

  return router;
}
