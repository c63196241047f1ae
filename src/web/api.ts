import type {
  ClassRequest,
  Design,
  DesignWrite,
  ErrorReply,
  Revision,
  RevisionEntry,
  SessionState,
  TemplateRequest,
} from '../contract/api.ts';
import type { ArchiveOffer, ArchiveWord } from '../contract/archive.ts';
import type { ClayRecords, DryLine, MadeCosts, MadeLine } from '../contract/made.ts';
import type { MadeQuery } from '../contract/madeSchema.ts';
import type { Kept, RecordBodies, RecordKind } from '../contract/records.ts';
import type { ErrorCode } from '../contract/errors.ts';
import {
  unpackNow,
  type Entries,
  type Making,
  type MakingHead,
  type MakingLine,
  type MakingNow,
  type MakingStart,
  type NowReply,
} from '../contract/makings.ts';
import type { FoundMark } from '../core/studio/making/waitWindow.ts';
import type { HeldPhotograph } from './heldPhotographs.ts';
import type { Target } from '../core/target/target.ts';
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

async function send(
  path: string,
  { method, body, more = {} }: { readonly method: string; readonly body?: object; readonly more?: RequestInit },
): Promise<Response> {
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
  // From a proxy, or a busy server: try again.
  if (response.status === 502 || response.status === 503 || response.status === 504) throw new Unreachable();
  const refusal = (await response.json()) as ErrorReply;
  if (refusal.current) await prepareMould(refusal.current.target);
  throw new Refused(refusal);
}

async function ask<T>(
  path: string,
  {
    method = 'GET',
    body,
    more,
  }: { readonly method?: string; readonly body?: object; readonly more?: RequestInit } = {},
): Promise<T> {
  return (await send(path, { method, body, more })).json() as Promise<T>;
}

/** A file, with the name that the server gave it. */
async function fileOf(reply: Response): Promise<{ readonly name: string; readonly content: Blob }> {
  const [, name = 'file'] = /filename="?([^";]+)"?/.exec(reply.headers.get('Content-Disposition') ?? '') ?? [];
  return { name, content: await reply.blob() };
}

/** One page of a list, and the number of entries in the whole list. */
async function page<T>(reply: Response): Promise<{ readonly lines: readonly T[]; readonly total: number }> {
  const lines = (await reply.json()) as T[];
  return { lines, total: Number(reply.headers.get('X-Total-Count') ?? lines.length) };
}

/** A design from the server, with its imported mould prepared for use. */
async function ready(asked: Promise<Design>): Promise<Design> {
  const design = await asked;
  await prepareMould(design.target);
  return design;
}

/** A search of the records. For what is left out the server has its defaults. */
export type MadeAsked = Partial<MadeQuery>;

