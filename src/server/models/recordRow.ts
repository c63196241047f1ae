import type { Model } from 'sequelize';
import { DataTypes, type ModelStatic, type Sequelize } from 'sequelize';

/** A row of `records`: the newest state of a clay, a thing of the kit and the like. `body` is JSON text. */
export interface RecordRow extends Model {
  id: string;
  kind: string;
  name: string;
  body: string;
  revision: number;
  createdAt: Date;
  updatedAt: Date;
  deletedAt: Date | null;
}

/** Binds the table `records` to a model. Rows that were taken away stay, with `deletedAt` set. */
export function defineRecord(sequelize: Sequelize): ModelStatic<RecordRow> {
  return sequelize.define<RecordRow>(
    'record',
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      kind: { type: DataTypes.STRING, allowNull: false },
      name: { type: DataTypes.STRING, allowNull: false },
      body: { type: DataTypes.TEXT, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
    },
    { tableName: 'records', paranoid: true },
  );
}
