import type { PlotPoint } from './hpgl.ts';

/** A plotter's unit (mm), which HP-GL fixes; not taken from the writer, whose files are measured here. */
const UNIT = 0.025;

/** The lines that a plot file draws (mm), or its first unknown command. */
export type PlotReading =
  | { readonly kind: 'lines'; readonly lines: readonly (readonly PlotPoint[])[] }
  | { readonly kind: 'fault'; readonly command: string; readonly why: string };

/** Commands for pens, speeds and the like that move nothing. */
const IDLE = ['IN', 'SP', 'VS', 'FS', 'LT', 'DF', 'PG', 'IP', 'SC'] as const;

/** Follows a plot file in HP-GL: pen up and down, absolute and relative moves. No text is drawn. Never throws. */
export function readHpgl(text: string): PlotReading {
  const lines: PlotPoint[][] = [];
  let at: PlotPoint = [0, 0];
  let [down, absolute, open] = [false, true, false];
  for (const command of text
    .split(/[;\r\n]+/)
    .map((one) => one.trim())
    .filter(Boolean)) {
    const [name, rest] = [command.slice(0, 2).toUpperCase(), command.slice(2).trim()];
    const fault = (why: string): PlotReading => ({ kind: 'fault', command: command.slice(0, 40), why });
    if ((IDLE as readonly string[]).includes(name)) continue;
    if (!['PU', 'PD', 'PA', 'PR'].includes(name)) return fault('is not a command that is known here');
    if (name === 'PA' || name === 'PR') absolute = name === 'PA';
    else [down, open] = [name === 'PD', name === 'PD' && open];
    const figures = rest === '' ? [] : rest.split(/[\s,]+/).map(Number);
    if (figures.length % 2 === 1 || figures.some((one) => !Number.isFinite(one)))
      return fault('has figures that cannot be read');
    for (let index = 0; index < figures.length; index += 2) {
      const [x, y] = [(figures[index] ?? 0) * UNIT, (figures[index + 1] ?? 0) * UNIT];
      const to: PlotPoint = absolute ? [x, y] : [at[0] + x, at[1] + y];
      if (down && !open) lines.push([at]);
      if (down) lines.at(-1)?.push(to);
      open = down;
      at = to;
    }
  }
  return { kind: 'lines', lines };
}
