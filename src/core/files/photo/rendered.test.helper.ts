import { seeded } from '../../seeded.ts';
import { homography, inverse, mapping, type Quad } from '../screen/homography.ts';
import type { GreyImage, Pixel } from './image.ts';
import { Lens } from './lens.ts';

/** What lies on the sheet: the distance of a point from its edge (mm, inside less than 0), which changes no faster than the point moves. */
export type Shape = (at: Pixel) => number;

/** A photograph that is made up: where the camera is, its lens, and the light. */
export interface Scene {
  readonly paper: { readonly width: number; readonly height: number };
  readonly shape: Shape;
  /** Corners of the sheet in a straight lens (px), as the paper's: upper left, then with the clock as they are seen. */
  readonly corners: Quad;
  readonly curve: number;
  readonly noise: number;
  /** Reflectance of table, paper and thing. */
  readonly table: number;
  readonly thing: number;
  /** The light falls off to one corner by this share; a soft shadow lies beside the thing, so many mm away and so dark. */
  readonly falls: number;
  readonly shadow: { readonly by: Pixel; readonly soft: number; readonly dark: number };
  readonly width: number;
  readonly height: number;
  readonly seed: number;
}

const PAPER = 0.86;
/** Noise of a sensor (normal, of deviation 1); each row of a picture begins somewhere in it. */
const NOISE = Float32Array.from(
  { length: 1 << 16 },
  (() => {
    const random = seeded(1);
    return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  })(),
);

const step = (distance: number, soft: number) => Math.min(1, Math.max(0, 0.5 - distance / soft));

/** The size of a dot on the sheet changes slowly: it is calculated once for this many dots. */
const RESIZED = 8;

/** From one dot to the next the place on the sheet moves by no more than this many sizes of a dot. */
const LARGER = 2;

/** Renders a scene: each dot looks back through lens and perspective at the plane of the sheet. */
export function rendered(scene: Scene): GreyImage {
  const { paper, shape, corners, curve, width, height, falls, shadow } = scene;
  const lens = new Lens(width, height, curve);
  const flat: Quad = [
    [0, paper.height],
    [paper.width, paper.height],
    [paper.width, 0],
    [0, 0],
  ];
  const map = homography(flat, corners);
  const back = map && inverse(map);
  if (!back) throw new Error('the scene has no plane');
  const onSheet = mapping(back);
  const random = seeded(scene.seed);
  const light = new Float32Array(width * height);
  // No shadow is seen further from a thing than this.
  const reach = Math.hypot(...shadow.by) + shadow.soft;
  for (let y = 0; y < height; y += 1) {
    let dot = 0;
    /** How much further along the row (mm) there is neither a thing nor a shadow. */
    let clear = 0;
    const from = Math.floor(random() * NOISE.length);
    for (let x = 0; x < width; x += 1) {
      const straight = lens.straight([x, y]);
      const [u, v] = onSheet(straight);
      if (x % RESIZED === 0) dot = Math.max(0.05, Math.abs(onSheet([straight[0] + 1, straight[1]])[0] - u));
      const sheet = Math.max(-u, u - paper.width, -v, v - paper.height);
      const on = step(sheet, dot);
      // Things and their shadows lie on the sheet.
      clear -= LARGER * dot;
      const far = on > 0 && clear <= 0 ? shape([u, v]) : Infinity;
      if (far < Infinity) clear = far - Math.max(reach, dot);
      const thing = step(far, dot);
      const shade = far < reach ? 1 - shadow.dark * step(shape([u - shadow.by[0], v - shadow.by[1]]), shadow.soft) : 1;
      const grain = on < 1 ? scene.table * (1 + 0.1 * Math.sin(u * 0.7) * Math.sin(v * 0.9)) : 0;
      const ground = (1 - on) * grain + on * PAPER * shade;
      const falling = 1 - falls * (x / width) * (0.6 + 0.4 * (y / height));
      const value = falling * ((1 - thing) * ground + thing * scene.thing);
      const noise = scene.noise * (NOISE[(from + x) % NOISE.length] as number);
      light[y * width + x] = Math.min(1, Math.max(0, value + noise));
    }
  }
  return { width, height, light };
}
