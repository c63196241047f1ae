import { Router } from 'express';
import { developBody, templateBody } from '../../contract/requests.ts';
import { developWhole } from '../../core/piece/develop.ts';
import { fileStem } from '../../core/format/fileStem.ts';
import { TEMPLATE_TYPES } from '../../print/templateFormat.ts';
import { writeTemplate } from '../../print/writeTemplate.ts';
import { parse, parseTarget } from './parse.ts';

/** /api/develop and /api/sheets: the computation and its template files, for a target that need not be kept. */
export function patternRoutes(): Router {
  const router = Router();

  router.post('/develop', (req, res) => {
    res.json(developWhole(parseTarget(parse(developBody, req.body).target)));
  });

  router.post('/sheets', async (req, res) => {
    const { target, format, paper, units, marks } = parse(templateBody, req.body);
    const piece = parseTarget(target);
    const { parts } = developWhole(piece);
    const file = await writeTemplate(parts, format, { name: piece.name, paper, style: { unit: units, marks } });
    res
      .attachment(`${fileStem(piece.name)}.${format}`)
      .type(TEMPLATE_TYPES[format])
      .send(file);
  });

  return router;
}
