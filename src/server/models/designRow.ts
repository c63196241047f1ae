import type { Model } from 'sequelize';
import { DataTypes, type ModelStatic, type Sequelize } from 'sequelize';

/** A row of `designs`: the newest state of a design. `target` is the JSON text of the target file. */
export interface DesignRow extends Model {
  id: string;
  name: string;
  target: string;
  /** Hash of the mesh whose lists belong into the target's form. */
  mesh: string | null;
  revision: number;
  createdAt: Date;
  updatedAt: Date;
  deletedAt: Date | null;
}

/** Binds the table `designs` to a model. Rows that were taken off the shelf stay, with `deletedAt` set. */
export function defineDesign(sequelize: Sequelize): ModelStatic<DesignRow> {
  return sequelize.define<DesignRow>(
    'design',
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      name: { type: DataTypes.STRING, allowNull: false },
      target: { type: DataTypes.TEXT, allowNull: false },
      mesh: { type: DataTypes.STRING, allowNull: true },
      revision: { type: DataTypes.INTEGER, allowNull: false },
    },
    { tableName: 'designs', paranoid: true },
  );
}
