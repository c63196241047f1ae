import type { Model } from 'sequelize';
import { DataTypes, type ModelStatic, type Sequelize } from 'sequelize';

/** A row of `sessions`: who has signed in, by the hash of the token, the lock it was opened with, and until when (ms). */
export interface SessionRow extends Model {
  hash: string;
  lock: string;
  ends: number;
}

/** Binds the table `sessions` to a model. */
export function defineSession(sequelize: Sequelize): ModelStatic<SessionRow> {
  return sequelize.define<SessionRow>(
    'session',
    {
      hash: { type: DataTypes.STRING, primaryKey: true },
      lock: { type: DataTypes.STRING, allowNull: false },
      ends: { type: DataTypes.BIGINT, allowNull: false },
    },
    { tableName: 'sessions', timestamps: false },
  );
}
