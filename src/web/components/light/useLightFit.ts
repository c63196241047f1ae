import { computed, ref, watch, type Ref } from 'vue';
import { homography, isConvex, mapped, type PlanePoint, type Quad } from '../../../core/files/screen/homography.ts';
import { pixelOnClay } from '../../../core/files/screen/thrown.ts';
import { PAPERS } from '../../../core/studio/printer/paper.ts';
import { memory } from '../../memory.ts';

const KEY = 'fawn-light';
/** Sheets that the light can be fitted to. */
export const SHEETS = [
  { value: 'a4', words: 'A4' },
  { value: 'letter', words: 'Letter' },
] as const;
type SheetName = (typeof SHEETS)[number]['value'];

/** Corners of light, as shares of the picture's width and height, in the paper's order. */
const START: Quad = [
  [0.3, 0.7],
  [0.7, 0.7],
  [0.7, 0.3],
  [0.3, 0.3],
];

/** What this browser remembers of the last fit. */
function kept(): { sheet: SheetName; corners: Quad } | null {
  try {
    const read = JSON.parse(memory.read(KEY) ?? 'null') as { sheet: SheetName; corners: Quad } | null;
    const sound =
      read?.corners.length === 4 && read.corners.flat().every((one) => Number.isFinite(one)) && read.sheet in PAPERS;
    return sound ? read : null;
  } catch {
    return null;
  }
}

/** The fit of the light to a sheet of paper on the slab: its corners on a picture of a width and height (px). */
export function useLightFit(width: Readonly<Ref<number>>, height: Readonly<Ref<number>>) {
  const sheet = ref<SheetName>('a4');
  /** The sheet lies with its long edge across: its corners in mm, y up, from the lower left against the clock. */
  const paper = computed<Quad>(() => {
    const { width: short, height: long } = PAPERS[sheet.value];
    return [
      [0, 0],
      [long, 0],
      [long, short],
      [0, short],
    ];
  });
  const before = kept();
  const corners = ref<Quad>(before?.corners ?? START);
  sheet.value = before?.sheet ?? 'a4';
  watch([corners, sheet], () => memory.write(KEY, JSON.stringify({ sheet: sheet.value, corners: corners.value })));

  const px = computed(() => corners.value.map(([x, y]) => [x * width.value, y * height.value]) as unknown as Quad);
  const sound = computed(() => width.value > 0 && isConvex(px.value));
  const map = computed(() => (sound.value ? homography(paper.value, px.value) : null));
  const middle = computed<PlanePoint>(() => [(paper.value[1][0] ?? 0) / 2, (paper.value[2][1] ?? 0) / 2]);
  /** The frame of the sheet with its diagonals: they cross in the middle of the paper where the fit is right. */
  const frame = computed(() => {
    if (!map.value) return [];
    const [a, b, c, d] = paper.value;
    const through = map.value;
    return [
      [a, b, c, d, a],
      [a, c],
      [b, d],
    ].map((line) => line.map((point) => mapped(through, point).join(',')).join(' '));
  });
  const pixel = computed(() => (map.value ? pixelOnClay(map.value, middle.value) : null));

  function moveCorner(index: number, [x, y]: PlanePoint): void {
    const put = (value: number) => Math.min(1, Math.max(0, value));
    corners.value = corners.value.map((one, at) => (at === index ? [put(x), put(y)] : one)) as unknown as Quad;
  }
  return { sheet, corners, sound, map, middle, frame, pixel, moveCorner };
}
