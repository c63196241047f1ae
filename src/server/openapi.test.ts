import SwaggerParser from '@apidevtools/swagger-parser';
import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { mkdtempSync, readFileSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Router } from 'express';
import request from 'supertest';
import type { ErrorReply } from '../contract/api.ts';
import { ERRORS } from '../contract/errors.ts';
import { COMMON_REFUSALS, type Operation } from '../contract/operations/operation.ts';
import { OPERATIONS } from '../contract/operations/operations.ts';
import { RECORD_KINDS } from '../contract/recordSchema.ts';
import { buildApp, closedRouters, openRouters, type AppParts } from './app.ts';
import { openDatabase } from './models/database.ts';
import { openApi, type JsonSchema } from './openapi.ts';
import { ownWorkshop } from './workshop/workshop.ts';

let parts: AppParts;
let agent: ReturnType<typeof request>;
beforeAll(async () => {
  const photographs = mkdtempSync(join(tmpdir(), 'fawn-docs-'));
  const database = await openDatabase(':memory:');
  parts = { database, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null, photographs };
  agent = request(buildApp(parts));
});
afterAll(() => parts.database.close());

/** Every "method path" that a router answers. */
function routesOf(mount: string, router: Router): string[] {
  const all = router.stack.flatMap(({ route }) =>
    (route?.stack ?? []).map(({ method }) => `${method} ${mount}${route?.path}`.replace(/(.)\/$/, '$1')),
  );
  // A route that reads a body has several handlers.
  return [...new Set(all)];
}
const nameOf = ({ method, path }: Operation) => `${method} ${path}`;
const named = OPERATIONS.map((operation) => [nameOf(operation), operation] as const);

const SAMPLES: Readonly<Record<string, string>> = {
  kind: 'clay',
  number: '1',
  piece: '0',
  hash: '0'.repeat(64),
  size: 'small',
};
const SOME_ID = '00000000-0000-4000-8000-000000000000';
const addressOf = (path: string) => path.replace(/:(\w+)/g, (_, name: string) => SAMPLES[name] ?? SOME_ID);

describe('the OpenAPI document', () => {
  it('is valid', async () => {
    await expect(SwaggerParser.validate(JSON.parse(JSON.stringify(openApi())))).resolves.toBeDefined();
  });

  it('has every route of the server, and no other', () => {
    const routes = [...openRouters(parts), ...closedRouters(parts)].flatMap(([path, router]) => routesOf(path, router));
    const described = routes.filter((route) => !route.startsWith('get /api/docs'));
    expect(described.toSorted()).toEqual(OPERATIONS.map(nameOf).toSorted());
  });

  it('names every refusal of the catalogue', () => {
    const named = new Set<string>([
      ...COMMON_REFUSALS,
      'sign-in-needed',
      ...OPERATIONS.flatMap(({ refuses = [] }) => refuses),
    ]);
    expect([...named].toSorted()).toEqual(Object.keys(ERRORS).toSorted());
  });

  it.each(named)('%s refuses only what it says', async (_, { method, path, body, query, refuses = [] }) => {
    const known = [...COMMON_REFUSALS, ...refuses] as string[];
    const tries = [
      agent[method](addressOf(path)).query(query ? { 'no such key': '1' } : {}),
      ...(body
        ? [
            agent[method](addressOf(path)).type('json').send('{"no such key":1}'),
            agent[method](addressOf(path)).type('json').send('{'),
          ]
        : []),
    ];
    for (const tried of tries) {
      const { status, body: reply } = await tried;
      if (status >= 400) expect(known).toContain((reply as ErrorReply).error);
      if (query && tried === tries[0]) expect((reply as ErrorReply).error).toBe('bad-request');
    }
  });
});

/** The schema of an operation's body. */
function bodySchema(method: string, path: string): JsonSchema {
  const operation = openApi().paths[path]?.[method] as {
    requestBody: { content: { 'application/json': { schema: JsonSchema } } };
  };
  return operation.requestBody.content['application/json'].schema;
}

describe('the schemas of the document', () => {
  const DEMO = join(process.cwd(), 'demo');
  const targets = readdirSync(DEMO)
    .filter((name) => name.endsWith('.fawn.json'))
    .map((name) => [name, JSON.parse(readFileSync(join(DEMO, name), 'utf8')) as object] as const);
  let develop: ValidateFunction;
  beforeAll(() => {
    const ajv = new Ajv2020({ strict: false });
    addFormats(ajv);
    develop = ajv.compile(bodySchema('post', '/api/develop'));
  });

  it.each(targets)('take the sample %s', (_, target) => {
    develop({ target });
    expect(develop.errors ?? []).toEqual([]);
  });

  it.each([
    ['no target', {}],
    ['no name', { target: { ...targets[0]?.[1], name: undefined } }],
    ['a thickness in words', { target: { ...targets[0]?.[1], slab: { wall: 'thick' } } }],
    ['a join that there is not', { target: { ...targets[0]?.[1], base: { join: 'glued' } } }],
  ])('refuse %s', (_, body) => {
    expect(develop(JSON.parse(JSON.stringify(body)))).toBe(false);
  });

  it('has a shape for each kind of record', () => {
    const { properties } = bodySchema('post', '/api/records/{kind}');
    expect(properties?.['body']?.['oneOf'] ?? properties?.['body']?.['anyOf']).toHaveLength(RECORD_KINDS.length);
  });
});

describe('the page of the API', () => {
  it('loads what it shows from this server', async () => {
    const page = await agent.get('/api/docs').expect(200).expect('Content-Type', /html/);
    const loaded = [...page.text.matchAll(/(?:src|href)="([^"]+)"/g)].map(([, address = '']) => address);
    expect(loaded).toHaveLength(3);
    for (const address of loaded) await agent.get(address).expect(200);
    const document = await agent.get('/api/docs/openapi.json').expect(200);
    expect(document.body).toEqual(JSON.parse(JSON.stringify(openApi())));
  });
});
