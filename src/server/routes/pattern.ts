import { Router } from 'express';
import type { Workshop } from '../workshop/workshop.ts';
import { printerCheckQuery } from '../../contract/requests.ts';
import { writeCheckSheet } from '../../print/checkSheet.ts';
import { rawBody } from './body.ts';
import { parseText } from './parse.ts';

/** /api/develop and /api/sheets: the computation its template files and those of a class, for a target that need not be kept; and the check of a printer. */
export function patternRoutes(workshop: Workshop): Router {
  const router = Router();

  router.post('/develop', rawBody(), async (req, res) => {
    const made = await workshop.make('develop', req.body as Buffer);
    res.type('json').send(made.kind === 'json' ? made.text : '');
  });

  router.post('/sheets', rawBody(), async (req, res) => {
    const made = await workshop.make('sheets', req.body as Buffer);
    if (made.kind === 'file') res.attachment(made.name).type(made.type).send(Buffer.from(made.bytes));
  });

  router.post('/class', rawBody(), async (req, res) => {
    const made = await workshop.make('class', req.body as Buffer);
    if (made.kind === 'file') res.attachment(made.name).type(made.type).send(Buffer.from(made.bytes));
  });

  router.get('/printer-check.pdf', async (req, res) => {
    const { paper } = parseText(printerCheckQuery, req.query);
    res
      .type('pdf')
      .attachment(`printer-check-${paper}.pdf`)
      .send(await writeCheckSheet(paper));
  });

  return router;
}
