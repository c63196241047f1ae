import { col, fn, Op, where } from 'sequelize';

/** The condition that a row's name has a text in it, letters of either case alike; every sign of the text means itself. */
export function nameHas(table: 'design' | 'making', text: string) {
  return where(fn('instr', fn('lower', col(`${table}.name`)), fn('lower', text)), { [Op.gt]: 0 });
}
