import { chordPoints } from '../../geometry/outline/crossing.ts';
import type { Outline } from '../../geometry/outline/outline.ts';

/** A point of a plot (mm, y up). */
export type PlotPoint = readonly [x: number, y: number];

/** A closed line that is cut, its first point not repeated. */
export type PlotLine = readonly PlotPoint[];

/** Units of the pen-plotter language in one mm: 0.025 mm each. */
const UNITS_PER_MM = 40;

/** Greatest distance of chords from an arc (mm): under half a unit. */
const SAGITTA = 0.01;

/** The points of a closed outline, arcs in chords. */
export const plotLine = (outline: Outline): PlotLine => chordPoints(outline, SAGITTA, Infinity);

const unit = (mm: number) => String(Math.round(mm * UNITS_PER_MM)).replace(/^-0$/, '0');
const point = ([x, y]: PlotPoint) => `${unit(x)},${unit(y)}`;

/**
 * Lines in the pen-plotter language HP-GL: absolute coordinates, 40 units a mm, each line from its first point to its last with
 * the pen or knife down. Points that fall on the unit before are left out.
 */
export function writeHpgl(lines: readonly PlotLine[]): string {
  const commands = ['IN;', 'PA;', 'SP1;'];
  for (const line of lines) {
    const [first, ...rest] = line.map(point).filter((text, index, all) => index === 0 || text !== all[index - 1]);
    if (first === undefined || rest.length === 0) continue;
    commands.push(`PU${first};`, `PD${rest.join(',')};`);
  }
  return `${[...commands, 'PU0,0;', 'SP0;'].join('\n')}\n`;
}

/** A closed line with its first point at its end again, as a pen draws it. */
export const closed = (line: PlotLine): PlotLine => (line[0] ? [...line, line[0]] : line);
