import { coneBase, coneLine, developCone, neutralRim, outerRadius, radiusInside, type ConeTarget } from './cone.ts';

const cup: ConeTarget = { rim: 68, foot: 45, height: 102, wall: 6, face: 'outside', rimCut: 'square' };
const slab = { wall: 6, floor: 5, neutralFraction: 0.4 };

describe('a square rim', () => {
  it.each([
    ['a flare, outside', 68, 45, 'outside'],
    ['a flare, inside', 68, 45, 'inside'],
    ['a closing wall, outside', 40, 70, 'outside'],
    ['a closing wall, inside', 40, 70, 'inside'],
    ['a straight wall', 50, 50, 'outside'],
  ] as const)('of %s reaches its diameter at its own edge, the highest at the full height', (_, rim, foot, face) => {
    const line = coneLine({ ...cup, rim, foot, face });
    const drop = cup.wall * Math.sin(Math.abs(line.halfAngle));
    const outerTop = line.halfAngle > 0 ? cup.height - drop : cup.height;
    const innerTop = line.halfAngle < 0 ? cup.height - drop : cup.height;
    const reached = face === 'outside' ? outerRadius(line, outerTop) : radiusInside(line, innerTop, cup.wall);
    expect(reached).toBeCloseTo(rim, 9);
    const neutral = neutralRim(line, cup.height, { rim: 'square', wall: 6, k: 0.4 });
    expect(neutral).toBeCloseTo(outerTop + (innerTop - outerTop) * 0.6, 9);
  });

  it('slants the wall a little more than a level one', () => {
    expect(coneLine(cup).halfAngle).toBeGreaterThan(coneLine({ ...cup, rimCut: 'level' }).halfAngle);
  });
});

describe('the base of a cone', () => {
  const line = coneLine({ ...cup, rimCut: 'level' });
  const a = (line.halfAngle * 180) / Math.PI;

  it('continues the wall’s slant when the wall stands on it', () => {
    const { start, footLean, disc } = coneBase(line, { join: 'under', trim: 0 }, slab);
    expect([start, footLean]).toEqual([5, expect.closeTo(-a, 9)]);
    expect(disc).toEqual({ under: 90, top: expect.closeTo(2 * outerRadius(line, 5), 9), lean: expect.closeTo(-a, 9) });
  });

  it('fits within the wall when it lies inside', () => {
    const { start, disc } = coneBase(line, { join: 'inside', trim: 0 }, slab);
    expect(start).toBe(0);
    expect(disc?.under).toBeCloseTo(2 * radiusInside(line, 0, 6), 9);
    expect(disc?.lean).toBeCloseTo(-a, 9);
  });

  it('meets the wall along one slant when both are mitred', () => {
    const { start, footLean, disc } = coneBase(line, { join: 'mitre', trim: 0 }, slab);
    expect(start).toBeCloseTo(5 * 0.6, 9);
    // Wall and disc turn the corner together: their slants and the corner of the piece make a straight angle.
    const discSlant = (disc?.lean ?? 0) + 0;
    expect(footLean + discSlant + a).toBeCloseTo(90, 6);
  });

  it('grows by trim and skirt on both sides', () => {
    const { disc } = coneBase(line, { join: 'skirt', overlap: 3, trim: 2 }, slab);
    expect(disc?.under).toBeCloseTo(2 * outerRadius(line, 5) + 6 + 4, 9);
    expect(disc?.top).toBeCloseTo(2 * outerRadius(line, 5) + 4, 9);
    expect(coneBase(line, { join: 'none', trim: 0 }, slab).disc).toBeNull();
  });

  it.each([
    ['a flare', 1],
    ['a closing wall', -1],
  ])('under %s that is trimmed after joining is cut straight down, wide enough at both faces', (_, way) => {
    const leaning = { ...line, halfAngle: way * Math.abs(line.halfAngle) };
    const exact = coneBase(leaning, { join: 'under', trim: 0 }, slab).disc;
    const trimmed = coneBase(leaning, { join: 'under', trim: 4 }, slab).disc;
    const wide = Math.max(exact?.under ?? 0, exact?.top ?? 0) + 8;
    expect(trimmed).toEqual({ under: wide, top: wide, lean: 0 });
    expect(exact?.lean).not.toBe(0);
  });
});

it('a developed cone rolls up again: arcs times sweep are its girths', () => {
  const line = coneLine(cup);
  const cone = developCone(line, { from: 5, to: 100, depth: 3 });
  const turn = (cone.sweep * Math.PI) / 180;
  expect(cone.arcFoot * turn).toBeCloseTo(cone.girthFoot, 9);
  expect(cone.arcRim * turn).toBeCloseTo(cone.girthRim, 9);
  expect(cone.arcRim - cone.arcFoot).toBeCloseTo(cone.slant, 9);
});
