import { fineBase } from './layBlank.ts';
import { evenDarts, TRAY } from './moulds.test.helper.ts';
import type { DrapedTarget } from './draped.ts';

const withDarts = (depth: number): DrapedTarget => ({ ...TRAY, form: { ...TRAY.form, darts: evenDarts(4, depth) } });
const ofSlab = (wall: number): DrapedTarget => ({ ...TRAY, slab: { ...TRAY.slab, wall } });

describe('the surface of a mould', () => {
  it('is laid flat once for all its darts, and anew for another slab', () => {
    const base = fineBase(TRAY);
    expect(fineBase(withDarts(30))).toBe(base);
    expect(fineBase(withDarts(40))).toBe(base);
    expect(fineBase(ofSlab(TRAY.slab.wall + 1))).not.toBe(base);
  });

  it('is laid again when it was stopped', () => {
    const target = ofSlab(TRAY.slab.wall + 2);
    expect(fineBase(target, { going: () => false }).converged).toBe(false);
    expect(fineBase(target).converged).toBe(true);
  });
});
