import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router } from 'express';
import { dryQuery, madePath, madeQuery } from '../../contract/madeSchema.ts';
import type { CsvReading } from '../../contract/recordsCsv.ts';
import type { DryPieces } from '../services/dryPieces.ts';
import type { MadeService } from '../services/made.ts';
import type { PieceCosts } from '../services/pieceCosts.ts';
import type { RecordsTable } from '../services/recordsTable.ts';
import type { Workshop } from '../workshop/workshop.ts';
import { tableBody } from './body.ts';
import { parseText } from './parse.ts';

/** A missing body counts as empty. */
const bytesOf = (body: unknown) => (Buffer.isBuffer(body) ? body : new Uint8Array());

/** The services behind the routes of what was made. */
export interface MadeServices {
  readonly made: MadeService;
  readonly costs: PieceCosts;
  readonly dry: DryPieces;
  readonly table: RecordsTable;
  readonly workshop: Workshop;
}

/** /api/made: what was made, and what it shows. */
export function madeRoutes({ made, costs, dry, table, workshop }: MadeServices): Router {
  const router = Router();

  router.get('/', async (req, res) => {
    const { lines, total } = await made.search(parseText(madeQuery, req.query));
    res.set('X-Total-Count', String(total)).json(lines);
  });

  router.get('/learning', async (_req, res) => {
    res.type('json').send(await made.learning());
  });

  router.get('/dry', async (req, res) => {
    const { lines, total } = await dry(parseText(dryQuery, req.query));
    res.set('X-Total-Count', String(total)).json(lines);
  });

  router.get('/costs/:making/:piece', async (req, res) => {
    const { making, piece } = parseText(madePath, req.params);
    res.json(await costs.costs(making, piece));
  });

  router.get('/records.csv', async (_req, res) => {
    res.type('text/csv').attachment('fawn-table-records.csv');
    await pipeline(Readable.from(table.write()), res);
  });

  router.post('/records.csv', tableBody(), async (req, res) => {
    const read = await workshop.make('records', bytesOf(req.body));
    res.json(
      await table.keep(JSON.parse(read.kind === 'json' ? read.text : '') as Extract<CsvReading, { kind: 'makings' }>),
    );
  });

  return router;
}
