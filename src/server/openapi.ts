import type Joi from 'joi';
import { ERRORS, type ErrorCode } from '../contract/errors.ts';
import { TARGET_VERSION } from '../core/target/target.ts';
import { COMMON_REFUSALS, type Operation } from '../contract/operations/operation.ts';
import { OPERATIONS } from '../contract/operations/operations.ts';

/** A JSON schema (draft 2020-12). */
export interface JsonSchema {
  readonly type?: string;
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly required?: readonly string[];
  readonly [key: string]: unknown;
}

/** An OpenAPI 3.1 document: operations by path and method. */
export interface OpenApi {
  readonly openapi: string;
  readonly info: { readonly title: string; readonly description: string; readonly version: string };
  readonly paths: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, JsonSchema>> };
}

const JSON_TYPE = 'application/json';

/** A Joi schema as a JSON schema (draft 2020-12), which OpenAPI 3.1 takes as it is. */
function schemaOf(schema: Joi.Schema): JsonSchema {
  return schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' }) as JsonSchema;
}

function parametersOf(place: 'path' | 'query', schema: Joi.ObjectSchema | undefined) {
  if (!schema) return [];
  const { properties = {}, required = [] } = schemaOf(schema);
  return Object.entries(properties).map(([name, shape]) => ({
    name,
    in: place,
    required: place === 'path' || required.includes(name),
    schema: shape,
  }));
}

function bodyOf(body: NonNullable<Operation['body']>) {
  const content =
    'type' in body && !('validate' in body)
      ? { [body.type]: { schema: { type: 'string', format: 'binary' } } }
      : { [JSON_TYPE]: { schema: schemaOf(body as Joi.ObjectSchema) } };
  return { required: true, content };
}

function replyOf({ description, status, body, types = [], paged }: Operation['reply']) {
  const binary = { schema: { type: 'string', format: 'binary' } };
  const content = body
    ? { [JSON_TYPE]: { schema: schemaOf(body) } }
    : Object.fromEntries(types.map((type) => [type, binary]));
  const total = { description: 'Length of the whole list', schema: { type: 'integer' } };
  return {
    description,
    ...(paged && { headers: { 'X-Total-Count': total } }),
    ...(status !== 204 && { content }),
  };
}

/** Refusals by their status, each named with what it means. */
function refusalsOf(codes: readonly ErrorCode[]) {
  const statuses = new Set(codes.map((code) => ERRORS[code].status));
  const wordsOf = (status: number) => {
    const those = codes.filter((code) => ERRORS[code].status === status);
    return those.map((code) => `\`${code}\`: ${ERRORS[code].message}`).join('\n\n');
  };
  return Object.fromEntries(
    [...statuses].map((status) => [
      status,
      {
        description: wordsOf(status),
        content: { [JSON_TYPE]: { schema: { $ref: '#/components/schemas/Error' } } },
      },
    ]),
  );
}

function operationOf(operation: Operation) {
  const { path, summary, params, query, body, reply, refuses = [] } = operation;
  const open = path.startsWith('/api/session') || path === '/api/health';
  return {
    summary,
    tags: [path.split('/')[2]],
    parameters: [...parametersOf('path', params), ...parametersOf('query', query)],
    ...(body && { requestBody: bodyOf(body) }),
    responses: {
      [reply.status]: replyOf(reply),
      ...refusalsOf([...COMMON_REFUSALS, ...(open ? [] : (['sign-in-needed'] as const)), ...refuses]),
    },
  };
}

const ERROR: JsonSchema = {
  type: 'object',
  required: ['error', 'message', 'todo'],
  properties: {
    error: { type: 'string', enum: Object.keys(ERRORS) },
    message: { type: 'string', description: 'What happened' },
    todo: { type: 'string', description: 'What can be done' },
    faults: {
      type: 'array',
      description: 'Each figure that was refused',
      items: {
        type: 'object',
        properties: {
          code: { type: 'string' },
          path: { type: 'string' },
          value: { type: 'string' },
          rule: { type: 'string' },
        },
      },
    },
    current: { type: 'object', description: 'After a conflict over a design: the design as it is kept now' },
    record: { type: 'object', description: 'After a conflict over a record: the record as it is kept now' },
  },
};

/** A path as OpenAPI writes it: `:name` becomes `{name}`. */
const openPath = (path: string) => path.replace(/:(\w+)/g, '{$1}');

/** The API as an OpenAPI 3.1 document, made from the schemas by which the server reads requests. */
export function openApi(): OpenApi {
  const paths = new Set(OPERATIONS.map(({ path }) => path));
  const methodsOf = (path: string) => OPERATIONS.filter((operation) => operation.path === path);
  return {
    openapi: '3.1.0',
    info: {
      title: 'Fawn Table',
      description: 'Designs, patterns, templates and records. docs/format.md describes the files and results.',
      version: String(TARGET_VERSION),
    },
    paths: Object.fromEntries(
      [...paths].map((path) => [
        openPath(path),
        Object.fromEntries(methodsOf(path).map((operation) => [operation.method, operationOf(operation)])),
      ]),
    ),
    components: { schemas: { Error: ERROR } },
  };
}
