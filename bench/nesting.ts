import { readFileSync } from 'node:fs';
import { readTargetText } from '../src/contract/targetSchema.ts';
import { nest } from '../src/core/geometry/nest/nest.ts';
import type { NestJob } from '../src/core/geometry/nest/nestJob.ts';
import { arcSector } from '../src/core/geometry/outline/arcSector.test.helper.ts';
import { seeded } from '../src/core/seeded.ts';
import { planSlabs } from '../src/core/studio/slabPlan/planSlabs.ts';
import { DEFAULT_PLAN, planGroups, type PlannedSlab, type PlanRules } from '../src/core/studio/slabPlan/slabPlan.ts';

const ARCS: NestJob = {
  width: 500,
  gap: 4,
  parts: [
    { id: 'arc', count: 10, outline: arcSector(180, 290, 55), turns: 'any' },
    {
      id: 'disc',
      count: 10,
      outline: [
        [-37.5, 0, 1],
        [37.5, 0, 1],
      ],
      turns: 'any',
    },
  ],
};

const SECONDS = 30;

function timer(seconds: number) {
  const from = performance.now();
  return { elapsed: () => (performance.now() - from) / 1000, share: () => (performance.now() - from) / 1000 / seconds };
}

function arcs(): void {
  const clock = timer(SECONDS);
  const found: [number, number][] = [];
  nest(ARCS, {
    random: seeded(1),
    going: () => clock.share() < 1,
    better: ({ used }) => found.push([clock.elapsed(), used]),
  });
  const at = (seconds: number) => (found.filter(([when]) => when <= seconds).at(-1)?.[1] ?? NaN).toFixed(1);
  console.log(
    `ten arcs and ten discs on 500 mm, one processor: skyline ${found[0]?.[1].toFixed(1)} mm, after 5 s ${at(5)}, 15 s ${at(15)}, 30 s ${at(30)}`,
  );
}

/** A batch of sixty parts as it is planned on the screen. */
function batch(): void {
  const target = (file: string) => {
    const reading = readTargetText(readFileSync(`demo/${file}.fawn.json`, 'utf8'));
    if (reading.kind === 'faults') throw new Error(`${file} cannot be read`);
    return reading.target;
  };
  const rules: PlanRules = { ...DEFAULT_PLAN, length: 900, width: 500 };
  const pieces = [
    { key: 'tumbler', target: target('01-rack-tumbler'), count: 18 },
    { key: 'cup', target: target('03-soup-cup'), count: 12 },
  ];
  const clock = timer(SECONDS);
  const told: [number, readonly PlannedSlab[]][] = [];
  planSlabs(planGroups(pieces, rules), {
    rules,
    locked: [],
    run: {
      random: seeded(1),
      before: (share) => clock.share() < share,
      better: (slabs) => told.push([clock.elapsed(), slabs]),
    },
  });
  const clay = (slabs: readonly PlannedSlab[]) =>
    slabs.reduce((sum, { length, width }) => sum + (length * width) / 1e6, 0);
  const [first, last] = [told[0], told.at(-1)];
  if (!first || !last) throw new Error('no plan was made');
  console.log(
    `18 tumblers and 12 cups, 60 parts: first plan after ${first[0].toFixed(2)} s ` +
      `on ${first[1].length} slabs, ${clay(first[1]).toFixed(3)} m2; ` +
      `after ${SECONDS} s on ${last[1].length}, ${clay(last[1]).toFixed(3)} m2`,
  );
}

/** Nesting beside a good skyline of boxes, both in this run: slab used, not time. */
export function nesting(): void {
  arcs();
  batch();
}
