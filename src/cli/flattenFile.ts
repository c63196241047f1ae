import { flatten } from '../core/geometry/flatten/flatten.ts';
import { MOULD_SIDES } from '../core/target/mouldSide.ts';
import { neutralSurface } from '../core/forms/mould/neutralSurface.ts';
import { meshTrouble } from '../core/geometry/mesh/checkMesh.ts';
import { readObj } from '../core/geometry/mesh/readObj.ts';
import { LIMITS, TARGET_DEFAULTS } from '../core/target/target.ts';
import type { Station } from './station.ts';

const DONE = 0;
const BAD_INPUT = 2;

/** Options of the command. */
export interface FlattenCall {
  readonly thickness?: string | undefined;
  readonly side?: string | undefined;
}

/** Lays the mesh of an OBJ file flat, or the neutral surface of a slab on it, and prints it as JSON. */
export function flattenFile(file: string, call: FlattenCall, station: Station): number {
  const complain = (rule: string) => {
    station.complain(`${file}: ${rule}`);
    return BAD_INPUT;
  };
  const thickness = Number(call.thickness ?? 0);
  if (!(thickness >= 0 && thickness <= LIMITS.thickness.greatest)) {
    return complain(`--thickness: ${call.thickness}: must be from 0 to ${LIMITS.thickness.greatest}`);
  }
  const side = MOULD_SIDES.find((one) => one === (call.side ?? 'hump'));
  if (!side) return complain(`--side: ${call.side}: must be ${MOULD_SIDES.join(' or ')}`);
  let text: string;
  try {
    text = station.readText(file);
  } catch (error) {
    return complain(error instanceof Error ? error.message : String(error));
  }
  const reading = readObj(text);
  if (reading.kind === 'refused') return complain(reading.rule);
  const trouble = meshTrouble(reading.mesh);
  if (trouble) return complain(trouble);
  const from = performance.now();
  try {
    const { uv, distortion, stretchMin, stretchMax, iterations } = flatten(
      neutralSurface(reading.mesh, { thickness, side, k: TARGET_DEFAULTS.slab.neutralFraction }),
    );
    const seconds = (performance.now() - from) / 1000;
    const pairs = Array.from({ length: uv.length / 2 }, (_, vertex) => [uv[2 * vertex], uv[2 * vertex + 1]]);
    station.print(JSON.stringify({ uv: pairs, distortion, stretchMin, stretchMax, iterations, seconds }));
    return DONE;
  } catch (error) {
    if (error instanceof RangeError) return complain(error.message);
    throw error;
  }
}
