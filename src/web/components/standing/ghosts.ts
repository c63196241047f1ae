import {
  DoubleSide,
  Group,
  Mesh,
  MeshBasicMaterial,
  Path,
  Shape,
  ShapeGeometry,
  type BufferGeometry,
  type ColorRepresentation,
} from 'three';

/** Board left round a rack hole in the drawing (mm). */
const BOARD = 16;

function ghost(geometry: BufferGeometry, color: ColorRepresentation, opacity: number): Mesh {
  const material = new MeshBasicMaterial({ color, transparent: true, opacity, side: DoubleSide, depthWrite: false });
  return new Mesh(geometry, material);
}

/** A rack board with its round hole, level, the hole's middle over the origin at the height z (mm). */
export function rackGhost(diameter: number, z: number, color: ColorRepresentation): Group {
  const board = new Shape();
  const half = diameter / 2 + BOARD;
  board.moveTo(-half, -half).lineTo(half, -half).lineTo(half, half).lineTo(-half, half).closePath();
  const hole = new Path();
  hole.absarc(0, 0, diameter / 2, 0, 2 * Math.PI, true);
  board.holes.push(hole);
  const group = new Group();
  group.add(ghost(new ShapeGeometry(board, 48), color, 0.35));
  group.position.z = z;
  return group;
}

/** The four fingers over the palm: middle and half width across it, and reach of the tip below the knuckles, in palm widths. */
const FINGERS = [
  { middle: -0.375, half: 0.11, reach: 0.72 },
  { middle: -0.125, half: 0.12, reach: 0.9 },
  { middle: 0.125, half: 0.12, reach: 0.98 },
  { middle: 0.37, half: 0.115, reach: 0.86 },
] as const;

/** Height of the knuckles over the lowest finger tip, in palm widths. */
const KNUCKLES = 1;

/** A hand reaching down, upright, its knuckles `width` mm wide; it stands over the origin and faces the y axis from below. */
export function handGhost(width: number, color: ColorRepresentation): Group {
  const hand = new Shape();
  hand.moveTo(-0.42, 2);
  hand.quadraticCurveTo(-0.52, 1.5, -0.49, 1.1);
  for (const { middle, half, reach } of FINGERS) {
    const tip = KNUCKLES - reach + half;
    hand.lineTo(middle - half, tip).absarc(middle, tip, half, Math.PI, 2 * Math.PI, false);
    hand.lineTo(middle + half, KNUCKLES - 0.05);
  }
  hand.lineTo(0.5, 1.05).quadraticCurveTo(0.62, 0.95, 0.66, 0.72);
  hand.absarc(0.75, 0.72, 0.1, Math.PI, 2.1 * Math.PI, false);
  hand.quadraticCurveTo(0.84, 1.25, 0.56, 1.5).quadraticCurveTo(0.44, 1.7, 0.42, 2).closePath();
  const flat = ghost(new ShapeGeometry(hand, 16), color, 0.32);
  flat.scale.setScalar(width);
  flat.rotation.x = Math.PI / 2;
  const group = new Group();
  group.add(flat);
  return group;
}
