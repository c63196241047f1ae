import { computed, onUnmounted, ref, shallowRef } from 'vue';
import { photoReadings } from '../../../core/files/photo/readings.ts';
import { Lens } from '../../../core/files/photo/lens.ts';
import { pointsOf } from '../../../core/forms/bentSheet/sheetForm.ts';
import type { Outline, Vertex } from '../../../core/geometry/outline/outline.ts';
import { inverse, mapped, type PlanePoint, type Quad } from '../../../core/files/screen/homography.ts';
import type { PaperName } from '../../../core/studio/printer/paper.ts';
import type { PhotoQuestion, PhotoReply, TracedPhoto } from '../../workers/photoWork.ts';
import { workerJob } from '../../workers/workerJob.ts';
import { greyPhoto, LEAST_PIXELS, type ReadPhoto } from './greyPhoto.ts';

/** Points along an outline as it is drawn over the photograph (mm apart). */
const STEP = 1;

/** A photograph of something on a sheet of paper, traced in a worker, and corrected by hand. */
export function usePhoto() {
  const photo = shallowRef<ReadPhoto | null>(null);
  const paper = ref<PaperName>('a4');
  const traced = shallowRef<TracedPhoto | null>(null);
  /** Corners of the sheet in the picture (px), where they are known. */
  const corners = shallowRef<Quad | null>(null);
  const trouble = ref('');
  const job = workerJob<PhotoQuestion, PhotoReply>({
    make: () => new Worker(new URL('../../workers/photo.worker.ts', import.meta.url), { type: 'module' }),
    ends: () => true,
    broken: { kind: 'refused', rule: 'could not be worked on: try again' },
  });
  onUnmounted(job.stop);

  async function trace(given?: Quad): Promise<void> {
    if (!photo.value) return;
    trouble.value = '';
    const reply = await job.ask({ image: photo.value.image, paper: paper.value, ...(given && { corners: given }) });
    if (!reply) return;
    traced.value = reply.kind === 'traced' ? reply : null;
    corners.value = reply.corners ?? null;
    if (reply.kind === 'refused') trouble.value = `The photograph ${reply.rule}.`;
  }

  async function read(file: File): Promise<void> {
    job.stop();
    [traced.value, corners.value] = [null, null];
    const found = await greyPhoto(file);
    photo.value = found;
    if (!found) trouble.value = `${file.name} is not a picture that this browser can read.`;
    else if (Math.max(found.image.width, found.image.height) < LEAST_PIXELS)
      trouble.value = `${file.name} is too small: ${found.image.width} × ${found.image.height} dots.`;
    else await trace();
  }

  /** The sheet's corners about the middle of the picture, to be dragged where none were found. */
  function placeCorners(): void {
    if (!photo.value) return;
    const { width, height } = photo.value.image;
    corners.value = [
      [0.2, 0.2],
      [0.8, 0.2],
      [0.8, 0.8],
      [0.2, 0.8],
    ].map(([x = 0, y = 0]) => [x * width, y * height]) as unknown as Quad;
  }
  const moveCorner = (index: number, to: PlanePoint) => {
    if (corners.value) corners.value = corners.value.map((one, at) => (at === index ? to : one)) as unknown as Quad;
  };

  const lens = computed(() =>
    photo.value && traced.value
      ? new Lens(photo.value.image.width, photo.value.image.height, traced.value.curve)
      : null,
  );
  /** From mm on the paper to px of the picture, and back. */
  const toPicture = ([x, y]: PlanePoint): PlanePoint =>
    traced.value && lens.value ? lens.value.curved(mapped(traced.value.map, [x, y])) : [0, 0];
  const toPaper = (px: PlanePoint): PlanePoint | null => {
    const back = traced.value && inverse(traced.value.map);
    return back && lens.value ? mapped(back, lens.value.straight(px)) : null;
  };
  const outlines = computed((): readonly Outline[] =>
    traced.value ? [traced.value.outline, ...traced.value.holes] : [],
  );
  const lines = computed(() => outlines.value.map((outline) => pointsOf(outline, STEP).map(toPicture)));
  const readings = computed(() => (traced.value ? photoReadings(traced.value.outline, traced.value.holes) : null));

  /** Moves a point of an outline (0 is the outer one) to a place of the picture. */
  function movePoint(line: number, index: number, px: PlanePoint): void {
    const [now, to] = [traced.value, toPaper(px)];
    if (!now || !to) return;
    const put = (outline: Outline): Outline =>
      outline.map((one, at): Vertex => (at === index ? [to[0], to[1], one[2]] : one));
    traced.value =
      line === 0
        ? { ...now, outline: put(now.outline) }
        : { ...now, holes: now.holes.map((hole, at) => (at === line - 1 ? put(hole) : hole)) };
  }

  return {
    photo,
    paper,
    traced,
    corners,
    trouble,
    busy: job.busy,
    stop: job.stop,
    read,
    trace,
    placeCorners,
    moveCorner,
    movePoint,
    toPicture,
    outlines,
    lines,
    readings,
  };
}

/** What usePhoto returns. */
export type Photo = ReturnType<typeof usePhoto>;
