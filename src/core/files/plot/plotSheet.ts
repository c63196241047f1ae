import { moved } from '../../geometry/outline/outline.ts';
import type { Sheet } from '../sheet/sheet.ts';
import { dragKnifeLine } from './dragKnife.ts';
import { plotLine, writeHpgl, type PlotLine } from './hpgl.ts';

/** The cut lines of a sheet (mm): holes before the outline that they are in, so that nothing is cut loose first. */
export function cutLines({ parts }: Sheet): PlotLine[] {
  return parts.flatMap(({ part, dx, dy }) =>
    [...(part.holes ?? []), part.outline].map((outline) => plotLine(moved(outline, dx, dy))),
  );
}

/**
 * A sheet's cut lines as a plot file, 40 units a mm, without words and marks.
 *
 * @param offset how far the tip of a drag knife trails behind its middle (mm); 0 for a pen or a blade that is steered
 */
export function plotSheet(sheet: Sheet, offset: number): string {
  return writeHpgl(cutLines(sheet).map((line) => dragKnifeLine(line, offset)));
}
