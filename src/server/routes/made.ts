import { Router } from 'express';
import { madeQuery } from '../../contract/madeSchema.ts';
import type { MadeService } from '../services/made.ts';
import { parseText } from './parse.ts';

/** /api/made: what was made, and what it says. */
export function madeRoutes(service: MadeService): Router {
  const router = Router();

  router.get('/', async (req, res) => {
    const { lines, total } = await service.search(parseText(madeQuery, req.query));
    res.set('X-Total-Count', String(total)).json(lines);
  });

  router.get('/learning', async (_req, res) => {
    res.type('json').send(await service.learning());
  });

  return router;
}
