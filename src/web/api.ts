import type { Design, DesignWrite, ErrorReply, Revision, SessionState, TemplateRequest } from '../contract/api.ts';
import type { Kept, RecordBodies, RecordKind } from '../contract/records.ts';
import type { ErrorCode } from '../contract/errors.ts';
import type { Target } from '../core/piece/target.ts';
import { jsonBody } from './jsonBody.ts';
import { prepareMould } from './workers/prepareMould.ts';

/** The server answered, and refused. */
export class Refused extends Error {
  readonly code: ErrorCode;
  readonly reply: ErrorReply;

  constructor(reply: ErrorReply) {
    super(`${reply.message} ${reply.todo}`);
    this.name = 'Refused';
    this.code = reply.error;
    this.reply = reply;
  }
}

/** The server could not be reached. */
export class Unreachable extends Error {
  constructor() {
    super('The server cannot be reached. What you change is held in this browser until it answers.');
    this.name = 'Unreachable';
  }
}

async function send(path: string, method: string, body?: object, more: RequestInit = {}): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      ...more,
      ...(body !== undefined && { body: jsonBody(body) }),
      headers: { ...(body !== undefined && { 'Content-Type': 'application/json' }), ...more.headers },
    });
  } catch {
    throw new Unreachable();
  }
  if (response.ok) return response;
  if (response.status === 502 || response.status === 503 || response.status === 504) throw new Unreachable();
  const refusal = (await response.json()) as ErrorReply;
  if (refusal.current) await prepareMould(refusal.current.target);
  throw new Refused(refusal);
}

async function ask<T>(path: string, method = 'GET', body?: object, more?: RequestInit): Promise<T> {
  return (await send(path, method, body, more)).json() as Promise<T>;
}

/** A design from the server, its imported mould ready for the page. */
async function ready(asked: Promise<Design>): Promise<Design> {
  const design = await asked;
  await prepareMould(design.target);
  return design;
}

/** What the screens ask of the server. Every verb may throw {@link Refused} or {@link Unreachable}. */
export const api = {
  list: () => ask<Design[]>('/designs'),
  read: (id: string) => ready(ask<Design>(`/designs/${id}`)),
  create: (target: Target) => ready(ask<Design>('/designs', 'POST', { target })),
  /** The target that was sent is not sent back. */
  write: async (id: string, write: DesignWrite): Promise<Design> => {
    const kept = await ask<Omit<Design, 'target'>>(`/designs/${id}`, 'PUT', write, {
      headers: { Prefer: 'return=minimal' },
    });
    return { ...kept, target: write.target };
  },
  /** Sends a last write while the page goes away. */
  writeLeaving: (id: string, write: DesignWrite) =>
    void send(`/designs/${id}`, 'PUT', write, { keepalive: true }).catch(() => undefined),
  duplicate: (id: string) => ready(ask<Design>(`/designs/${id}/duplicate`, 'POST')),
  remove: async (id: string) => void (await send(`/designs/${id}`, 'DELETE')),
  putBack: (id: string) => ask<Design>(`/designs/${id}/put-back`, 'POST'),
  /** The target of an older revision. */
  revision: async (id: string, number: number): Promise<Target> => {
    const { target } = await ask<Revision>(`/designs/${id}/revisions/${number}`);
    await prepareMould(target);
    return target;
  },
  history: (id: string) => ask<Revision[]>(`/designs/${id}/revisions`),
  restore: (id: string, number: number, baseRevision: number) =>
    ready(ask<Design>(`/designs/${id}/revisions/${number}/restore`, 'POST', { baseRevision })),
  template: async (request: TemplateRequest) => (await send('/sheets', 'POST', request)).blob(),
  records: <K extends RecordKind>(kind: K) => ask<Kept<K>[]>(`/records/${kind}`),
  createRecord: <K extends RecordKind>(kind: K, body: RecordBodies[K]) =>
    ask<Kept<K>>(`/records/${kind}`, 'POST', { body }),
  writeRecord: <K extends RecordKind>(kind: K, id: string, write: { body: RecordBodies[K]; baseRevision: number }) =>
    ask<Kept<K>>(`/records/${kind}/${id}`, 'PUT', write),
  removeRecord: async (kind: RecordKind, id: string) => void (await send(`/records/${kind}/${id}`, 'DELETE')),
  putBackRecord: <K extends RecordKind>(kind: K, id: string) => ask<Kept<K>>(`/records/${kind}/${id}/put-back`, 'POST'),
  health: async () => void (await send('/health', 'GET')),
  session: () => ask<SessionState>('/session'),
  signIn: async (passphrase: string) => void (await send('/session', 'POST', { passphrase })),
};
