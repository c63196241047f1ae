import { DataTypes, type QueryInterface } from 'sequelize';

const word = { type: DataTypes.STRING, allowNull: false };
const whole = { type: DataTypes.INTEGER, allowNull: false };
const figure = { type: DataTypes.DOUBLE, allowNull: false };
const said = { type: DataTypes.BOOLEAN, allowNull: true };

/** What came out: the state in which a size was measured, the maker's critique, and what a revision says of its pieces. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.addColumn('measurements', 'state', { type: DataTypes.STRING, allowNull: true });
  await context.addIndex('measurements', ['what', 'value']);
  await context.addIndex('faults', ['kind']);
  await context.createTable('critiques', {
    id: { type: DataTypes.UUID, primaryKey: true },
    makingId: { type: DataTypes.UUID, allowNull: false, references: { model: 'makings', key: 'id' } },
    piece: whole,
    number: whole,
    step: word,
    at: { type: DataTypes.DATE, allowNull: false },
    holds: said,
    even: said,
    balanced: said,
    fits: said,
    rating: { type: DataTypes.INTEGER, allowNull: true },
    text: { type: DataTypes.TEXT, allowNull: false },
  });
  await context.addIndex('critiques', ['makingId', 'at']);
  await context.createTable('revision_facts', {
    designId: { type: DataTypes.UUID, primaryKey: true, references: { model: 'designs', key: 'id' } },
    revision: { type: DataTypes.INTEGER, primaryKey: true },
    form: word,
    thickness: figure,
    seam: word,
    base: word,
    shrinkage: figure,
    planned: { type: DataTypes.TEXT, allowNull: false },
  });
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.dropTable('revision_facts');
  await context.dropTable('critiques');
  await context.removeIndex('faults', ['kind']);
  await context.removeIndex('measurements', ['what', 'value']);
  await context.removeColumn('measurements', 'state');
}
