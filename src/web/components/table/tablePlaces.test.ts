import { developWhole } from '../../../core/piece/develop.ts';
import { elevation } from '../../../core/piece/elevation.ts';
import { targetsOfEveryKind } from '../../../core/piece/everyKind.test.helper.ts';
import { level } from '../../../core/piece/targets.test.helper.ts';
import { formOfKind } from '../../../core/forms/formOfKind.ts';
import { slabBox } from '../../../core/parts/part/part.ts';
import { FORM_KINDS, type Target } from '../../../core/target/target.ts';
import { kindOnTable, layTable, leaningEdges, tablePlaces } from './tablePlaces.ts';

const tumbler = { kind: 'cylinder', diameter: 84, height: 110 } as const;
const TARGETS: readonly Target[] = [
  ...FORM_KINDS.filter((kind) => kind !== 'mesh' && kind !== 'mould').map((kind) => level(formOfKind(kind, tumbler))),
  ...targetsOfEveryKind(501, 28),
].map((target) => ({ ...target }));
const LAID = TARGETS.map((target) => ({ target, developed: developWhole(target) }));
const ROOMS = [
  [716, 694],
  [1100, 900],
  [374, Infinity],
  [640, 420],
] as const;

describe.each(ROOMS)('a table of %d by %d px', (width, height) => {
  const tables = LAID.map(({ target, developed }) => {
    const layout = layTable(target, developed, { width, height });
    return { target, developed, layout, places: tablePlaces(target, developed, layout) };
  });

  it('has every part at one scale, as large as its slab is cut', () => {
    for (const { developed, places } of tables) {
      expect(places.scale).toBeGreaterThan(0);
      expect(places.parts.map(({ part }) => part.id)).toEqual(developed.parts.map(({ id }) => id));
      for (const { part, width: across, height: up, traced } of places.parts) {
        const box = slabBox(part);
        expect(across / box.length).toBeCloseTo(places.scale, 9);
        expect(up / box.width).toBeCloseTo(places.scale, 9);
        expect(traced.pxLength / traced.length).toBeCloseTo(places.scale, 9);
        expect(traced.pxHeight / traced.height).toBeCloseTo(places.scale, 9);
      }
    }
  });

  it('has nothing over anything else, and nothing off its left or right edge', () => {
    for (const { places } of tables) {
      const boxes = [
        ...places.parts.map(({ x, y, width: across, height: up }) => ({ x0: x, x1: x + across, y0: y - up, y1: y })),
        { x0: places.piece.left, x1: places.piece.right, y0: places.piece.top, y1: places.piece.at[1] },
      ];
      for (const box of boxes) {
        expect(box.x0).toBeGreaterThanOrEqual(-1e-9);
        expect(box.x1).toBeLessThanOrEqual(width + 1e-9);
      }
      boxes.forEach((one, index) => {
        for (const other of boxes.slice(index + 1))
          expect(one.x1 <= other.x0 || other.x1 <= one.x0 || one.y1 <= other.y0 || other.y1 <= one.y0).toBe(true);
      });
    }
  });

  it('has the traced line of each part within the part as it lies, underside and all', () => {
    for (const { places } of tables)
      for (const { x, y, width: across, height: up, traced } of places.parts) {
        expect(traced.left).toBeGreaterThanOrEqual(x - 1e-9);
        expect(traced.left + traced.pxLength).toBeLessThanOrEqual(x + across + 1e-9);
        expect(traced.top).toBeGreaterThanOrEqual(y - up - 1e-9);
        expect(traced.top + traced.pxHeight).toBeLessThanOrEqual(y + 1e-9);
      }
  });

  it('stands the piece at a share of the scale of its parts', () => {
    for (const { target, places } of tables) {
      const { width: across, height: up } = elevation(target, 'wet');
      expect(places.piece.scale / places.scale).toBeCloseTo(0.4, 9);
      expect(places.piece.right - places.piece.left).toBeCloseTo(across * places.piece.scale, 9);
      expect(places.piece.at[1] - places.piece.top).toBeCloseTo(up * places.piece.scale, 9);
    }
  });

  it('tells every edge that leans, once, on its part or below it', () => {
    for (const { developed, layout, places } of tables)
      for (const { part, hanging } of places.parts) {
        const leaning = leaningEdges(part);
        expect(new Set(leaning.map(({ edge }) => edge)).size).toBe(leaning.length);
        expect(hanging).toEqual(layout.hanging.has(part.id) ? leaning : []);
        for (const lean of leaning) expect(lean.word).not.toBe('straight down');
        const all = developed.parts.find(({ id }) => id === part.id)?.leans ?? [];
        for (const { edge, word } of all)
          if (word !== 'straight down') expect(leaning.map((lean) => lean.edge)).toContain(edge);
      }
  });
});

describe('what lies on the table', () => {
  it.each([
    ['base', { kind: 'cylinder', diameter: 84, height: 110 }, 'base'],
    ['base', { kind: 'oval', length: 176, width: 112, height: 46 }, 'plate'],
    ['base', { kind: 'cylinder', diameter: 34, height: 60 }, 'pad'],
    ['wall', { kind: 'cylinder', diameter: 84, height: 110 }, 'wall'],
    ['gore', { kind: 'gores', strips: 8, ball: 168, foot: 84, height: 88 }, 'wall'],
  ] as const)('counts %s of %j as a %s', (id, form, kind) => {
    const part = developWhole(level(form)).parts.find((one) => one.id === id);
    expect(part && kindOnTable(part)).toBe(kind);
  });
});
