import { level, targetWith } from '../../core/piece/targets.test.helper.ts';
import { solveWork } from './solveWork.ts';

describe('work for the worker', () => {
  it.each([
    ['a capacity', targetWith(), { kind: 'capacity', ml: 300, keep: 'height' }],
    ['a rack hole', targetWith(), { kind: 'hole', diameter: 80, clearance: 1, keep: 'height' }],
    ['a cutter', targetWith(), { kind: 'cutter', diameter: 75 }],
    ['pieces for a slab', targetWith(), { kind: 'pieces', slab: { length: 160, width: 130 } }],
  ] as const)('finds %s', (_, target, work) => {
    const reply = solveWork(target, work);
    expect(reply.kind === 'found' && reply.target).not.toEqual(target);
    expect(reply.kind).toBe('found');
  });

  it.each([
    ['no volume', targetWith(), { kind: 'capacity', ml: -1, keep: 'height' }, /more than 0/],
    ['a hole less than its room', targetWith(), { kind: 'hole', diameter: 1, clearance: 2, keep: 'height' }, /larger/],
    [
      'a round cutter for a box',
      level({ kind: 'box', length: 90, width: 80, height: 60 }),
      { kind: 'cutter', diameter: 75 },
      /round bases/,
    ],
    ['a slab narrower than the wall', targetWith(), { kind: 'pieces', slab: { length: 160, width: 50 } }, /no number/],
  ] as const)('says why there is none for %s', (_, target, work, rule) => {
    const reply = solveWork(target, work);
    expect(reply.kind === 'none' && reply.rule).toMatch(rule);
  });
});
