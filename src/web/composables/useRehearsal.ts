import { getCurrentInstance, onScopeDispose, render, type VNode } from 'vue';
import { checkTarget } from '../../core/forms/checkTarget.ts';
import { develop, type Development } from '../../core/piece/develop.ts';
import { formSizes } from '../../core/forms/formSizes.ts';
import type { Form, Target } from '../../core/target/target.ts';
import { useBench } from '../stores/bench.ts';
import { usePiece } from '../stores/piece.ts';
import { whileIdle } from './whileIdle.ts';

/** Total rehearsal of a kind of form (ms): by then the browser has compiled the code of a keystroke. */
const ENOUGH = 1200;

/** How long each kind has been rehearsed since the page was loaded (ms). */
const rehearsed = new Map<Form['kind'], number>();

/** The piece with one length slightly changed, another one in each round. */
function varied(target: Target, round: number): Target {
  const sizes = formSizes(target.form).filter(({ unit }) => unit === 'length');
  const size = sizes[round % sizes.length];
  return size ? { ...target, form: size.put(Math.round(size.value) + (round % 7) / 2) } : target;
}

/**
 * Develops and draws variations of the piece outside the page while the browser is idle, so that its code is compiled and
 * the first keystroke is answered as fast as later ones. Nothing is shown or kept.
 *
 * @param drawn renders a piece
 */
export function useRehearsal(drawn: (target: Target, developed: Development) => VNode): void {
  const piece = usePiece();
  const bench = useBench();
  const context = getCurrentInstance()?.appContext ?? null;
  const aside = document.createElement('div');
  const clear = () => render(null, aside);
  let round = 0;
  const rehearse = (target: Target) => {
    const changed = varied(target, round);
    round += 1;
    if (checkTarget(changed).length > 0) return;
    const drawing = drawn(changed, develop(changed, bench.bench));
    drawing.appContext = context;
    render(drawing, aside);
  };
  whileIdle(() => {
    const { target } = piece;
    const { kind } = target.form;
    const from = performance.now();
    if ((rehearsed.get(kind) ?? 0) < ENOUGH) rehearse(target);
    const spent = (rehearsed.get(kind) ?? 0) + performance.now() - from;
    rehearsed.set(kind, spent);
    if (spent >= ENOUGH) clear();
    return spent < ENOUGH;
  });
  onScopeDispose(clear);
}
