import { Router, raw } from 'express';
import { photographFile, photographPath, photographQuery } from '../../contract/makingSchema.ts';
import type { PhotographService } from '../services/photographs.ts';
import { parseText } from './parse.ts';

/** Largest photograph that is taken. */
const LIMIT = '30mb';

/** Photographs of makings: sent as they are, kept as JPEG, read by their hash. */
export function photographRoutes(service: PhotographService): Router {
  const router = Router();

  router.put('/makings/:id/photographs/:photograph', raw({ limit: LIMIT, type: () => true }), async (req, res) => {
    const { id, photograph } = parseText(photographPath, req.params);
    const spot = parseText(photographQuery, req.query);
    await service.keep(id, { ...spot, id: photograph }, Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0));
    res.status(204).end();
  });

  router.get('/photographs/:hash/:size.jpg', (req, res) => {
    const { hash, size } = parseText(photographFile, req.params);
    // A file with this hash never changes.
    res.sendFile(service.file(hash, size), { immutable: true, maxAge: '365d', cacheControl: true });
  });

  return router;
}
