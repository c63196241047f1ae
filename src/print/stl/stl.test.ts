import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readTargetText } from '../../contract/targetSchema.ts';
import { FaultError } from '../../core/errors.ts';
import { readStl } from '../../core/geometry/mesh/readStl.ts';
import { bounds, type Outline } from '../../core/geometry/outline/outline.ts';
import type { Part } from '../../core/parts/part/part.ts';
import { developWhole } from '../../core/piece/develop.ts';
import { randomTarget } from '../../core/piece/targets.test.helper.ts';
import { newTarget, type Target } from '../../core/target/target.ts';
import { seeded } from '../../core/seeded.ts';
import { noTool } from '../../core/files/tool/noTool.ts';
import { CUTTER } from './cutter.ts';
import { readSolid } from './readBackStl.ts';
import { writeTool } from './tools.ts';

const DEMO = readdirSync('demo')
  .filter((file) => file.endsWith('.fawn.json'))
  .map((file) => {
    const reading = readTargetText(readFileSync(join('demo', file), 'utf8'));
    if (reading.kind === 'faults') throw new Error(`${file} cannot be read`);
    return reading.target;
  });

const CUP = newTarget('Rack tumbler');
const rectangle = (x: number, y: number, width: number, height: number): Outline => [
  [x, y, 0],
  [x + width, y, 0],
  [x + width, y + height, 0],
  [x, y + height, 0],
];
const partOf = (outline: Outline, holes: readonly Outline[] = []): Part => ({
  ...(developWhole(CUP).parts[0] as Part),
  id: 'made-up',
  outline,
  holes,
  underside: outline,
});

/** Corners of a cutter in the part's own frame: x is mirrored back. */
function corners(part: Part): [number, number, number][] {
  const reading = readStl(writeTool(CUP, [part], { format: 'cutter', title: 'x', options: { part: part.id } }));
  if (reading.kind === 'refused') throw new Error(reading.rule);
  const { positions } = reading.mesh;
  return Array.from({ length: positions.length / 3 }, (_, at) => [
    -(positions[3 * at] as number),
    positions[3 * at + 1] as number,
    positions[3 * at + 2] as number,
  ]);
}

/** The least and the greatest height in a binary STL, straight from its bytes. */
function heightsIn(bytes: Buffer): [number, number] {
  let [least, most] = [Infinity, -Infinity];
  for (let triangle = 84; triangle < bytes.length; triangle += 50) {
    for (const corner of [12, 24, 36]) {
      const z = bytes.readFloatLE(triangle + corner + 8);
      [least, most] = [Math.min(least, z), Math.max(most, z)];
    }
  }
  return [least, most];
}

describe('a cutter', () => {
  // Read back, closed, and of the volume that its lines give: otherwise none is handed over.
  it('is made for every part of every demo piece, and of 12 made-up ones', () => {
    const random = seeded(41);
    for (const target of [...DEMO, ...Array.from({ length: 12 }, () => randomTarget(random))]) {
      const { parts } = developWhole(target);
      for (const { id, thickness } of parts) {
        const bytes = writeTool(target, parts, { format: 'cutter', title: 'x', options: { part: id } });
        expect(heightsIn(bytes)).toEqual([
          0,
          expect.closeTo(CUTTER.rim.height + CUTTER.wall.height + CUTTER.edge.beyond + thickness, 4),
        ]);
      }
    }
  });

  it.each<[string, Part]>([
    [
      'holes in rows',
      partOf(
        rectangle(0, 0, 200, 100),
        [0, 1, 2, 3].flatMap((i) => [0, 1].map((j) => rectangle(20 + 40 * i, 20 + 40 * j, 20, 20))),
      ),
    ],
    [
      'corners on a straight line',
      partOf([
        [0, 0, 0],
        [50, 0, 0],
        [100, 0, 0],
        [100, 100, 0],
        [0, 100, 0],
        [0, 50, 0],
      ]),
    ],
    [
      'a dart and a slit',
      partOf(
        [
          [0, 0, 0],
          [45, 0, 0],
          [50, 60, 0],
          [55, 0, 0],
          [100, 0, 0],
          [100, 100, 0],
          [0, 100, 0],
        ],
        [rectangle(10, 80, 0.5, 10), rectangle(30, 80, 1.2, 10)],
      ),
    ],
    ['a hole close to its edge', partOf(rectangle(0, 0, 100, 50), [rectangle(0.5, 10, 20, 20)])],
    [
      'a gap that closes into a ring',
      partOf([
        [0, 0, 0],
        [100, 0, 0],
        [100, 40, 0],
        [40, 40, 0],
        [40, 40.5, 0],
        [100, 40.5, 0],
        [100, 100, 0],
        [0, 100, 0],
      ]),
    ],
  ])('with %s is closed', (_, part) =>
    expect(() => writeTool(CUP, [part], { format: 'cutter', title: 'x', options: { part: part.id } })).not.toThrow(),
  );

  it('cuts the very line, by an edge that is nowhere thinner than it says', () => {
    const part = partOf(rectangle(0, 0, 80, 50), [rectangle(20, 20, 10, 10)]);
    const { edge, rim, wall } = CUTTER;
    const top = Math.max(...corners(part).map(([, , z]) => z));
    const edgeLines = corners(part).filter(([, , z]) => z === top);
    const xs = [...new Set(edgeLines.filter(([, y]) => Math.abs(y - 25) < 30).map(([x]) => Math.round(100 * x) / 100))];
    const onLine = (x: number, y: number) => Math.min(Math.abs(x), Math.abs(x - 80), Math.abs(y), Math.abs(y - 50));
    // Outside the part, and on its line or as far from it as the edge is thick.
    for (const [x, y] of edgeLines) {
      const inHole = x > 15 && x < 35 && y > 15 && y < 35;
      if (inHole) continue;
      const out = Math.hypot(Math.max(-x, 0, x - 80), Math.max(-y, 0, y - 50));
      expect(Math.min(out, Math.abs(out - edge.thickness))).toBeLessThan(0.03);
      if (out < 0.03) expect(onLine(x, y)).toBeLessThan(0.02);
    }
    expect(xs).toEqual(expect.arrayContaining([0, 80, 20, 30, 20.8, 29.2]));
    const low = corners(part).filter(([, , z]) => z === 0);
    expect(bounds(low.map(([x, y]) => [x, y, 0]))).toEqual({
      minX: expect.closeTo(-rim.width, 1),
      maxX: expect.closeTo(80 + rim.width, 1),
      minY: expect.closeTo(-rim.width, 1),
      maxY: expect.closeTo(50 + rim.width, 1),
    });
    expect(wall.thickness).toBeGreaterThan(edge.thickness);
  });

  it('of a part that is not there is refused in words', () => {
    expect(() =>
      writeTool(CUP, developWhole(CUP).parts, { format: 'cutter', title: 'x', options: { part: 'lid' } }),
    ).toThrow(FaultError);
  });
});

