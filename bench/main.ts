import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readTargetText } from '../src/contract/targetSchema.ts';
import { develop } from '../src/core/piece/develop.ts';
import { newTarget } from '../src/core/target/target.ts';
import { keptTarget } from './keptTarget.ts';
import { raise, standingBody } from '../src/core/raise/raise.ts';
import { writeTemplate } from '../src/print/writeTemplate.ts';
import { recordService } from '../src/server/services/records.ts';
import { designService } from '../src/server/services/designs.ts';
import { openTable } from '../e2e/testTable.ts';
import { attacks } from './attacks.ts';
import { blocking } from './blocking.ts';
import { flattenings } from './flattening.ts';
import { keystrokes } from './keystroke.ts';
import { exactPlans, makings } from './making.ts';
import { learning, packing } from './kilns.ts';
import { makingLists } from './makingLists.ts';
import { searches } from './search.ts';
import { openings } from './opening.ts';
import { soak } from './soak.ts';
import { nesting } from './nesting.ts';
import { measure, report, yardstick, type Times } from './measure.ts';

/** A studio's designs, clays with their bars, and things of the kit. */
const DESIGNS = 2000;
/** ... and of a school, whose shelf is listed in pages. */
const SHELF = 10_000;
const CLAYS = 500;
const THINGS = 300;

async function listTimes(): Promise<Times[]> {
  const table = await openTable({ pages: false });
  const service = designService(table.database);
  for (let index = 0; index < SHELF; index += 1) await service.create(keptTarget(`Tumbler ${index}`));
  const records = recordService(table.database);
  const bars = Array.from({ length: 8 }, (_, bar) => ({
    wet: 100,
    dry: 94,
    bisque: 93.5,
    fired: 88 + bar / 10,
    run: 'any' as const,
  }));
  for (let index = 0; index < CLAYS; index += 1)
    await records.create('clay', { name: `Clay ${index}`, wetDensity: 1.95, shrinkage: 0.12, basis: 'maker', bars });
  for (let index = 0; index < THINGS; index += 1)
    await records.create('kit', { kind: 'cutter', name: `Cutter ${index}`, sizes: { diameter: 40 + index / 10 } });
  const book = async (kind: string) => (await fetch(`${table.url}api/records/${kind}`)).json();
  const list = async (find: string) => (await fetch(`${table.url}api/designs?find=${find}`)).json();
  const times = [
    await measure(`first page of ${SHELF} designs over the API`, 40, () => list('')),
    await measure(`list of ${CLAYS} clays with their bars`, 40, () => book('clay')),
    await measure(`list of ${THINGS} things of the kit`, 40, () => book('kit')),
    await measure(`search among ${SHELF} designs over the API`, 40, () => list('99')),
  ];
  await table.close();
  return times;
}

const tumbler = newTarget('Rack tumbler');
const crock = { ...tumbler, form: { kind: 'cylinder', diameter: 400, height: 500 } } as const;
const { parts } = develop(crock);
const options = { name: 'Crock', paper: 'a4', style: { unit: 'mm' } } as const;

/** Forms that are stretched or rolled, not raised. */
const UNRAISED: readonly string[] = ['mould', 'mesh', 'stand', 'sheet'];

/** Recompute of one demo design of each kind, each time as if it had just been changed, and one step of raising it. */
async function kindTimes(): Promise<Times[]> {
  const times: Times[] = [];
  const seen = new Set<string>();
  for (const file of readdirSync('demo').sort()) {
    const reading = readTargetText(readFileSync(join('demo', file), 'utf8'));
    if (reading.kind === 'faults' || seen.has(reading.target.form.kind)) continue;
    const { target } = reading;
    seen.add(target.form.kind);
    times.push(await measure(`recompute, ${target.form.kind}: ${target.name}`, 200, () => develop({ ...target })));
    if (!UNRAISED.includes(target.form.kind))
      times.push(await measure(`raise half way, ${target.form.kind}`, 40, () => raise(standingBody(target), 0.5)));
  }
  return times;
}

report([
  await measure('yardstick: 200,000 sines', 60, yardstick),
  ...(await kindTimes()),
  ...(await keystrokes('Rack tumbler', 'height', 200)),
  ...(await keystrokes('Soup cup', 'height', 200)),
  ...(await keystrokes('Relish dish', 'height', 200)),
  ...(await keystrokes('Salt box', 'height', 200)),
  ...(await keystrokes('Bread bowl, square to round', 'height', 200)),
  await measure('export of a tiled PDF (large crock)', 20, () => writeTemplate(parts, 'pdf', options)),
  await measure('export of a DXF', 60, () => writeTemplate(parts, 'dxf', options)),
  ...(await flattenings()),
  ...(await listTimes()),
  await searches(DESIGNS),
  ...(await makings()),
  ...(await makingLists()),
  ...(await learning()),
]);
report([await measure('yardstick: 200,000 sines', 60, yardstick), ...(await attacks())]);
const soaked = await soak();
report([await measure('yardstick: 200,000 sines', 60, yardstick), ...soaked.times]);
console.log(
  `soak: ${soaked.wrong} refused, ${soaked.slow} slowest works done, memory ${soaked.memory[0].toFixed(0)} to ${soaked.memory[1].toFixed(0)} MB`,
);
await openings();
await blocking();
nesting();
packing();
await exactPlans();
