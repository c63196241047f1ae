import type { Blank } from '../../../core/forms/kind/blank.ts';
import { onUnmounted, type Ref } from 'vue';
import { type Projected } from './mapViews.ts';
import { mapLadder, type MapFigures } from './strainDrawing.ts';
import { paintMap } from './strainRaster.ts';

/** What is painted: a blank as it is seen, its triangles in order, its figures, and the room (px); a formed piece has a thin edge. */
interface Painted {
  readonly blank: Blank;
  readonly view: Projected;
  readonly order: Uint32Array;
  readonly figures: MapFigures;
  readonly width: number;
  readonly height: number;
  readonly thin: boolean;
}

/** Lines on the map, which is as light in the evening. */
const INK = [43, 31, 26] as const;

/** Time slice of the painting (ms), and triangles per check, so that the page stays responsive. */
const AT_ONCE = { ms: 12, triangles: 400 } as const;

/** Shows a painted picture with the border of the blank. */
function show(
  pen: CanvasRenderingContext2D,
  picture: ImageData,
  { sharp, painted: { blank, view, thin } }: { readonly sharp: number; readonly painted: Painted },
): void {
  const { canvas } = pen;
  if (canvas.width !== picture.width || canvas.height !== picture.height) {
    canvas.width = picture.width;
    canvas.height = picture.height;
  }
  pen.setTransform(1, 0, 0, 1, 0, 0);
  pen.putImageData(picture, 0, 0);
  pen.setTransform(sharp, 0, 0, sharp, 0, 0);
  pen.lineJoin = 'round';
  pen.strokeStyle = getComputedStyle(canvas).getPropertyValue('--slab-edge').trim() || '#3b2a22';
  pen.lineWidth = thin ? 1.2 : 2;
  pen.beginPath();
  blank.border.forEach((vertex, index) => {
    if (index === 0) pen.moveTo(view.x[vertex] as number, view.y[vertex] as number);
    else pen.lineTo(view.x[vertex] as number, view.y[vertex] as number);
  });
  pen.closePath();
  pen.stroke();
}

/** Paints the map of a blank on a canvas, a little at a time; a new painting ends the one before. */
export function useMapPainter(canvas: Readonly<Ref<HTMLCanvasElement | null>>, what: () => Painted) {
  let ladder: Uint8ClampedArray | null = null;
  let next: ReturnType<typeof setTimeout> | undefined;

  function paint(): void {
    clearTimeout(next);
    next = setTimeout(begin);
  }

  function begin(): void {
    const pen = canvas.value?.getContext('2d');
    const painted = what();
    if (!pen || painted.width === 0 || painted.height === 0) return;
    const { order, width, height } = painted;
    const sharp = window.devicePixelRatio || 1;
    const shades = (ladder ??= mapLadder());
    const picture = pen.createImageData(Math.round(width * sharp), Math.round(height * sharp));
    let from = 0;
    const go = () => {
      const until = performance.now() + AT_ONCE.ms;
      while (from < order.length && performance.now() < until) {
        const to = Math.min(order.length, from + AT_ONCE.triangles);
        paintMap(picture, painted, { sharp, ladder: shades, ink: INK, from, to });
        from = to;
      }
      if (from < order.length) next = setTimeout(go);
      else show(pen, picture, { sharp, painted });
    };
    next = setTimeout(go);
  }

  onUnmounted(() => clearTimeout(next));
  return { paint };
}