describe('a former', () => {
  it('of a tumbler is its wet inside, less the clearance', () => {
    const bytes = writeTool(CUP, [], { format: 'former', title: 'x', options: { clearance: 0.5 } });
    const read = readSolid(bytes);
    // Outside 84 fired at 12 %: 95.4545 wet, slab 6: inside 83.4545; height of the wall 119.
    const radius = 83.4545 / 2 - 0.5;
    expect(read.kind === 'closed' && read.volume / (Math.PI * radius ** 2 * 119)).toBeCloseTo(1, 2);
  });

  it('is made for every demo piece that has one, and the others say why not', () => {
    for (const target of DEMO) {
      const why = noTool(target, 'former');
      if (why === null)
        expect(readSolid(writeTool(target, [], { format: 'former', title: 'x', options: {} })).kind).toBe('closed');
      else expect(() => writeTool(target, [], { format: 'former', title: 'x', options: {} })).toThrow(FaultError);
    }
    expect(DEMO.filter((target) => noTool(target, 'former') === null).length).toBeGreaterThan(12);
  });
});

describe('a mould', () => {
  const tray = DEMO.find(({ form }) => form.kind === 'mould') as Target;
  const sideOf = (side: 'hump' | 'slump'): Target => ({ ...tray, form: { ...tray.form, side } as Target['form'] });

  it('as a hump and as a slump fit into one another', () => {
    const [hump, slump] = (['hump', 'slump'] as const).map((side) =>
      readSolid(writeTool(sideOf(side), [], { format: 'mould', title: 'x', options: {} })),
    );
    if (hump?.kind !== 'closed' || slump?.kind !== 'closed') throw new Error('open');
    expect(hump.volume).toBeGreaterThan(0);
    expect(slump.volume).toBeGreaterThan(0);
    const reading = readStl(writeTool(sideOf('slump'), [], { format: 'mould', title: 'x', options: {} }));
    if (reading.kind === 'refused') throw new Error(reading.rule);
    const heights = [...reading.mesh.positions].filter((_, at) => at % 3 === 2);
    if (tray.form.kind === 'mould') expect(Math.max(...heights)).toBeCloseTo(tray.form.depth, 3);
  });

  it('of a cylinder is refused', () =>
    expect(() => writeTool(CUP, [], { format: 'mould', title: 'x', options: {} })).toThrow(FaultError));
});

describe('an STL that is read back', () => {
  it('that is open, inside out or cut short is not closed', () => {
    const bytes = writeTool(CUP, [], { format: 'former', title: 'x', options: {} });
    const count = bytes.readUInt32LE(80);
    const lacking = Buffer.from(bytes.subarray(0, bytes.length - 50));
    lacking.writeUInt32LE(count - 1, 80);
    expect(readSolid(lacking)).toEqual({ kind: 'open', rule: 'has an open edge' });
    const turned = Buffer.from(bytes);
    bytes.copy(turned, 84 + 12, 84 + 24, 84 + 36);
    bytes.copy(turned, 84 + 24, 84 + 12, 84 + 24);
    expect(readSolid(turned).kind).toBe('open');
    expect(readSolid(bytes.subarray(0, 200)).kind).toBe('open');
  });
});
