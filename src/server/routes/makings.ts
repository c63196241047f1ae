import { Router } from 'express';
import {
  foundQuery,
  makingChange,
  makingEntries,
  makingPath,
  makingsQuery,
  makingStart,
} from '../../contract/makingSchema.ts';
import { packNow } from '../../contract/makings.ts';
import { calendarOf } from '../services/calendar.ts';
import type { MakingService } from '../services/makings.ts';
import type { RecordService } from '../services/records.ts';
import { jsonBody } from './body.ts';
import { parse, parseText } from './parse.ts';

/** /api/makings: what is in work, and what was made. */
export function makingRoutes(service: MakingService, records: RecordService): Router {
  const router = Router();

  router.get('/', async (req, res) => {
    const { lines, total } = await service.list(parseText(makingsQuery, req.query));
    res.set('X-Total-Count', String(total)).json(lines);
  });

  router.get('/now', async (_req, res) => {
    res.json(packNow(await service.now()));
  });

  router.get('/calendar.ics', async (_req, res) => {
    const [makings, orders] = await Promise.all([service.now(), records.list('order')]);
    const found = await service.foundBeside(makings);
    res
      .type('text/calendar')
      .attachment('fawn-table.ics')
      .send(calendarOf({ makings, orders }, found, Date.now()));
  });

  router.get('/found', async (req, res) => {
    res.json(await service.found(parseText(foundQuery, req.query).clay));
  });

  router.post('/', jsonBody(), async (req, res) => {
    res.status(201).json(await service.begin(parse(makingStart, req.body)));
  });

  router.get('/:id', async (req, res) => {
    res.json(await service.read(parseText(makingPath, req.params).id));
  });

  router.put('/:id', jsonBody(), async (req, res) => {
    const { id } = parseText(makingPath, req.params);
    res.json(await service.change(id, parse(makingChange, req.body)));
  });

  router.post('/:id/entries', jsonBody(), async (req, res) => {
    const { id } = parseText(makingPath, req.params);
    res.json(await service.keep(id, parse(makingEntries, req.body)));
  });

  router.delete('/:id', async (req, res) => {
    await service.remove(parseText(makingPath, req.params).id);
    res.status(204).end();
  });

  router.post('/:id/put-back', async (req, res) => {
    res.json(await service.putBack(parseText(makingPath, req.params).id));
  });

  return router;
}
