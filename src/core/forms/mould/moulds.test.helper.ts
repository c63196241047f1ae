import { newTarget, type Target } from '../../target/target.ts';
import { isDraped, type DrapedTarget } from './draped.ts';
import type { Dart, MouldForm } from '../../target/mouldForm.ts';

/** Made-up moulds for tests. */
export const circle = (diameter: number) => ({ kind: 'circle', diameter }) as const;
export const ellipse = (length: number, width: number) => ({ kind: 'ellipse', length, width }) as const;
export const rounded = (length: number, width: number, corner: number) =>
  ({ kind: 'rounded', length, width, corner }) as const;
export const mould = (form: Partial<MouldForm> & Pick<MouldForm, 'rim' | 'depth' | 'wall'>): DrapedTarget => {
  const target: Target = { ...newTarget('mould'), form: { kind: 'mould', side: 'hump', margin: 0, ...form } };
  if (!isDraped(target)) throw new TypeError('not draped');
  return target;
};
export const TRAY = mould({ rim: rounded(320, 210, 50), foot: rounded(270, 160, 34), depth: 32, wall: 'straight' });

/** Darts of one depth (mm), evenly round the rim. */
export function evenDarts(count: number, depth: number): Dart[] {
  return Array.from({ length: count }, (_, index) => ({ at: (45 + (360 * index) / count) % 360, depth }));
}
