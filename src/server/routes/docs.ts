import { Router } from 'express';
import helmet from 'helmet';
import { absolutePath } from 'swagger-ui-dist';
import { openApi } from '../openapi.ts';

/** The page: it loads the viewer and the document from this server. */
const PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width" />
    <title>Fawn Table: the API</title>
    <link rel="stylesheet" href="/api/docs/swagger-ui.css" />
  </head>
  <body>
    <div id="api"></div>
    <script src="/api/docs/swagger-ui-bundle.js"></script>
    <script src="/api/docs/start.js"></script>
  </body>
</html>
`;

const START = `SwaggerUIBundle({ url: '/api/docs/openapi.json', dom_id: '#api', validatorUrl: null });\n`;

/** Files of the viewer that the page loads. */
const FILES = ['swagger-ui.css', 'swagger-ui-bundle.js'] as const;

/** /api/docs: the API's document (OpenAPI 3.1), and a page to read it. */
export function docsRoutes(): Router {
  const router = Router();
  // The viewer writes styles into its elements.
  router.use(
    helmet.contentSecurityPolicy({
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        frameAncestors: ["'none'"],
      },
    }),
  );
  router.get('/', (_req, res) => void res.type('html').send(PAGE));
  router.get('/start.js', (_req, res) => void res.type('js').send(START));
  router.get('/openapi.json', (_req, res) => void res.json(openApi()));
  for (const name of FILES) router.get(`/${name}`, (_req, res) => res.sendFile(name, { root: absolutePath() }));
  return router;
}
