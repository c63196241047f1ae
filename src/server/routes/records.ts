import { Router } from 'express';
import { kindPath, readRecord, recordCreate, recordPath, recordWrite } from '../../contract/recordSchema.ts';
import type { RecordBodies, RecordKind } from '../../contract/records.ts';
import { Refusal } from '../refusal.ts';
import type { RecordService } from '../services/records.ts';
import { jsonBody } from './body.ts';
import { parse, parseText } from './parse.ts';

/** Reads the body of a record by its kind; refuses with `bad-record` and every fault, its path from the body's root. */
function bodyOf<K extends RecordKind>(kind: K, value: unknown): RecordBodies[K] {
  const reading = readRecord(kind, value);
  if ('faults' in reading) throw new Refusal('bad-record', { faults: reading.faults });
  return reading.body;
}

/** /api/records: the clay book, the kit and the scrap ledger. */
export function recordRoutes(service: RecordService): Router {
  const router = Router();

  router.get('/:kind', async (req, res) => {
    res.json(await service.list(parseText(kindPath, req.params).kind));
  });

  router.post('/:kind', jsonBody(), async (req, res) => {
    const { kind } = parseText(kindPath, req.params);
    const { body, id } = parse(recordCreate, req.body);
    res.status(201).json(await service.create(kind, bodyOf(kind, body), id));
  });

  router.put('/:kind/:id', jsonBody(), async (req, res) => {
    const { kind, id } = parseText(recordPath, req.params);
    const { body, baseRevision } = parse(recordWrite, req.body);
    res.json(await service.write(kind, id, { body: bodyOf(kind, body), baseRevision }));
  });

  router.delete('/:kind/:id', async (req, res) => {
    const { kind, id } = parseText(recordPath, req.params);
    await service.remove(kind, id);
    res.status(204).end();
  });

  router.post('/:kind/:id/put-back', async (req, res) => {
    const { kind, id } = parseText(recordPath, req.params);
    res.json(await service.putBack(kind, id));
  });

  return router;
}