/** The server's API as the screens call it. Every method may throw {@link Refused} or {@link Unreachable}. */
export const api = {
  /** The whole shelf, fetched a page at a time, so that each page is shown as it arrives. */
  list: async (shown: (designs: readonly Design[]) => Promise<void>): Promise<void> => {
    for (let offset = 0, total = 1; offset < total;) {
      const designs = await page<Design>(await send(`/designs?offset=${offset}`, { method: 'GET' }));
      total = designs.total;
      offset += Math.max(1, designs.lines.length);
      await shown(designs.lines);
      if (designs.lines.length === 0) return;
    }
  },
  read: (id: string) => ready(ask<Design>(`/designs/${id}`)),
  create: (target: Target) => ready(ask<Design>('/designs', { method: 'POST', body: { target } })),
  /** The reply does not repeat the target. */
  write: async (id: string, write: DesignWrite): Promise<Design> => {
    const kept = await ask<Omit<Design, 'target'>>(`/designs/${id}`, {
      method: 'PUT',
      body: write,
      more: {
        headers: { Prefer: 'return=minimal' },
      },
    });
    return { ...kept, target: write.target };
  },
  /** Sends the last change as the page closes. */
  writeLeaving: (id: string, write: DesignWrite) =>
    void send(`/designs/${id}`, { method: 'PUT', body: write, more: { keepalive: true } }).catch(() => undefined),
  duplicate: (id: string) => ready(ask<Design>(`/designs/${id}/duplicate`, { method: 'POST' })),
  remove: async (id: string) => void (await send(`/designs/${id}`, { method: 'DELETE' })),
  putBack: (id: string) => ask<Design>(`/designs/${id}/put-back`, { method: 'POST' }),
  /** The target of an older revision. */
  revision: async (id: string, number: number): Promise<Target> => {
    const { target } = await ask<Revision>(`/designs/${id}/revisions/${number}`);
    await prepareMould(target);
    return target;
  },
  /** A page of the revisions, newest first, and their number. */
  history: async (id: string, offset: number) =>
    page<RevisionEntry>(await send(`/designs/${id}/revisions?offset=${offset}`, { method: 'GET' })),
  restore: (id: string, number: number, baseRevision: number) =>
    ready(ask<Design>(`/designs/${id}/revisions/${number}/restore`, { method: 'POST', body: { baseRevision } })),
  template: async (request: TemplateRequest) => fileOf(await send('/sheets', { method: 'POST', body: request })),
  printClass: async (request: ClassRequest) => fileOf(await send('/class', { method: 'POST', body: request })),
  /** Uploads a studio file to be inspected. Nothing is imported until the user confirms. */
  openArchive: (file: Blob, signal: AbortSignal) =>
    ask<ArchiveOffer>('/archive', {
      method: 'POST',
      more: {
        body: file,
        signal,
        headers: { 'Content-Type': 'application/zip' },
      },
    }),
  takeArchive: async (token: string, word: ArchiveWord) =>
    void (await send(`/archive/${token}`, { method: 'POST', body: word })),
  leaveArchive: async (token: string) => void (await send(`/archive/${token}`, { method: 'DELETE' })),
  records: <K extends RecordKind>(kind: K) => ask<Kept<K>[]>(`/records/${kind}`),
  /** Creates a record with an id chosen by the browser, so that sending it twice makes one record. */
  createRecord: <K extends RecordKind>(kind: K, id: string, body: RecordBodies[K]) =>
    ask<Kept<K>>(`/records/${kind}`, { method: 'POST', body: { id, body } }),
  writeRecord: <K extends RecordKind>(kind: K, id: string, write: { body: RecordBodies[K]; baseRevision: number }) =>
    ask<Kept<K>>(`/records/${kind}/${id}`, { method: 'PUT', body: write }),
  removeRecord: async (kind: RecordKind, id: string) =>
    void (await send(`/records/${kind}/${id}`, { method: 'DELETE' })),
  putBackRecord: <K extends RecordKind>(kind: K, id: string) =>
    ask<Kept<K>>(`/records/${kind}/${id}/put-back`, { method: 'POST' }),
  /** Makings of a design, newest first. */
  makingsOf: (design: string) => ask<MakingLine[]>(`/makings?design=${design}`),
  makingsNow: async (): Promise<MakingNow[]> => unpackNow(await ask<NowReply>('/makings/now')),
  making: (id: string) => ask<Making>(`/makings/${id}`),
  /** Begins a making with an id chosen by the browser, so that sending it twice makes one making. */
  beginMaking: (start: MakingStart) => ask<Making>('/makings', { method: 'POST', body: start }),
  changeMaking: (id: string, head: MakingHead & { readonly endedAt: string | null }) =>
    ask<Making>(`/makings/${id}`, { method: 'PUT', body: head }),
  /** Saves entries of a making. An entry that is sent twice is kept once, by its id. */
  keepEntries: (id: string, entries: Entries) =>
    ask<Making>(`/makings/${id}/entries`, { method: 'POST', body: entries }),
  /** Uploads a photograph. One that is sent twice is kept once, by its id. */
  keepPhotograph: async ({ id, making, piece, number, step, at, picture }: HeldPhotograph): Promise<void> => {
    const spot = new URLSearchParams({ piece: String(piece), number: String(number), step, at });
    await send(`/makings/${making}/photographs/${id}?${spot}`, {
      method: 'PUT',
      more: {
        body: picture,
        headers: { 'Content-Type': picture.type || 'application/octet-stream' },
      },
    });
  },
  removeMaking: async (id: string) => void (await send(`/makings/${id}`, { method: 'DELETE' })),
  putBackMaking: (id: string) => ask<Making>(`/makings/${id}/put-back`, { method: 'POST' }),
  /** Everything that was noted by hand about a clay, in all makings. */
  found: (clay: string) => ask<FoundMark[]>(`/makings/found?clay=${clay}`),
  /** A page of finished pieces, newest first, and their number. */
  made: async (query: MadeAsked) => {
    const asked = Object.entries(query).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]]));
    return page<MadeLine>(await send(`/made?${new URLSearchParams(asked)}`, { method: 'GET' }));
  },
  /** Imports a table of records: how many entries it has, and which makings are unknown here. */
  readRecords: async (table: Blob): Promise<{ readonly entries: number; readonly unknown: readonly string[] }> => {
    const reply = await send('/made/records.csv', {
      method: 'POST',
      more: {
        body: table,
        headers: { 'Content-Type': 'text/csv' },
      },
    });
    return (await reply.json()) as { entries: number; unknown: string[] };
  },
  /** The first page of pieces that are dry and not yet in a firing, and how many kinds of pieces there are in all. */
  dry: async () => page<DryLine>(await send('/made/dry', { method: 'GET' })),
  /** The cost of one kind of piece in a making, without labour. */
  costs: (making: string, piece: number) => ask<MadeCosts>(`/made/costs/${making}/${piece}`),
  /** What the measured pieces say about each clay. */
  learning: () => ask<ClayRecords[]>('/made/learning'),
  health: async () => void (await send('/health', { method: 'GET' })),
  session: () => ask<SessionState>('/session'),
  signIn: async (passphrase: string) => void (await send('/session', { method: 'POST', body: { passphrase } })),
};
