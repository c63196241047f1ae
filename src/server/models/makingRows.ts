import type { Model } from 'sequelize';
import { DataTypes, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize';
import type { MarkKind } from '../../core/studio/making/making.ts';
import type { Measured, PieceState } from '../../core/studio/making/measured.ts';

/** A row of `makings`. `schools` is JSON text. Makings that were taken away stay, with `deletedAt` set. */
export interface MakingRow extends Model {
  id: string;
  name: string;
  clay: string | null;
  startedAt: Date;
  dueAt: Date | null;
  endedAt: Date | null;
  schools: string;
  temperature: number;
  humidity: number;
  speed: string;
  updatedAt: Date;
}

/** A row of `making_pieces`: how many are made by which revision of a design. */
export interface MakingPieceRow extends Model {
  makingId: string;
  piece: number;
  designId: string;
  revision: number;
  name: string;
  count: number;
  /** JSON text: a list of names. */
  names: string;
}

/** A row of `making_steps`: the order of work as it was drawn up. `body` is JSON text. */
export interface MakingStepRow extends Model {
  makingId: string;
  piece: number;
  place: number;
  step: string;
  body: string;
}

/** A row of what is pressed or written at a step, never changed. */
export interface EntryRow extends Model {
  id: string;
  makingId: string;
  piece: number;
  number: number;
  step: string;
  at: Date;
}

/** A row of `marks`: what a hand found, and for how long and how the part had dried by then. */
export interface MarkRow extends EntryRow {
  kind: MarkKind;
  hours: number | null;
  thickness: number | null;
  faces: string | null;
  cover: string | null;
  support: string | null;
}

/** A row of `measurements`. */
export interface MeasurementRow extends EntryRow {
  what: Measured;
  value: number;
  state: PieceState | null;
}

/** A row of `faults`, and where on the piece, in shares of its drawing. */
export interface FaultRow extends EntryRow {
  kind: string;
  x: number | null;
  y: number | null;
}

/** A row of `notes`. */
export interface NoteRow extends EntryRow {
  text: string;
}

/** A row of `photographs`: the hash of its file, and its size in dots. */
export interface PhotographRow extends EntryRow {
  hash: string;
  width: number;
  height: number;
}

/** What was answered, as SQLite keeps it. */
type Answer = boolean | 0 | 1 | null;

/** A row of `critiques`. */
export interface CritiqueRow extends EntryRow {
  holds: Answer;
  even: Answer;
  balanced: Answer;
  fits: Answer;
  rating: number | null;
  text: string;
}

/** A row of `strikes`. */
export interface StrikeRow extends Model {
  id: string;
  makingId: string;
  of: string;
  out: boolean;
  at: Date;
}

/** A row of `revision_facts`: what a revision of a design says of the pieces that are made by it. `planned` is JSON text. */
export interface RevisionFactsRow extends Model {
  designId: string;
  revision: number;
  form: string;
  thickness: number;
  seam: string;
  base: string;
  shrinkage: number;
  planned: string;
}

/** The tables of a making. */
export interface MakingTables {
  readonly makings: ModelStatic<MakingRow>;
  readonly makingPieces: ModelStatic<MakingPieceRow>;
  readonly makingSteps: ModelStatic<MakingStepRow>;
  readonly marks: ModelStatic<MarkRow>;
  readonly measurements: ModelStatic<MeasurementRow>;
  readonly faults: ModelStatic<FaultRow>;
  readonly notes: ModelStatic<NoteRow>;
  readonly photographs: ModelStatic<PhotographRow>;
  readonly strikes: ModelStatic<StrikeRow>;
  readonly critiques: ModelStatic<CritiqueRow>;
  readonly revisionFacts: ModelStatic<RevisionFactsRow>;
}

const { BOOLEAN, STRING, TEXT, INTEGER, DOUBLE, DATE, UUID } = DataTypes;

/** Binds the tables of makings to models. */
export function defineMakings(sequelize: Sequelize): MakingTables {
  const within = { makingId: { type: UUID, primaryKey: true }, piece: { type: INTEGER, primaryKey: true } };
  const entries = <Row extends EntryRow>(tableName: string, columns: object) =>
    sequelize.define<Row>(
      tableName,
      {
        id: { type: UUID, primaryKey: true },
        makingId: UUID,
        piece: INTEGER,
        number: INTEGER,
        step: STRING,
        at: DATE,
        ...columns,
      } as ModelAttributes<Row>,
      { tableName, timestamps: false },
    );
  const tables = {
    makings: sequelize.define<MakingRow>(
      'making',
      {
        id: { type: UUID, primaryKey: true },
        name: STRING,
        clay: UUID,
        startedAt: DATE,
        dueAt: DATE,
        endedAt: DATE,
        schools: TEXT,
        temperature: DOUBLE,
        humidity: DOUBLE,
        speed: STRING,
      },
      { tableName: 'makings', paranoid: true },
    ),
    makingPieces: sequelize.define<MakingPieceRow>(
      'makingPiece',
      { ...within, designId: UUID, revision: INTEGER, name: STRING, count: INTEGER, names: TEXT },
      { tableName: 'making_pieces', timestamps: false },
    ),
    makingSteps: sequelize.define<MakingStepRow>(
      'makingStep',
      { ...within, place: { type: INTEGER, primaryKey: true }, step: STRING, body: TEXT },
      { tableName: 'making_steps', timestamps: false },
    ),
    marks: entries<MarkRow>('marks', {
      kind: STRING,
      hours: DOUBLE,
      thickness: DOUBLE,
      faces: STRING,
      cover: STRING,
      support: STRING,
    }),
    measurements: entries<MeasurementRow>('measurements', { what: STRING, value: DOUBLE, state: STRING }),
    faults: entries<FaultRow>('faults', { kind: STRING, x: DOUBLE, y: DOUBLE }),
    notes: entries<NoteRow>('notes', { text: TEXT }),
    critiques: entries<CritiqueRow>('critiques', {
      holds: BOOLEAN,
      even: BOOLEAN,
      balanced: BOOLEAN,
      fits: BOOLEAN,
      rating: INTEGER,
      text: TEXT,
    }),
    photographs: entries<PhotographRow>('photographs', { hash: STRING, width: INTEGER, height: INTEGER }),
    strikes: sequelize.define<StrikeRow>(
      'strike',
      { id: { type: UUID, primaryKey: true }, makingId: UUID, of: UUID, out: BOOLEAN, at: DATE },
      { tableName: 'strikes', timestamps: false },
    ),
    revisionFacts: sequelize.define<RevisionFactsRow>(
      'revisionFacts',
      {
        designId: { type: UUID, primaryKey: true },
        revision: { type: INTEGER, primaryKey: true },
        form: STRING,
        thickness: DOUBLE,
        seam: STRING,
        base: STRING,
        shrinkage: DOUBLE,
        planned: TEXT,
      },
      { tableName: 'revision_facts', timestamps: false },
    ),
  };
  tables.makings.hasMany(tables.makingPieces, { foreignKey: 'makingId', as: 'pieces' });
  return tables;
}
