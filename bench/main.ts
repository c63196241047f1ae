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

/** Forms that are stretched or rolled, not raised. */
const UNRAISED: readonly string[] = ['mould', 'mesh', 'stand', 'sheet'];

/** So much thicker is the wall each time (mm): nothing that is kept for equal designs can be used again. */
const THICKER = 1e-9;

/** Recompute of one demo design of each kind, each time a little changed, and one step of raising it. */
async function kindTimes(): Promise<Times[]> {
  const times: Times[] = [];
  const seen = new Set<string>();
  for (const file of readdirSync('demo').sort()) {
    const reading = readTargetText(readFileSync(join('demo', file), 'utf8'));
    if (reading.kind === 'faults' || seen.has(reading.target.form.kind)) continue;
    const { target } = reading;
    seen.add(target.form.kind);
    let { wall } = target.slab;
    const changed = () => ({ ...target, slab: { ...target.slab, wall: (wall += THICKER) } });
    times.push(await measure(`recompute, ${target.form.kind}: ${target.name}`, 200, () => develop(changed())));
    if (!UNRAISED.includes(target.form.kind))
      times.push(await measure(`raise half way, ${target.form.kind}`, 40, () => raise(standingBody(changed()), 0.5)));
  }
  return times;
}

/** Recompute and export of what a design needs. */
async function formTimes(): Promise<Times[]> {
  const crock = { ...newTarget('Rack tumbler'), form: { kind: 'cylinder', diameter: 400, height: 500 } } as const;
  const { parts } = develop(crock);
  const options = { name: 'Crock', paper: 'a4', style: { unit: 'mm' } } as const;
  return [
    ...(await kindTimes()),
    await measure('export of a tiled PDF (large crock)', 20, () => writeTemplate(parts, 'pdf', options)),
    await measure('export of a DXF', 60, () => writeTemplate(parts, 'dxf', options)),
  ];
}

/** Designs whose keystrokes are timed, and the field that is typed into. */
const TYPED = ['Rack tumbler', 'Soup cup', 'Relish dish', 'Salt box', 'Bread bowl, square to round'];

async function keyTimes(): Promise<Times[]> {
  const times: Times[] = [];
  for (const design of TYPED) times.push(...(await keystrokes(design, 'height', 200)));
  return times;
}

async function soaking(): Promise<readonly Times[]> {
  const { times, wrong, slow, memory } = await soak();
  const [from, to] = memory.map((megabytes) => megabytes.toFixed(0));
  console.log(`soak: ${wrong} refused, ${slow} slowest works done, memory ${from} to ${to} MB`);
  return times;
}

/** Times as a table, each with its ratio to a yardstick that is measured beside them. */
const table = (work: () => Promise<readonly Times[]>) => async () =>
  report([await measure('yardstick: 200,000 sines', 60, yardstick), ...(await work())]);

/** All that is measured, by the names that `npm run bench -- NAME ...` takes. */
const GROUPS: Readonly<Record<string, () => unknown>> = {
  forms: table(formTimes),
  flatten: table(flattenings),
  keys: table(keyTimes),
  lists: table(listTimes),
  search: table(async () => [await searches(DESIGNS)]),
  making: table(makings),
  made: table(makingLists),
  learn: table(learning),
  attacks: table(attacks),
  soak: table(soaking),
  openings,
  blocking,
  nesting,
  packing,
  plans: exactPlans,
};

const named = process.argv.slice(2);
const unknown = named.filter((name) => !Object.hasOwn(GROUPS, name));
if (unknown.length > 0) {
  console.error(`There is no ${unknown.join(', ')} to measure: only ${Object.keys(GROUPS).join(', ')}.`);
  process.exit(2);
}
for (const [name, work] of Object.entries(GROUPS)) {
  if (named.length > 0 && !named.includes(name)) continue;
  console.log(`\n# ${name}`);
  await work();
}
