import type { Fault } from '../core/errors.ts';
import type { Target } from '../core/target/target.ts';
import type { PaperName } from '../core/studio/printer/paper.ts';
import type { CheckedPrinter } from '../core/studio/printer/printerCheck.ts';
import type { PieceFormat } from '../core/files/sheet/templateFormat.ts';
import type { InchMarks, LengthUnit } from '../core/units/lengthUnit.ts';
import type { ErrorCode } from './errors.ts';
import type { Kept, RecordKind } from './records.ts';

/** A design as it is kept: its newest revision. Times are ISO 8601 in UTC. */
export interface Design {
  readonly id: string;
  readonly name: string;
  readonly target: Target;
  /** Number of the newest revision, from 1. */
  readonly revision: number;
  readonly createdAt: string;
  readonly updatedAt: string;
}

/** Why a revision was written. */
export type RevisionCause = 'created' | 'edited' | 'restored' | 'duplicated';

/** A revision as the history lists it, without its body. */
export interface RevisionEntry {
  readonly number: number;
  readonly cause: RevisionCause;
  readonly keptAt: string;
}

/** A revision of a design. */
export interface Revision extends RevisionEntry {
  readonly target: Target;
}

/** Body of a write: the whole target, and the revision that it was made from. */
export interface DesignWrite {
  readonly target: Target;
  readonly baseRevision: number;
}

/** Body of a request for a template file. */
export interface TemplateRequest {
  readonly target: Target;
  readonly format: PieceFormat;
  readonly paper?: PaperName;
  /** Width of a roll in place of sheets (mm). */
  readonly roll?: number;
  /** Lines half as wide. */
  readonly thin?: boolean;
  readonly units?: LengthUnit;
  readonly marks?: InchMarks;
  /** The revision that the template is made from, to be printed on it. */
  readonly revision?: number;
  /** Dots an inch of a PNG, and the offset of a drag knife in a plot file (mm). */
  readonly dpi?: number;
  readonly offset?: number;
  /** The part that a cutter is for, and the room round a former (mm). */
  readonly part?: string;
  readonly clearance?: number;
  /** The printer that its pages are corrected for. */
  readonly printer?: CheckedPrinter;
}

/** Body of a request for several pieces in one PDF, once or for each name of a class. */
export interface ClassRequest extends Pick<TemplateRequest, 'paper' | 'roll' | 'thin' | 'units' | 'marks' | 'printer'> {
  readonly targets: readonly Target[];
  readonly names: readonly string[];
  /** A bench card before the templates of each piece. */
  readonly cards: boolean;
}

/** Whether a passphrase is asked for, and whether this browser has given it. */
export interface SessionState {
  readonly needed: boolean;
  readonly signedIn: boolean;
}

/** The body of every refusal. A conflict has `current`: the design as it is on the server. */
export interface ErrorReply {
  readonly error: ErrorCode;
  readonly message: string;
  readonly todo: string;
  readonly faults?: readonly Fault[];
  readonly current?: Design;
  /** Given with a conflict over a record: the record as it is on the server. */
  readonly record?: Kept<RecordKind>;
}
