import type { Lean } from '../../../core/parts/part/lean.ts';
import { AIR, TAG } from '../../composables/tableLayout.ts';
import { kindOnTable, leaningEdges, LOW_WALL, TAG_END, type PartPlace } from './tablePlaces.ts';

/** The tag of a leaning edge: where it stands on the table (px), and which point of its upper edge that is. */
export interface LeanTagPlace {
  readonly key: string;
  readonly lean: Lean;
  readonly left: number;
  readonly top: number;
  readonly hang: 'start' | 'middle' | 'end';
}

/** Where hanging tags begin below a part (px): under the words of a wall, under the dimension of a base. */
const BELOW = { wall: 26, base: 52, plate: 52, pad: 52 } as const;

function onPart({ part, ...place }: PartPlace): LeanTagPlace[] {
  const end = place.traced.pxHeight < LOW_WALL ? TAG_END.low : TAG_END.high;
  const low = place.y - TAG.height - 6;
  const run = place.width - place.traced.pxLength;
  const middle = place.traced.left + place.traced.pxLength / 2;
  return leaningEdges(part).map((lean): LeanTagPlace => {
    const tag = (left: number, top: number, hang: LeanTagPlace['hang']): LeanTagPlace => ({
      key: `${part.id}-${lean.edge}`,
      lean,
      left,
      top,
      hang,
    });
    if (lean.edge === 'left') return tag(place.traced.left + run + end, low, 'start');
    if (lean.edge === 'right') return tag(place.traced.left + place.traced.pxLength - end, low, 'end');
    return tag(middle, lean.edge === 'rim' ? place.y - place.height + 12 : low, 'middle');
  });
}

function below({ part, ...place }: PartPlace, leans: readonly Lean[]): LeanTagPlace[] {
  const kind = kindOnTable(part);
  // The middle of the room that the layout gave to the part.
  const middle = place.x + place.width / 2 + (AIR[kind].right - AIR[kind].left) / 2;
  const top = place.y + BELOW[kind];
  return leans.map((lean, index): LeanTagPlace => {
    const alone = place.tagsAcross === 1 || (index === leans.length - 1 && index % 2 === 0);
    const hang = alone ? 'middle' : index % 2 === 0 ? 'end' : 'start';
    const left = alone ? middle : middle + (hang === 'end' ? -4 : 4);
    return {
      key: `${part.id}-${lean.edge}`,
      lean,
      left,
      top: top + Math.floor(index / place.tagsAcross) * TAG.height,
      hang,
    };
  });
}

/** The tags of a part's leaning edges: on it, or below it where they do not fit. */
export function leanTags(place: PartPlace): LeanTagPlace[] {
  return place.hanging.length > 0 ? below(place, place.hanging) : onPart(place);
}
