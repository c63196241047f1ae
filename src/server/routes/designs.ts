import { Router } from 'express';
import { createBody, designPath, listQuery, restoreBody, revisionPath, writeBody } from '../../contract/requests.ts';
import type { DesignService } from '../services/designs.ts';
import { fileStem } from '../../core/format/fileStem.ts';
import { parse, parseTarget, parseText } from './parse.ts';

/** /api/designs: the shelf and its designs. */
export function designRoutes(service: DesignService): Router {
  const router = Router();

  router.get('/', async (req, res) => {
    res.json(await service.list(parseText(listQuery, req.query)));
  });

  router.post('/', async (req, res) => {
    const { target } = parse(createBody, req.body);
    res.status(201).json(await service.create(parseTarget(target)));
  });

  router.get('/:id', async (req, res) => {
    res.json(await service.read(parseText(designPath, req.params).id));
  });

  router.put('/:id', async (req, res) => {
    const { id } = parseText(designPath, req.params);
    const { target, baseRevision } = parse(writeBody, req.body);
    const { target: kept, ...rest } = await service.write(id, { target: parseTarget(target), baseRevision });
    // RFC 7240: who has sent a large target need not be sent it back.
    const minimal = /\breturn=minimal\b/.test(req.get('Prefer') ?? '');
    if (minimal) res.set('Preference-Applied', 'return=minimal');
    res.json(minimal ? rest : { ...rest, target: kept });
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
    const design = await service.read(parseText(designPath, req.params).id);
    res.attachment(`${fileStem(design.name)}.fawn.json`).type('application/json');
    res.send(`${JSON.stringify(design.target, null, 2)}\n`);
  });

  router.get('/:id/revisions', async (req, res) => {
    res.json(await service.history(parseText(designPath, req.params).id));
  });

  router.get('/:id/revisions/:number', async (req, res) => {
    const { id, number } = parseText(revisionPath, req.params);
    res.json(await service.revision(id, number));
  });

  router.post('/:id/revisions/:number/restore', async (req, res) => {
    const { id, number } = parseText(revisionPath, req.params);
    const { baseRevision } = parse(restoreBody, req.body);
    res.json(await service.restore(id, number, baseRevision));
  });

  return router;
}
