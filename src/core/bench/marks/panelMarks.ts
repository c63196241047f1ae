import { LENGTH_TOLERANCE, radians } from '../../numbers.ts';
import { halfWidth, heightsUp, withinPanel, type LaidPanel } from '../../parts/part/laidPanel.ts';
import type { Mark, Part } from '../../parts/part/part.ts';
import { kindOf } from '../../forms/kinds.ts';
import { placeWord, type MarkedPlace, type Target } from '../../target/target.ts';
import { between, END_TICK, joinsOf, panelCount, placesOf, TICK } from './marking.ts';
import { fitting } from './repeats.ts';

/** Distance of a letter from the side that it names (mm). */
const LETTER_IN = 11;

/** The first word under the rim, and each next one under it (mm). */
const WORD_DOWN = 14;

/** Distance of the words of a place from a side (mm); on a narrow panel they are in the middle. */
const WORD_IN = 26;

/** Angles closer than this count as one place (degrees). */
const SAME = 1e-6;

/** A place on a flat panel: its distance from the middle of the outer face, at the foot and at the rim (mm). */
interface PanelPlace {
  readonly panel: LaidPanel;
  readonly foot: number;
  readonly rim: number;
}

function turnFrom(faces: number, angle: number): number {
  return ((((angle - faces + 180) % 360) + 360) % 360) - 180;
}

/** Where a ray from the axis meets the wall; on a corner, at the start of the panel that follows it anticlockwise. */
export function onPanels(panels: readonly LaidPanel[], angle: number): PanelPlace | null {
  let found: { panel: LaidPanel; far: number; turn: number } | null = null;
  for (const panel of panels) {
    const turn = turnFrom(panel.faces, angle);
    if (Math.abs(turn) > 90 - SAME) continue;
    const far = panel.reach.rim / Math.cos(radians(turn));
    const nearer = !found || far < found.far - SAME;
    if (nearer || (Math.abs(far - (found?.far ?? 0)) <= SAME && turn < 0)) found = { panel, far, turn };
  }
  if (!found) return null;
  const { panel, turn } = found;
  const aside = (reach: number, width: number) => {
    const x = reach * Math.tan(radians(turn));
    return Math.min(width / 2, Math.max(-width / 2, x));
  };
  return { panel, foot: aside(panel.reach.foot, panel.foot), rim: aside(panel.reach.rim, panel.rim) };
}

/** A line from foot to rim of the face that lies up, by its distance from the middle at both. */
function upLine(
  panel: LaidPanel,
  name: 'centre' | 'panel' | 'place' | 'fold',
  { foot, rim, from = 0 }: { readonly foot: number; readonly rim: number; readonly from?: number },
): Mark {
  const { low, high } = heightsUp(panel);
  const at = (y: number) => {
    const x = foot + ((rim - foot) * y) / panel.slant;
    return panel.place([withinPanel(panel, x, y), y]);
  };
  return { kind: 'line', name, from: at(low + from * (high - low)), to: at(high) };
}

function letters(panel: LaidPanel, sides: readonly (1 | -1)[]): Mark[] {
  const y = 0.75 * panel.slant;
  const half = halfWidth(panel, y);
  const x = Math.max(half / 2, half - LETTER_IN);
  return sides.map((side) => ({ kind: 'letter', at: panel.place([side * x, y]), text: 'A' }));
}

/** Middle line and letters of a panel that is cut by itself; folds of a strip, with letters at its ends. */
function lines(panel: LaidPanel, count: number): Mark[] {
  if (count === 0) return [upLine(panel, 'centre', { foot: 0, rim: 0 }), ...letters(panel, [-1, 1])];
  if (panel.copy === 0) return letters(panel, [-1]);
  const fold = upLine(panel, 'fold', { foot: -panel.foot / 2, rim: -panel.rim / 2 });
  return [fold, ...(panel.copy === count - 1 ? letters(panel, [1]) : [])];
}

/** Equal shares of a panel, by lines to the true taper. */
function shares(panel: LaidPanel, count: number): Mark[] {
  return Array.from({ length: count - 1 }, (_, index) => {
    const share = (index + 1) / count - 0.5;
    return upLine(panel, 'panel', { foot: share * panel.foot, rim: share * panel.rim });
  });
}

/** Ticks where each repeat of a texture ends, along foot and rim; the panel's own sides are the first and the last. */
function ticks(panel: LaidPanel, width: number): Mark[] {
  const { low, high } = heightsUp(panel);
  const length = Math.min(TICK, 0.2 * (high - low));
  return (['foot', 'rim'] as const).flatMap((edge) => {
    const { count } = fitting(panel[edge], width);
    return Array.from({ length: count - 1 }, (_, index): Mark => {
      const share = (index + 1) / count - 0.5;
      const at = (y: number) => panel.place([withinPanel(panel, 2 * share * halfWidth(panel, y), y), y]);
      const [from, to] = edge === 'foot' ? [low, low + length] : [high, high - length];
      return { kind: 'line', name: 'repeat', from: at(from), to: at(to) };
    });
  });
}

/** A place, with all the panels of one part that have the same one. */
interface Alike {
  readonly kind: MarkedPlace['kind'];
  readonly word: string;
  readonly at: PanelPlace;
  readonly copies: Set<number>;
}

function alikes(part: Part, panels: readonly LaidPanel[], target: Target): Alike[] {
  const found: Alike[] = [];
  for (const place of placesOf(target)) {
    const { kind } = place;
    const word = placeWord(place);
    const at = onPanels(panels, place.at);
    if (!at || at.panel.part !== part.id) continue;
    const same = found.find(
      (one) =>
        part.count > 1 &&
        one.word === word &&
        Math.abs(one.at.foot - at.foot) + Math.abs(one.at.rim - at.rim) < LENGTH_TOLERANCE,
    );
    if (same) same.copies.add(at.panel.copy);
    else found.push({ kind, word, at, copies: new Set([at.panel.copy]) });
  }
  return found;
}

