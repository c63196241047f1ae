import { Router } from 'express';
import type { Design } from '../../contract/api.ts';
import { designPath, historyQuery, listQuery, restoreBody, revisionPath } from '../../contract/requests.ts';
import { fileStem } from '../../core/files/format/fileStem.ts';
import type { DesignService } from '../services/designs.ts';
import type { Workshop } from '../workshop/workshop.ts';
import { parse, parseText } from './parse.ts';
import { jsonBody, rawBody } from './body.ts';

/** How many there are in all, of which a page was sent. */
const TOTAL = 'X-Total-Count';

/** /api/designs: the shelf and its designs. Bodies of targets are read in the workshop. */
export function designRoutes(service: DesignService, workshop: Workshop): Router {
  const router = Router();

  router.get('/', async (req, res) => {
    const { text, total } = await service.list(parseText(listQuery, req.query));
    res.set(TOTAL, String(total)).type('json').send(text);
  });

  router.post('/', rawBody(), async (req, res) => {
    res.status(201).json(await service.create(await workshop.read('create', req.body as Buffer)));
  });

  router.get('/:id', async (req, res) => {
    res.type('json').send(await service.read(parseText(designPath, req.params).id));
  });

  router.put('/:id', rawBody(), async (req, res) => {
    const { id } = parseText(designPath, req.params);
    const { text, ...kept } = await service.write(id, await workshop.read('write', req.body as Buffer));
    // RFC 7240: who has sent a large target need not be sent it back.
    if (/\breturn=minimal\b/.test(req.get('Prefer') ?? '')) {
      res.set('Preference-Applied', 'return=minimal').json(kept);
    } else {
      res.type('json').send(await text());
    }
  });

  router.delete('/:id', async (req, res) => {
    await service.remove(parseText(designPath, req.params).id);
    res.status(204).end();
  });

  router.post('/:id/put-back', async (req, res) => {
    res.json(await service.putBack(parseText(designPath, req.params).id));
  });

  router.post('/:id/duplicate', async (req, res) => {
    res.status(201).json(await service.duplicate(parseText(designPath, req.params).id));
  });

  router.get('/:id/file', async (req, res) => {
    const design = JSON.parse(await service.read(parseText(designPath, req.params).id)) as Design;
    res.attachment(`${fileStem(design.name)}.fawn.json`).type('application/json');
    res.send(`${JSON.stringify(design.target, null, 2)}\n`);
  });

  router.get('/:id/revisions', async (req, res) => {
    const { id } = parseText(designPath, req.params);
    const { entries, total } = await service.history(id, parseText(historyQuery, req.query));
    res.set(TOTAL, String(total)).json(entries);
  });

  router.get('/:id/revisions/:number', async (req, res) => {
    const { id, number } = parseText(revisionPath, req.params);
    res.json(await service.revision(id, number));
  });

  router.post('/:id/revisions/:number/restore', jsonBody(), async (req, res) => {
    const { id, number } = parseText(revisionPath, req.params);
    const { baseRevision } = parse(restoreBody, req.body);
    res.json(await service.restore(id, number, baseRevision));
  });

  return router;
}
