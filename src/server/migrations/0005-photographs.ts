import { DataTypes, type QueryInterface } from 'sequelize';

const whole = { type: DataTypes.INTEGER, allowNull: false };
const word = { type: DataTypes.STRING, allowNull: false };

/** Photographs that were taken at a step; the pictures lie in the data folder under their hash. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.createTable('photographs', {
    id: { type: DataTypes.UUID, primaryKey: true },
    makingId: { type: DataTypes.UUID, allowNull: false, references: { model: 'makings', key: 'id' } },
    piece: whole,
    number: whole,
    step: word,
    at: { type: DataTypes.DATE, allowNull: false },
    hash: word,
    width: whole,
    height: whole,
  });
  await context.addIndex('photographs', ['makingId', 'at']);
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.dropTable('photographs');
}
