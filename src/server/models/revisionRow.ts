import type { Model } from 'sequelize';
import { DataTypes, type ModelStatic, type Sequelize } from 'sequelize';
import type { RevisionCause } from '../../contract/api.ts';

/** A row of `revisions`: one kept state of a design, never changed. */
export interface RevisionRow extends Model {
  designId: string;
  number: number;
  cause: RevisionCause;
  target: string;
  /** Hash of the mesh whose lists belong into the target's form. */
  mesh: string | null;
  createdAt: Date;
}

/** Binds the table `revisions` to a model. */
export function defineRevision(sequelize: Sequelize): ModelStatic<RevisionRow> {
  return sequelize.define<RevisionRow>(
    'revision',
    {
      designId: { type: DataTypes.UUID, primaryKey: true },
      number: { type: DataTypes.INTEGER, primaryKey: true },
      cause: { type: DataTypes.STRING, allowNull: false },
      target: { type: DataTypes.TEXT, allowNull: false },
      mesh: { type: DataTypes.STRING, allowNull: true },
    },
    { tableName: 'revisions', updatedAt: false },
  );
}
