import { bounds } from '../../geometry/outline/outline.ts';
import type { Mark, Part } from '../../parts/part/part.ts';
import type { DevelopedForm, WallPlace } from '../../forms/kind/kind.ts';
import { additionsOf } from '../../forms/additions.ts';
import { kindOf } from '../../forms/kinds.ts';
import { conesOf, seamTurn } from '../../forms/round/bands.ts';
import { placeWord, type MarkedPlace, type Target } from '../../target/target.ts';
import { between, END_TICK, joinsOf, panelCount, placesOf, TICK } from './marking.ts';
import { withPanelMarks } from './panelMarks.ts';
import { repeatsOf } from './repeats.ts';
import { wallLines, type WallLines } from './wallLines.ts';

function panelLines(lines: WallLines, count: number): Mark[] {
  return Array.from({ length: count - 1 }, (_, index): Mark => {
    const share = (index + 1) / count;
    return { kind: 'line', name: 'panel', from: lines.at('foot', share), to: lines.at('rim', share) };
  });
}

/** Equal panels round a wall: how many, which piece is drawn, and where a share of the girth lies. */
interface SharedPanels {
  readonly count: number;
  readonly piece: number;
  readonly shareAt: (share: number) => WallPlace;
}

/** Equal panels of a wall whose pieces are not equally long: by their share of the whole girth. */
function sharedLines(lines: WallLines, { count, piece, shareAt }: SharedPanels): Mark[] {
  const places = Array.from({ length: count - 1 }, (_, index) => shareAt((index + 1) / count));
  return places
    .filter((place) => place.piece === piece && place.foot > 0 && place.foot < 1)
    .map(({ foot, rim }): Mark => ({
      kind: 'line',
      name: 'panel',
      from: lines.at('foot', foot),
      to: lines.at('rim', rim),
    }));
}

/** The sign in a marked panel. */
const SIGN = '×';

function signAt(lines: WallLines, foot: number, rim: number): Mark {
  return { kind: 'words', at: between(lines.at('foot', foot), lines.at('rim', rim), 0.5), text: SIGN };
}

/** A sign in every other of the panels of a wall, from the first on. */
function panelSigns(lines: WallLines, count: number): Mark[] {
  return Array.from({ length: Math.ceil(count / 2) }, (_, index): Mark => {
    const share = (2 * index + 0.5) / count;
    return signAt(lines, share, share);
  });
}

function sharedSigns(lines: WallLines, { count, piece, shareAt }: SharedPanels): Mark[] {
  return Array.from({ length: Math.ceil(count / 2) }, (_, index) => shareAt((2 * index + 0.5) / count))
    .filter((place) => place.piece === piece)
    .map(({ foot, rim }) => signAt(lines, foot, rim));
}

function repeatTicks(part: Part, lines: WallLines, width: number): Mark[] {
  return repeatsOf([part], width).flatMap(({ edge, count }) =>
    Array.from({ length: count + 1 }, (_, index): Mark => {
      const at = lines.at(edge, index / count);
      const far = lines.at(edge === 'foot' ? 'rim' : 'foot', index / count);
      const length = Math.hypot(far[0] - at[0], far[1] - at[1]);
      return { kind: 'line', name: 'repeat', from: at, to: between(at, far, Math.min(0.2, TICK / length)) };
    }),
  );
}

/** Words of a place keep this share of the wall's length from its ends. */
const END_CLEAR = 0.12;

/** The line and word of a place on a wall; a spout is marked near the rim only. `note` names the piece where there are several. */
function placeMarks(
  lines: WallLines,
  place: WallPlace,
  { joined, note }: { readonly joined: MarkedPlace; readonly note: string },
): Mark[] {
  const { kind } = joined;
  const [foot, rim] = [lines.at('foot', place.foot), lines.at('rim', place.rim)];
  // Beside an end of the wall the word stands further in, clear of the edge and its letter.
  const inside = (share: number) => Math.min(1 - END_CLEAR, Math.max(END_CLEAR, share));
  const [low, high] = [lines.at('foot', inside(place.foot)), lines.at('rim', inside(place.rim))];
  return [
    { kind: 'line', name: 'place', from: kind === 'spout' ? between(rim, foot, 0.35) : foot, to: rim },
    { kind: 'words', at: between(high, low, kind === 'spout' ? 0.42 : 0.17), text: `${placeWord(joined)}${note}` },
  ];
}

/** Where an angle round the whole piece lies on a band in equal pieces. */
function roundPlace(angle: number, band: number, pieces: number): WallPlace {
  const share = (((angle - seamTurn(band, pieces)) % 360) + 360) / 360;
  const whole = (share % 1) * pieces;
  const piece = Math.floor(whole);
  return { piece, foot: whole - piece, rim: whole - piece };
}

/** Ticks across the line of a handle or a lug where its ends are joined, measured down the wall from its upper edge. */
function endMarks(
  lines: WallLines,
  place: WallPlace,
  { kind, target, band }: { readonly kind: MarkedPlace['kind']; readonly target: Target; readonly band: number },
): Mark[] {
  const joins = joinsOf(target, kind);
  if (joins.length === 0) return [];
  const { rim } = kindOf(target).standing(target);
  const cone = target.form.kind === 'stack' ? conesOf(target)[band] : undefined;
  const low = cone?.from ?? 0;
  const top = Math.min(rim[0], cone?.to ?? rim[0]);
  const [footAt, rimAt] = [lines.at('foot', place.foot), lines.at('rim', place.rim)];
  const [dx, dy] = [rimAt[0] - footAt[0], rimAt[1] - footAt[1]];
  const length = Math.hypot(dx, dy);
  return joins.flatMap(({ z, lean }): Mark[] => {
    if (z < low || z > top) return [];
    const down = (top - z) / Math.cos(lean);
    const [x, y] = between(rimAt, footAt, down / length);
    const [u, v] = [(-dy / length) * END_TICK, (dx / length) * END_TICK];
    return [{ kind: 'line', name: 'repeat', from: [x - u, y - v], to: [x + u, y + v] }];
  });
}

