import { DataTypes, type QueryInterface } from 'sequelize';

const time = { type: DataTypes.DATE, allowNull: false };
const later = { type: DataTypes.DATE, allowNull: true };
const text = { type: DataTypes.TEXT, allowNull: false };
const word = { type: DataTypes.STRING, allowNull: false };
const whole = { type: DataTypes.INTEGER, allowNull: false };
const figure = { type: DataTypes.DOUBLE, allowNull: false };
const maybe = { type: DataTypes.DOUBLE, allowNull: true };

/** What belongs to one step of one piece of a making. */
const spot = {
  id: { type: DataTypes.UUID, primaryKey: true },
  makingId: { type: DataTypes.UUID, allowNull: false, references: { model: 'makings', key: 'id' } },
  piece: whole,
  number: whole,
  step: word,
  at: time,
};

/** Tables of what is pressed and written at a step. */
const ENTRIES = {
  marks: {
    kind: word,
    hours: maybe,
    thickness: maybe,
    faces: { type: DataTypes.STRING, allowNull: true },
    cover: { type: DataTypes.STRING, allowNull: true },
    support: { type: DataTypes.STRING, allowNull: true },
  },
  measurements: { what: word, value: figure },
  faults: { kind: word, x: maybe, y: maybe },
  notes: { text },
};

/** Makings: what is made by which revision, its order of work, and what is pressed, measured and written at each step. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.createTable('makings', {
    id: { type: DataTypes.UUID, primaryKey: true },
    name: word,
    clay: { type: DataTypes.UUID, allowNull: true, references: { model: 'records', key: 'id' } },
    startedAt: time,
    dueAt: later,
    endedAt: later,
    schools: text,
    temperature: figure,
    humidity: figure,
    speed: word,
    createdAt: time,
    updatedAt: time,
    deletedAt: later,
  });
  await context.addIndex('makings', ['endedAt', 'startedAt']);
  await context.addIndex('makings', ['clay']);
  await context.createTable('making_pieces', {
    makingId: { type: DataTypes.UUID, primaryKey: true, references: { model: 'makings', key: 'id' } },
    piece: { type: DataTypes.INTEGER, primaryKey: true },
    designId: { type: DataTypes.UUID, allowNull: false, references: { model: 'designs', key: 'id' } },
    revision: whole,
    name: word,
    count: whole,
  });
  await context.addIndex('making_pieces', ['designId']);
  await context.createTable('making_steps', {
    makingId: { type: DataTypes.UUID, primaryKey: true, references: { model: 'makings', key: 'id' } },
    piece: { type: DataTypes.INTEGER, primaryKey: true },
    place: { type: DataTypes.INTEGER, primaryKey: true },
    step: word,
    body: text,
  });
  for (const [table, columns] of Object.entries(ENTRIES)) {
    await context.createTable(table, { ...spot, ...columns });
    await context.addIndex(table, ['makingId', 'at']);
  }
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  for (const table of [...Object.keys(ENTRIES), 'making_steps', 'making_pieces', 'makings'])
    await context.dropTable(table);
}
