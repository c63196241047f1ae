import sharp from 'sharp';
import { writeSvg } from '../core/files/format/svg.ts';
import { MM_PER_INCH } from '../core/numbers.ts';
import type { Sheet } from '../core/files/sheet/sheet.ts';

/** Most dots of a picture, to limit memory. */
const MOST_DOTS = 150_000_000;

/** The greatest resolution up to the wanted one at which a sheet can be drawn. */
export function dpiFor({ width, height }: Pick<Sheet, 'width' | 'height'>, wanted: number): number {
  return Math.max(1, Math.min(wanted, Math.floor(Math.sqrt((MOST_DOTS * MM_PER_INCH ** 2) / (width * height)))));
}

/** A sheet as a picture at true size: black on white, its resolution written into it. A very large sheet is drawn coarser. */
export async function writePng(
  sheet: Sheet,
  wanted: number,
  { thin = false }: { readonly thin?: boolean } = {},
): Promise<Buffer> {
  const dpi = dpiFor(sheet, wanted);
  const [width, height] = [sheet.width, sheet.height].map((mm) => Math.round((mm / MM_PER_INCH) * dpi)) as [
    number,
    number,
  ];
  // In the picture's own dots, so that no rounding of mm to px comes between.
  const svg = writeSvg(sheet, { thin }).replace(
    / width="[^"]*mm" height="[^"]*mm"/,
    ` width="${width}" height="${height}" preserveAspectRatio="none"`,
  );
  return sharp(Buffer.from(svg), { limitInputPixels: 2 * MOST_DOTS })
    .flatten({ background: '#ffffff' })
    .withMetadata({ density: dpi })
    .png()
    .toBuffer();
}
