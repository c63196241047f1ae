import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import { madeQuery } from '../../contract/madeSchema.ts';
import type { CsvReading } from '../../contract/recordsCsv.ts';
import type { MadeService } from '../services/made.ts';
import type { RecordsTable } from '../services/recordsTable.ts';
import type { Workshop } from '../workshop/workshop.ts';
import { tableBody } from './body.ts';
import { parseText } from './parse.ts';

/** A body that was not sent is empty. */
const bytesOf = (body: unknown) => (Buffer.isBuffer(body) ? body : new Uint8Array());

/** /api/made: what was made, and what it says. */
export function madeRoutes(service: MadeService, table: RecordsTable, workshop: Workshop): Router {
  const router = Router();

  router.get('/', async (req, res) => {
    const { lines, total } = await service.search(parseText(madeQuery, req.query));
    res.set('X-Total-Count', String(total)).json(lines);
  });

  router.get('/learning', async (_req, res) => {
    res.type('json').send(await service.learning());
  });

  router.get('/records.csv', async (_req, res) => {
    res.type('text/csv').attachment('fawn-table-records.csv');
    await pipeline(Readable.from(table.write()), res);
  });

  router.post('/records.csv', tableBody(), async (req, res) => {
    const made = await workshop.make('records', bytesOf(req.body));
    const { makings } = JSON.parse(made.kind === 'json' ? made.text : '') as Extract<CsvReading, { kind: 'makings' }>;
    res.json(await table.keep(makings));
  });

  return router;
}
