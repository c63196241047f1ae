import { createHash } from 'node:crypto';
import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize';

interface Kept {
  readonly row: number;
  readonly target: string;
}

/** Rows that are looked at together. */
const AT_ONCE = 50;

/** Takes the lists of imported meshes out of a table of targets, each kept once. */
async function takeOut(context: QueryInterface, table: 'designs' | 'revisions'): Promise<void> {
  const { sequelize } = context;
  const query = <T extends object>(sql: string, replacements: unknown[]) =>
    sequelize.query<T>(sql, { replacements, type: QueryTypes.SELECT });
  let last = 0;
  for (;;) {
    const sql = `SELECT rowid AS row, target FROM ${table} WHERE rowid > ? AND target LIKE '%"kind":"mesh"%' ORDER BY rowid LIMIT ?`;
    const rows = await query<Kept>(sql, [last, AT_ONCE]);
    if (rows.length === 0) return;
    for (const { row, target } of rows) {
      last = row;
      const whole = JSON.parse(target) as { form: Record<string, unknown> };
      const { vertices, triangles, ...form } = whole.form;
      if (form['kind'] !== 'mesh' || vertices === undefined) continue;
      const body = JSON.stringify({ vertices, triangles });
      const hash = createHash('sha256').update(body).digest('hex');
      await sequelize.query('INSERT OR IGNORE INTO meshes (hash, body) VALUES (?, ?)', { replacements: [hash, body] });
      const text = JSON.stringify({ ...whole, form });
      await sequelize.query(`UPDATE ${table} SET target = ?, mesh = ? WHERE rowid = ?`, {
        replacements: [text, hash, row],
      });
    }
  }
}

/** Meshes by their content, and who has signed in. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.createTable('meshes', {
    hash: { type: DataTypes.STRING, primaryKey: true },
    body: { type: DataTypes.TEXT, allowNull: false },
  });
  await context.createTable('sessions', {
    hash: { type: DataTypes.STRING, primaryKey: true },
    lock: { type: DataTypes.STRING, allowNull: false },
    ends: { type: DataTypes.BIGINT, allowNull: false },
  });
  for (const table of ['designs', 'revisions'] as const) {
    await context.addColumn(table, 'mesh', { type: DataTypes.STRING, allowNull: true });
    await takeOut(context, table);
  }
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  for (const table of ['designs', 'revisions'] as const) {
    await context.sequelize.query(
      `UPDATE ${table} SET target = json_set(
         target,
         '$.form.vertices', (SELECT json_extract(body, '$.vertices') FROM meshes WHERE hash = mesh),
         '$.form.triangles', (SELECT json_extract(body, '$.triangles') FROM meshes WHERE hash = mesh)
       ) WHERE mesh IS NOT NULL`,
    );
    await context.removeColumn(table, 'mesh');
  }
  await context.dropTable('sessions');
  await context.dropTable('meshes');
}
