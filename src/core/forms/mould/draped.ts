import { movedMould } from './movedMould.ts';
import { neutralSurface } from './neutralSurface.ts';
import { bulge, offsetMesh, type Mesh } from '../../geometry/mesh/mesh.ts';
import { onDemand, once, remembered } from '../../numbers.ts';
import { planArea } from '../../geometry/outline/planMeasures.ts';
import type { Target } from '../../target/target.ts';
import type { DrapedForm, MeshForm, MouldForm } from '../../target/mouldForm.ts';
import { meshOnMoved, mouldMesh } from './mouldMesh.ts';
import { mouldSurface } from './mouldSurface.ts';

/** A target whose form is draped. */
export type DrapedTarget = Target & { readonly form: DrapedForm };

/** Whether a target's form is draped over a mould. */
export function isDraped(target: Target): target is DrapedTarget {
  return target.form.kind === 'mould' || target.form.kind === 'mesh';
}

/** How far the faces of a slab and its neutral surface lie from the mould (mm): positive outward, as on a hump. */
export interface Offsets {
  readonly inner: number;
  readonly neutral: number;
  readonly outer: number;
}

/** Offsets of a slab on its mould, with cloth between (geometry: drape, hump and slump blanks). */
export function offsetsOf({ form, slab }: DrapedTarget): Offsets {
  const { wall: t, neutralFraction: k } = slab;
  const cloth = form.cloth ?? 0;
  if (form.side === 'hump') return { inner: cloth, neutral: cloth + k * t, outer: cloth + t };
  return { inner: -(cloth + t), neutral: -(cloth + (1 - k) * t), outer: -cloth };
}

/** Lists in a file never change: each pair is unpacked once. */
const wholes = new WeakMap<MeshForm['vertices'], { readonly triangles: MeshForm['triangles']; readonly mesh: Mesh }>();

/** A form's mesh as it was read. */
export function meshOf(form: MeshForm): Mesh {
  const known = wholes.get(form.vertices);
  if (known?.triangles === form.triangles) return known.mesh;
  const mesh = {
    positions: Float64Array.from(form.vertices.flat()),
    triangles: Uint32Array.from(form.triangles.flat()),
  };
  madeOf(form, mesh);
  return mesh;
}

/** Registers the mesh from which a form's lists were made, so that it is not rebuilt. */
export function madeOf({ vertices, triangles }: MeshForm, mesh: Mesh): void {
  wholes.set(vertices, { triangles, mesh });
}

/** The last faces of a slab are kept: on an imported mould by their distance from it, on others by all they depend on. */
const FACES = 6;
const faces = once<Mesh, Map<string, Mesh>>(() => new Map());
const mouldFaces = new Map<string, Mesh>();

/** The spacing that gives a surface about so many vertices (mm): an even mesh has half as many vertices as triangles. */
export function spacingFor(area: number, vertices: number): number {
  return Math.sqrt((2 * area) / (Math.sqrt(3) * vertices));
}

/** Rough area of a mould's surface (mm2): half way between its rim's plan and that plan with a wall round it. */
function roughArea(form: MouldForm): number {
  const { rim, foot, depth } = mouldSurface(form);
  const [low, high] = [planArea(foot), planArea(rim)];
  const wide = Math.sqrt(high / Math.PI);
  const narrow = Math.sqrt(Math.max(0, low) / Math.PI);
  return low + Math.PI * (wide + narrow) * Math.hypot(wide - narrow, depth);
}

/** A face of the slab or its neutral surface on the mould, as a mesh of about so many vertices; an imported mesh keeps its own. */
export function faceMesh(target: DrapedTarget, face: keyof Offsets, vertices: number): Mesh {
  const { form } = target;
  const offset = offsetsOf(target)[face];
  if (form.kind === 'mould') {
    // Darts are cut into the face, and do not change it.
    const name = JSON.stringify([{ ...form, darts: undefined }, offset, vertices]);
    return remembered(mouldFaces, name, {
      make: () => mouldMesh(mouldSurface(form), offset, spacingFor(roughArea(form), vertices)),
      most: FACES,
    });
  }
  const mesh = meshOf(form);
  const name = `${face === 'neutral' && !form.cloth ? `${form.side} ${target.slab.wall} ${target.slab.neutralFraction}` : offset}`;
  const { wall, neutralFraction } = target.slab;
  const make = () =>
    face === 'neutral' && !form.cloth
      ? neutralSurface(mesh, { thickness: wall, side: form.side, k: neutralFraction })
      : offsetMesh(mesh, bulge(mesh) * offset);
  return remembered(faces(mesh), name, { make, most: FACES });
}

/** A face as `faceMesh` makes it, in two stages of about the same length: the places round the mould, then the mesh on them. */
export interface StagedFace {
  readonly places: () => void;
  readonly mesh: () => Mesh;
}

/** A face in stages, for who must answer in between. */
export function stagedFace(target: DrapedTarget, face: keyof Offsets, vertices: number): StagedFace {
  const { form } = target;
  if (form.kind !== 'mould') return { places: () => {}, mesh: onDemand(() => faceMesh(target, face, vertices)) };
  const surface = mouldSurface(form);
  const moved = movedMould(surface, offsetsOf(target)[face]);
  const spacing = spacingFor(roughArea(form), vertices);
  return { places: () => void moved.bearingAt(0), mesh: onDemand(() => meshOnMoved(surface, moved, spacing)) };
}
