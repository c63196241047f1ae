import type Joi from 'joi';
import type { ClayRecords } from '../../contract/made.ts';
import { readRecordsCsv } from '../../contract/recordsCsv.ts';
import { classBody, createBody, developBody, templateBody, writeBody } from '../../contract/requests.ts';
import { readShape, readTarget } from '../../contract/targetSchema.ts';
import { FaultError, type Fault } from '../../core/errors.ts';
import { behaviourOf } from '../../core/studio/learning/behaviour.ts';
import { findingOf } from '../../core/studio/learning/findings.ts';
import { patternsOf } from '../../core/studio/learning/patterns.ts';
import { developWhole } from '../../core/piece/develop.ts';
import type { Target } from '../../core/target/target.ts';
import { fileStem } from '../../core/files/format/fileStem.ts';
import { aboutTemplate } from '../../core/files/sheet/about.ts';
import { TEMPLATE_TYPES } from '../../core/files/sheet/templateFormat.ts';
import { pieceFile } from '../../print/pieceFile.ts';
import { writeClass, type ClassPiece } from '../../print/writeCard.ts';
import type { LearningJob } from '../services/made.ts';

/** The workshop's jobs on the body of a request. */
export type WorkKind = 'create' | 'write' | 'develop' | 'sheets' | 'class' | 'learn' | 'records';

/** An order to the workshop. */
export interface WorkOrder {
  readonly kind: WorkKind;
  readonly body: Uint8Array;
}

/** A target that was read: its name and its JSON text, the lists of an imported mesh apart. */
export interface ReadTarget {
  readonly name: string;
  readonly text: string;
  readonly mesh: string | null;
  readonly baseRevision: number | null;
}

/** The result of an order; faults are the caller's. */
export type WorkDone =
  | { readonly kind: 'faults'; readonly error: 'bad-request' | 'bad-target'; readonly faults: readonly Fault[] }
  | { readonly kind: 'target'; readonly read: ReadTarget }
  | { readonly kind: 'json'; readonly text: string }
  | { readonly kind: 'file'; readonly name: string; readonly type: string; readonly bytes: Uint8Array };

const SHAPES = { create: createBody, write: writeBody, develop: developBody, sheets: templateBody } as const;

type AnyBody = { readonly target: unknown; readonly baseRevision?: number };

function refused(error: 'bad-request' | 'bad-target', faults: readonly Fault[]): WorkDone {
  return { kind: 'faults', error, faults };
}

/** The JSON of a request's body; what is no JSON is a fault of the whole. */
function parsed(body: Uint8Array): { readonly value: unknown } | { readonly faults: readonly Fault[] } {
  try {
    return { value: JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(body)) };
  } catch {
    const fault: Fault = { code: 'unreadable', path: '', value: `${body.length} bytes`, rule: 'is not JSON' };
    return { faults: [fault] };
  }
}

/** The text of a target's JSON, and that of its mesh apart: it is kept once, however many revisions have it. */
export function textsOf(target: Target): { readonly text: string; readonly mesh: string | null } {
  const { form } = target;
  if (form.kind !== 'mesh') return { text: JSON.stringify(target), mesh: null };
  const { vertices, triangles, ...rest } = form;
  return { text: JSON.stringify({ ...target, form: rest }), mesh: JSON.stringify({ vertices, triangles }) };
}

/** Carries out an order: reads, checks, develops, draws. Bad input never makes it throw. */
export async function doWork({ kind, body }: WorkOrder): Promise<WorkDone> {
  if (kind === 'records') return tableRead(body);
  const json = parsed(body);
  if ('faults' in json) return refused('bad-request', json.faults);
  if (kind === 'class') return classOf(json.value);
  if (kind === 'learn') return { kind: 'json', text: learnt(json.value) };
  const shape = readShape<AnyBody>(SHAPES[kind] as Parameters<typeof readShape<AnyBody>>[0], json.value);
  if ('faults' in shape) return refused('bad-request', shape.faults);
  const reading = readTarget(shape.value.target);
  if (reading.kind === 'faults') return refused('bad-target', reading.faults);
  const { target } = reading;
  try {
    if (kind === 'develop') return { kind: 'json', text: JSON.stringify(developWhole(target)) };
    if (kind === 'sheets') return await sheets(target, shape.value as never);
  } catch (error) {
    if (error instanceof FaultError) return refused('bad-target', error.faults);
    throw error;
  }
  return {
    kind: 'target',
    read: { name: target.name, ...textsOf(target), baseRevision: shape.value.baseRevision ?? null },
  };
}

/** A table of records, read whole or refused with its faults. */
function tableRead(body: Uint8Array): WorkDone {
  const read = readRecordsCsv(new TextDecoder().decode(body));
  return read.kind === 'faults' ? refused('bad-request', read.faults) : { kind: 'json', text: JSON.stringify(read) };
}

/** What the pieces of each clay say. The body is the server's own: it is not read again. */
function learnt(value: unknown): string {
  const { jobs } = value as { readonly jobs: readonly LearningJob[] };
  const found = jobs.map(({ bars, ...rest }): ClayRecords => ({
    ...rest,
    finding: findingOf(rest.pieces, bars, rest.now),
    behaviour: behaviourOf(rest.pieces, bars),
    patterns: patternsOf(rest.pieces),
  }));
  return JSON.stringify(found);
}

async function sheets(
  target: Target,
  { format, units, marks, revision, ...rest }: Omit<TemplateShape, 'target'>,
): Promise<WorkDone> {
  const style = { unit: units, marks };
  const file = await pieceFile(target, format, { style, revision: revision ?? null, ...rest });
  return { kind: 'file', ...file, bytes: new Uint8Array(file.bytes) };
}

/** Several pieces in one PDF, once or for each name. */
async function classOf(value: unknown): Promise<WorkDone> {
  const shape = readShape<ClassShape>(classBody, value);
  if ('faults' in shape) return refused('bad-request', shape.faults);
  const { targets, names, cards, paper, roll, thin, units, marks, printer } = shape.value;
  const style = { unit: units, marks };
  const pieces: ClassPiece[] = [];
  for (const one of targets) {
    const reading = readTarget(one);
    if (reading.kind === 'faults') return refused('bad-target', reading.faults);
    const { target } = reading;
    const about = aboutTemplate(target, style, null);
    pieces.push({
      target,
      options: {
        name: target.name,
        paper,
        style,
        about,
        ...(roll && { roll }),
        ...(thin && { thin }),
        ...(printer && { printer }),
      },
    });
  }
  const title = pieces.length === 1 && pieces[0] ? pieces[0].target.name : 'Templates';
  const bytes = await writeClass(title, pieces, { names, cards });
  return { kind: 'file', name: `${fileStem(title)}-class.pdf`, type: TEMPLATE_TYPES.pdf, bytes: new Uint8Array(bytes) };
}

type ClassShape = typeof classBody extends Joi.ObjectSchema<infer T> ? T : never;
type TemplateShape = typeof templateBody extends Joi.ObjectSchema<infer T> ? T : never;
