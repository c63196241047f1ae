/** A material through which water diffuses; moistures are mass of water over mass of dry clay. */
export interface Material {
  /** Moisture everywhere at first. */
  readonly initial: number;
  /** Diffusivity at a moisture (m2/s), by the distance in the wet slab. */
  readonly diffusivity: (moisture: number) => number;
  /** Length left over wet length at a moisture; 1 where nothing shrinks. */
  readonly lengthLeft: (moisture: number) => number;
}

/** Water that leaves by a face, by the moisture there (m/s times moisture: flux over dry density); null where none can. */
export type FaceLaw = ((moisture: number) => number) | null;

/** A slab of a thickness (m), and what each of its faces does. */
export interface Layer {
  readonly thickness: number;
  readonly material: Material;
  readonly faces: readonly [FaceLaw, FaceLaw];
}

/** The state of a layer at a time. */
export interface Moistures {
  /** Seconds since the start. */
  readonly time: number;
  /** Mean, and at the first and the second face. */
  readonly mean: number;
  readonly faces: readonly [number, number];
  /** Half-way through. */
  readonly middle: number;
  /** Water gone through the faces, as mean moisture, counted there. */
  readonly lost: number;
}
