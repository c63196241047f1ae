import type { Outline } from '../../core/geometry/outline/outline.ts';
import { findSheet } from '../../core/files/photo/findSheet.ts';
import type { GreyImage } from '../../core/files/photo/image.ts';
import { tracePhoto } from '../../core/files/photo/tracePhoto.ts';
import type { Homography, Quad } from '../../core/files/screen/homography.ts';
import { PAPERS, type PaperName } from '../../core/studio/printer/paper.ts';

/** A photograph to be traced, the paper under it, and the sheet's corners where they were dragged (px of the picture). */
export interface PhotoQuestion {
  readonly image: GreyImage;
  readonly paper: PaperName;
  readonly corners?: Quad;
}

/** What was traced: outlines in mm on the paper, the map from there to px, the lens's curve, and the corners in the picture (px). */
export interface TracedPhoto {
  readonly outline: Outline;
  readonly holes: readonly Outline[];
  readonly map: Homography;
  readonly curve: number;
  readonly corners: Quad;
}

/** The reply. */
export type PhotoReply =
  | ({ readonly kind: 'traced' } & TracedPhoto)
  /** With the corners where the sheet was found, so that they can be dragged. */
  | { readonly kind: 'refused'; readonly rule: string; readonly corners?: Quad };

/** Does the work. It runs in the worker, and needs nothing of it. */
export function photoWork({ image, paper, corners }: PhotoQuestion): PhotoReply {
  const found = findSheet(image, corners);
  if (found.kind === 'refused') return { ...found, ...(corners && { corners }) };
  const { lens } = found.sheet;
  const seen = found.sheet.corners.map((corner) => lens.curved(corner)) as unknown as Quad;
  const reading = tracePhoto(image, found.sheet, PAPERS[paper]);
  if (reading.kind === 'refused') return { ...reading, corners: seen };
  return { kind: 'traced', ...reading.traced, curve: lens.curve, corners: seen };
}