/** Where pads are pressed on: a cross on the base, as it lies, for each. */
function withFeet(part: Part, target: Target): Part {
  const { feet } = additionsOf(target);
  if (feet.length === 0) return part;
  const arm = 5;
  const crosses = feet.flatMap(([px, y]): Mark[] => {
    const x = part.faceUp === 'inside' ? px : -px;
    return [
      { kind: 'line', name: 'repeat', from: [x - arm, y], to: [x + arm, y] },
      { kind: 'line', name: 'repeat', from: [x, y - arm], to: [x, y + arm] },
    ];
  });
  return { ...part, marks: [...part.marks, ...crosses] };
}

/** The seam of the band below meets the middle of this one's foot. */
function stackWords(part: Part, lines: WallLines, band: number): Mark[] {
  if (band === 0) return [];
  const below = String.fromCharCode(64 + band);
  const [foot, rim] = [lines.at('foot', 0.5), lines.at('rim', 0.5)];
  return [{ kind: 'words', at: between(foot, rim, 0.14), text: `stands on seam ${below}` }];
}

/** Lines closer than this count as one (mm). */
const ONE_LINE = 0.5;

/** The marks of a part without a middle line on which a place is marked: two lines would compete. */
function unhidden(marks: readonly Mark[], added: readonly Mark[]): Mark[] {
  const near = (a: readonly [number, number], b: readonly [number, number]) =>
    Math.hypot(a[0] - b[0], a[1] - b[1]) < ONE_LINE;
  return marks.filter((mark) => {
    if (mark.kind !== 'line' || mark.name !== 'centre') return true;
    return !added.some(
      (other) =>
        other.kind === 'line' && other.name === 'place' && near(other.from, mark.from) && near(other.to, mark.to),
    );
  });
}

/**
 * The parts with what the design wants marked on its wall: equal panels to the true taper, places of handles and spouts,
 * repeats of a texture, a line of text, and on a stack where each band stands on the one below.
 */
export function markedParts(target: Target, { parts, placeAt, shareAt, numbers, panels }: DevelopedForm): Part[] {
  const { marks = {}, seam, form } = target;
  if (panels)
    return parts.map((part) => (part.role === 'base' ? withFeet(part, target) : withPanelMarks(part, panels, target)));
  if (!kindOf(target).traits.markable)
    return parts.map((part) => (part.role === 'base' ? withFeet(part, target) : part));
  const walls = parts.filter(({ role }) => role === 'wall');
  const girth = Math.max(
    numbers.wrapLength ?? 0,
    numbers.girthRim ?? 0,
    ...(numbers.bands ?? []).map((band) => band.girthRim),
  );
  return parts.map((part) => {
    const index = walls.indexOf(part);
    const lines = index < 0 ? null : wallLines(part);
    if (part.role === 'base') return withFeet(part, target);
    if (!lines) return part;
    const band = form.kind === 'stack' ? index : 0;
    const lofted = form.kind === 'loft';
    const added: Mark[] = [];
    if (form.kind === 'stack' && seam.panels === 1) added.push(...stackWords(part, lines, band));
    if (marks.panels) {
      const count = panelCount(marks.panels, girth, seam.panels);
      added.push(
        ...(shareAt ? sharedLines(lines, { count, piece: index, shareAt }) : panelLines(lines, count / seam.panels)),
      );
      if (marks.panels.marked === 'every-other')
        added.push(
          ...(shareAt ? sharedSigns(lines, { count, piece: index, shareAt }) : panelSigns(lines, count / seam.panels)),
        );
    }
    const wallPlace = (at: number) => (placeAt ? placeAt(at) : roundPlace(at, band, seam.panels));
    for (const joined of placesOf(target)) {
      const { kind, at } = joined;
      const place = wallPlace(at);
      if (lofted && place.piece !== index) continue;
      const note = part.count > 1 ? `, on piece ${place.piece + 1}` : '';
      added.push(...placeMarks(lines, place, { joined, note }));
      added.push(...endMarks(lines, place, { kind, target, band }));
    }
    if (marks.repeat) added.push(...repeatTicks(part, lines, marks.repeat));
    const { textAt } = marks;
    if (marks.text && textAt) {
      const place = wallPlace(textAt.at);
      const here = lofted ? place.piece === index : index === 0;
      const note = part.count > 1 ? `, on piece ${place.piece + 1}` : '';
      if (here)
        added.push({
          kind: 'words',
          at: between(lines.at('foot', place.foot), lines.at('rim', place.rim), textAt.up),
          text: `${marks.text}${note}`,
        });
    } else if (marks.text && index === 0) {
      const box = bounds(part.outline);
      added.push({
        kind: 'words',
        at: between(lines.at('foot', 0.5), lines.at('rim', 0.5), Math.min(0.2, 12 / (box.maxY - box.minY) + 0.08)),
        text: marks.text,
      });
    }
    return added.length > 0 ? { ...part, marks: [...unhidden(part.marks, added), ...added] } : part;
  });
}