/** On which of the panels that are cut alike something goes. */
function onWhich(part: Part, copies: ReadonlySet<number>, { alone }: { readonly alone: boolean }): string {
  if (part.count === 1) return '';
  if (copies.size === part.count) return ', on each';
  if (alone && copies.size === 1) return `, on 1 of ${part.count}`;
  const names = [...copies].sort((one, other) => one - other).map((copy) => copy + 1);
  return names.length === 1
    ? `, on panel ${names[0] ?? 1}`
    : `, on panels ${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}

/** Position of the words of a place: beside it, clear of the sides. */
function wordAt(panel: LaidPanel, x: number, y: number): readonly [number, number] {
  const room = Math.max(0, halfWidth(panel, y) - WORD_IN);
  return panel.place([Math.min(room, Math.max(-room, x)), y]);
}

function placeMarks({ kind, at: { panel, foot, rim } }: Alike, words: string, row: number): Mark[] {
  const y = heightsUp(panel).high - WORD_DOWN - 9 * row;
  return [
    upLine(panel, 'place', { foot, rim, from: kind === 'spout' ? 0.65 : 0 }),
    { kind: 'words', at: wordAt(panel, foot + ((rim - foot) * y) / panel.slant, y), text: words },
  ];
}

/** Ticks across the line of a handle or a lug where its ends are joined. */
function endTicks({ panel, foot, rim }: PanelPlace, kind: MarkedPlace['kind'], target: Target): Mark[] {
  const { height } = kindOf(target).standing(target);
  // Heights of the piece are longer along the slant of the wall.
  const perHeight = panel.slant / Math.sqrt(panel.slant ** 2 - (panel.reach.rim - panel.reach.foot) ** 2);
  return joinsOf(target, kind).flatMap(({ z }): Mark[] => {
    const y = panel.slant - (height - z) * perHeight;
    if (y < 0 || y > panel.slant) return [];
    const x = foot + ((rim - foot) * y) / panel.slant;
    const end = (side: 1 | -1) => panel.place([withinPanel(panel, x + side * END_TICK, y), y]);
    return [{ kind: 'line', name: 'repeat', from: end(-1), to: end(1) }];
  });
}

/** Slant of each side of a groove: that of the strip's own ends (degrees). */
const mitreOf = (strip: readonly LaidPanel[]) => Math.abs(strip[0]?.leans.left ?? 0);

/** How the grooves between the panels of a strip are cut, beside the first of them. The outer skin stays whole. */
function grooveWords(panel: LaidPanel, mitre: number, faceUp: Part['faceUp']): Mark {
  const face = faceUp === 'inside' ? '' : ' on the other face';
  const y = 0.5 * panel.slant;
  const text = `V-grooves${face}: ${(2 * mitre).toFixed(1)}°, ${mitre.toFixed(1)}° to each side`;
  return { kind: 'words', at: panel.place([0, y]), text };
}

/** The part of flat panels with its lines, letters, and what the design wants marked on it. */
export function withPanelMarks(part: Part, panels: readonly LaidPanel[], target: Target): Part {
  const own = panels.filter((panel) => panel.part === part.id);
  const { marks = {} } = target;
  const strip = part.count === 1;
  // Panels that are cut alike are drawn once.
  const drawn = strip ? own : own.slice(0, 1);
  const [first] = drawn;
  if (!first) return part;
  const girth = panels.reduce((sum, panel) => sum + Math.max(panel.foot, panel.rim), 0);
  const added = drawn.flatMap((panel) => lines(panel, strip ? own.length : 0));
  const wide = (panel: LaidPanel) => Math.max(panel.foot, panel.rim);
  if (marks.panels) {
    const count = panelCount(marks.panels, girth, 1);
    for (const panel of drawn) added.push(...shares(panel, Math.max(1, Math.round((count * wide(panel)) / girth))));
  }
  const places = alikes(part, panels, target);
  const { textAt } = marks;
  const textPlace = textAt ? onPanels(panels, textAt.at) : null;
  const front =
    textPlace?.panel ?? panels.reduce((one, other) => (wide(other) > wide(one) + LENGTH_TOLERANCE ? other : one));
  const text = front.part === part.id ? marks.text : undefined;
  const named = new Set([...places.flatMap(({ copies }) => [...copies]), ...(text ? [front.copy] : [])]).size > 1;
  const rows = new Map<LaidPanel, number>();
  for (const place of places) {
    const panel = strip ? place.at.panel : first;
    const row = rows.get(panel) ?? 0;
    rows.set(panel, row + 1);
    added.push(...placeMarks(place, `${place.word}${onWhich(part, place.copies, { alone: !named })}`, row));
    added.push(...endTicks(place.at, place.kind, target));
  }
  if (strip && own.length > 1) added.push(grooveWords(own[1] as LaidPanel, mitreOf(own), part.faceUp));
  if (marks.repeat) for (const panel of drawn) added.push(...ticks(panel, marks.repeat));
  if (text) {
    const { low, high } = heightsUp(front);
    const up = textAt?.up ?? Math.min(0.2, 12 / (high - low) + 0.08);
    const x = (y: number) => (textPlace ? textPlace.foot + ((textPlace.rim - textPlace.foot) * y) / front.slant : 0);
    const at = between(front.place([x(low), low]), front.place([x(high), high]), up);
    added.push({ kind: 'words', at, text: `${text}${onWhich(part, new Set([front.copy]), { alone: !named })}` });
  }
  return { ...part, marks: [...part.marks, ...added] };
}
