import { seeded } from '../../seeded.ts';
import { rectangle } from '../outline/shapes.ts';
import type { Outline } from '../outline/outline.ts';
import { Contact } from './contact.ts';
import { nestGrid } from './nestGrid.ts';
import { distanceTo, nestShape, RUN } from './nestShape.ts';
import { Poses } from './poses.ts';

const GAP = 4;
const ELBOW: Outline = [
  [0, 0, 0],
  [80, 0, 0],
  [80, 20, 0],
  [30, 20, 0],
  [30, 70, 0.5],
  [0, 70, 0],
];
const shapes = [rectangle(50, 30), ELBOW].map(nestShape);
const grids = shapes.map((shape) => nestGrid(shape, GAP));
const random = seeded(31);
const some = (reach: number) => reach * (2 * random() - 1);

/** Two pieces at random poses, the second near the origin, and their contact. */
function met(reach: number) {
  const poses = new Poses(2);
  poses.put(0, { x: some(reach), y: some(reach), turn: some(Math.PI) });
  poses.put(1, { x: some(5), y: some(5), turn: some(Math.PI) });
  const contact = new Contact({ poses, shapes, grids, gap: GAP });
  contact.between(0, 1);
  return { poses, contact };
}

describe('the poses of pieces', () => {
  it('add up how far any point may have moved', () => {
    const poses = new Poses(1);
    poses.put(0, { x: 3, y: 4, turn: 0.5 });
    poses.move(0, { dx: 3, dy: 4, turned: -0.5 }, 20);
    expect(poses.at(0)).toEqual({ x: 6, y: 8, turn: 0 });
    expect(poses.travel[0]).toBeCloseTo(5 + 20 * 0.5, 9);
    expect([poses.cos[0], poses.sin[0]]).toEqual([1, 0]);
    poses.move(0, { dx: 0, dy: -2, turned: 0 }, 20);
    expect(poses.travel[0]).toBeCloseTo(17, 9);
  });
});

describe('the points of one piece', () => {
  const [points, shape] = shapes as [(typeof shapes)[0], (typeof shapes)[0]];

  it('are seen in the frame of the other where they lie on the slab', () => {
    for (let times = 0; times < 200; times += 1) {
      const { poses, contact } = met(80);
      const [one, other] = [poses.at(0), poses.at(1)];
      const [px, py] = [some(25), some(15)];
      const x = one.x + px * Math.cos(one.turn) - py * Math.sin(one.turn) - other.x;
      const y = one.y + px * Math.sin(one.turn) + py * Math.cos(one.turn) - other.y;
      const [c, s] = [Math.cos(other.turn), Math.sin(other.turn)];
      expect(contact.c * px - contact.s * py + contact.tx).toBeCloseTo(c * x + s * y, 9);
      expect(contact.s * px + contact.c * py + contact.ty).toBeCloseTo(c * y - s * x, 9);
    }
  });

  it('lie as deep in the other and its gap as they are nearer than the gap, to a fraction of a cell', () => {
    const found = { value: 0, gx: 0, gy: 0 };
    let inside = 0;
    const faults: string[] = [];
    for (let times = 0; times < 2000; times += 1) {
      const { contact } = met(40);
      contact.room = Infinity;
      const [x, y] = [some(70), some(60)];
      const depth = contact.depthAt(x, y);
      distanceTo(shape, [x, y], found);
      const wanted = GAP - found.value;
      if (depth > 0) {
        inside += 1;
        // Deep inside the slope of a cell stands for the exact distance.
        if (!(Math.abs(depth - wanted) < (wanted < 3 ? 0.6 : 1.2))) faults.push(`${x} ${y}: ${depth}, not ${wanted}`);
      } else {
        if (!(wanted < 0.6)) faults.push(`${x} ${y}: apart, not ${wanted}`);
        // The room that is kept is never more than there is.
        if (contact.room < Infinity && !(contact.room <= -wanted + 1e-9))
          faults.push(`${x} ${y}: room ${contact.room}`);
      }
    }
    expect(faults).toEqual([]);
    expect(inside).toBeGreaterThan(200);
  });

  it('are passed over in runs only where each of them is apart', () => {
    let passed = 0;
    for (let times = 0; times < 300; times += 1) {
      const { contact } = met(70);
      for (let at = 0; at < points.probes.length; at += 2 * RUN) {
        contact.room = Infinity;
        if (!contact.isRunApart(at)) continue;
        passed += 1;
        const { room, c, s, tx, ty } = contact;
        for (let point = at; point < Math.min(points.probes.length, at + 2 * RUN); point += 2) {
          const [px, py] = [points.probes[point] as number, points.probes[point + 1] as number];
          const found = { value: 0, gx: 0, gy: 0 };
          distanceTo(shape, [c * px - s * py + tx, s * px + c * py + ty], found);
          expect(found.value - GAP).toBeGreaterThanOrEqual(room - 1e-6);
        }
      }
    }
    expect(passed).toBeGreaterThan(50);
  });
});
