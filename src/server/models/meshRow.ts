import type { Model } from 'sequelize';
import { DataTypes, type ModelStatic, type Sequelize } from 'sequelize';

/** A row of `meshes`: the lists of an imported mesh, kept once by the hash of their text. */
export interface MeshRow extends Model {
  hash: string;
  body: string;
}

/** Binds the table `meshes` to a model. */
export function defineMesh(sequelize: Sequelize): ModelStatic<MeshRow> {
  return sequelize.define<MeshRow>(
    'mesh',
    {
      hash: { type: DataTypes.STRING, primaryKey: true },
      body: { type: DataTypes.TEXT, allowNull: false },
    },
    { tableName: 'meshes', timestamps: false },
  );
}
