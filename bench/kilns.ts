import { boxRows } from '../src/core/studio/kiln/boxRows.ts';
import { kindOf, type LoadJob, type LoadPiece } from '../src/core/studio/kiln/loadJob.ts';
import { packLoad } from '../src/core/studio/kiln/packLoad.ts';
import { learnClay } from '../src/core/studio/learning/learn.ts';
import { madeUpClay } from '../src/core/studio/learning/madeUpStudio.test.helper.ts';
import type { Outline } from '../src/core/geometry/outline/outline.ts';
import { seeded } from '../src/core/seeded.ts';
import { measure, type Times } from './measure.ts';

const disc = (across: number): Outline => [
  [-across / 2, 0, 1],
  [across / 2, 0, 1],
];
const box = (wide: number, deep: number): Outline => [
  [0, 0, 0],
  [wide, 0, 0],
  [wide, deep, 0],
  [0, deep, 0],
];

/** Shelves that hold less than is wanted, with pieces of three kinds; made up by chance. */
function fullKiln(seed: number): LoadJob {
  const random = seeded(seed);
  const size = () => 60 + 90 * random();
  const piece = (id: string, outline: Outline): LoadPiece => ({ id, count: 30, outline, height: 80 });
  const [a, b, c, d] = [size(), size(), size(), size()];
  const shelf = seed % 2 ? { width: 480, depth: 420 } : { diameter: 450 };
  return {
    shelves: [{ id: 'shelf', clear: 100, ...shelf }],
    gap: 5,
    pieces: [piece('round', disc(a)), piece('large', disc(b)), piece('dish', box(c, d))],
  };
}

const KILNS = 40;
const SECONDS = 1.5;

/** Prints how many pieces stand beside rows of bounding boxes, over many kilns. */
export function packing(): void {
  let [stand, rows, worse] = [0, 0, 0];
  for (let seed = 0; seed < KILNS; seed += 1) {
    const job = fullKiln(seed);
    const from = performance.now();
    const own =
      packLoad(job, { random: seeded(1), going: () => performance.now() - from < 1000 * SECONDS }).shelves[0]
        ?.placements.length ?? 0;
    const kinds = job.pieces.map((one, index) => kindOf(one, 100 * index));
    const boxed = Math.max(
      ...kinds.map(
        (_, first) =>
          boxRows(
            job.shelves[0] as LoadJob['shelves'][number],
            job.gap,
            [...kinds.slice(first), ...kinds.slice(0, first)].flatMap((kind) =>
              Array<typeof kind>(kind.piece.count).fill(kind),
            ),
          ).length,
      ),
    );
    [stand, rows, worse] = [stand + own, rows + boxed, worse + Number(own < boxed)];
  }
  console.log(
    `${KILNS} kilns packed in ${SECONDS} s each: ${stand} pieces stand, ${rows} in rows of boxes ` +
      `(${(stand / rows).toFixed(3)}); fewer than in rows in ${worse}`,
  );
}

/** Learning of one clay. */
export async function learning(): Promise<Times[]> {
  const { job } = madeUpClay(1, true);
  const many = { ...job, pieces: Array.from({ length: 50 }, () => job.pieces).flat() };
  return [
    await measure('a clay of 20 pieces in six firings, learned', 20, () => learnClay(job)),
    await measure('a clay of 1,000 pieces, learned', 3, () => learnClay(many)),
  ];
}
