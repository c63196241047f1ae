import { readDxf } from '../../../core/files/drawn/readDxf.ts';
import { readSvg } from './readSvg.ts';

/** The lines of a drawing by its file's name: DXF, or else SVG. */
export const readDrawing = (name: string, text: string) => (/\.dxf$/i.test(name) ? readDxf(text) : readSvg(text));
