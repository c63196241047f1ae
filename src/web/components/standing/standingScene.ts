import {
  Box3,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  HemisphereLight,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshStandardMaterial,
  OrthographicCamera,
  PlaneGeometry,
  Scene,
  ShadowMaterial,
  Sphere,
  Vector3,
  WebGLRenderer,
  type Object3D,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { RaisedPart } from '../../../core/forms/kind/body.ts';
import { handGhost, rackGhost } from './ghosts.ts';
import { edgeLines, faceGeometry, type PaintedFace } from './solids.ts';

/** Where the eye stands: degrees round from the seam, and up from the table. */
export const VIEWS = {
  turned: { round: -38, up: 30 },
  side: { round: -90, up: 0 },
  seam: { round: -24, up: 42 },
  above: { round: -90, up: 89.9 },
} as const;

/** The name of a view of the standing piece. */
export type ViewName = keyof typeof VIEWS;

/** What stands in the scene; lengths mm as they are shown. */
export interface Standing3 {
  readonly parts: readonly RaisedPart[];
  /** Every length is drawn at this share of its wet size. */
  readonly scale: number;
  readonly hole: { readonly diameter: number; readonly z: number } | null;
  readonly hand: number | null;
}

const FACES: readonly PaintedFace[] = ['outside', 'inside', 'edge', 'cut'];

/** The ball round the clay fills this share of the smaller side of the view: the clay itself hardly reaches its poles. */
const FILL = 1.08;

function paint(name: string): Color {
  return new Color(getComputedStyle(document.documentElement).getPropertyValue(name).trim() || '#888888');
}

function themed(element: HTMLElement, name: string): Color {
  const value = getComputedStyle(element).getPropertyValue(name).trim();
  return value ? new Color(value) : paint(name);
}

function freed(object: Object3D): void {
  object.traverse((child) => {
    if (child instanceof Mesh || child instanceof LineSegments) {
      child.geometry.dispose();
      child.material.dispose();
    }
  });
}

/**
 * The standing piece in three dimensions on a canvas, drawn parallel, so that lengths across the view are true.
 * @throws Error when the browser has no WebGL
 */
export function standingScene(canvas: HTMLCanvasElement, drawn: (pxPerMm: number) => void) {
  const renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
  renderer.shadowMap.enabled = true;
  const scene = new Scene();
  const camera = new OrthographicCamera(-1, 1, 1, -1, 1, 4000);
  camera.up.set(0, 0, 1);
  const controls = new OrbitControls(camera, canvas);
  controls.enablePan = false;
  controls.minZoom = 0.4;
  controls.maxZoom = 12;
  const sky = new HemisphereLight(0xffffff, 0xcbb497, 2.9);
  const north = new DirectionalLight(0xffffff, 2);
  north.castShadow = true;
  north.shadow.mapSize.set(2048, 2048);
  north.shadow.normalBias = 1.2;
  north.shadow.bias = -0.0006;
  const ground = new Mesh(new PlaneGeometry(4000, 4000), new ShadowMaterial({ opacity: 0.16 }));
  ground.position.z = -0.2;
  ground.receiveShadow = true;
  scene.add(sky, north, north.target, ground);
  let piece = new Group();
  let hand: Group | null = null;
  scene.add(piece);
  let reach = new Sphere(new Vector3(), 100);
  /** The top of the first seam. */
  const seam = new Vector3();

  function paintedPiece({ parts, scale }: Standing3): Group {
    const group = new Group();
    const colors = {
      outside: themed(canvas, '--slab'),
      inside: themed(canvas, '--slab-deep'),
      edge: themed(canvas, '--slab').lerp(new Color(0xffffff), 0.25),
      cut: themed(canvas, '--slab-under'),
    };
    for (const face of FACES) {
      const material = new MeshStandardMaterial({
        color: colors[face],
        roughness: 0.95,
        side: DoubleSide,
        flatShading: face !== 'outside' && face !== 'inside',
        polygonOffset: true,
        polygonOffsetFactor: 1,
        polygonOffsetUnits: 1,
      });
      const mesh = new Mesh(faceGeometry(parts, face), material);
      mesh.castShadow = true;
      mesh.receiveShadow = true;
      group.add(mesh);
    }
    group.add(new LineSegments(edgeLines(parts), new LineBasicMaterial({ color: themed(canvas, '--slab-edge') })));
    group.scale.setScalar(scale);
    return group;
  }

  function fit(): void {
    const { clientWidth: width, clientHeight: height } = canvas;
    if (width === 0 || height === 0) return;
    renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    renderer.setSize(width, height, false);
    const span = (2 * reach.radius) / FILL;
    const pxPerMm = Math.min(width, height) / span;
    camera.left = -width / pxPerMm / 2;
    camera.right = -camera.left;
    camera.top = height / pxPerMm / 2;
    camera.bottom = -camera.top;
    camera.updateProjectionMatrix();
  }

  function render(): void {
    const span = camera.right - camera.left;
    if (canvas.clientWidth === 0) return;
    if (hand) hand.rotation.z = controls.getAzimuthalAngle();
    renderer.render(scene, camera);
    drawn((canvas.clientWidth / span) * camera.zoom);
  }

  /** Looks at the middle of the piece from a place round and over it (degrees). */
  function lookFrom(round: number, up: number): void {
    const far = 1500;
    const [a, e] = [(round * Math.PI) / 180, (up * Math.PI) / 180];
    const way = new Vector3(Math.cos(e) * Math.cos(a), Math.cos(e) * Math.sin(a), Math.sin(e));
    camera.position.copy(controls.target).addScaledVector(way, far);
    controls.update();
    render();
  }

  function look(view: ViewName): void {
    camera.zoom = view === 'seam' ? 2.4 : 1;
    camera.updateProjectionMatrix();
    controls.target.copy(view === 'seam' ? seam : reach.center);
    lookFrom(VIEWS[view].round, VIEWS[view].up);
  }

  /** Turns the view by degrees round and up, as the arrow keys do. */
  function turn(round: number, up: number): void {
    const polar = controls.getPolarAngle();
    const azimuth = (controls.getAzimuthalAngle() * 180) / Math.PI - 90;
    const now = 90 - (polar * 180) / Math.PI;
    lookFrom(azimuth + round, Math.max(-89, Math.min(89.9, now + up)));
  }

  function zoom(factor: number): void {
    camera.zoom = Math.max(controls.minZoom, Math.min(controls.maxZoom, camera.zoom * factor));
    camera.updateProjectionMatrix();
    render();
  }

  function show(standing: Standing3): void {
    scene.remove(piece);
    freed(piece);
    piece = new Group();
    piece.add(paintedPiece(standing));
    const box = new Box3().setFromObject(piece);
    if (standing.hole) {
      const { diameter, z } = standing.hole;
      piece.add(rackGhost(diameter, z, themed(canvas, '--press')));
    }
    hand = null;
    if (standing.hand !== null) {
      hand = handGhost(standing.hand, themed(canvas, '--press'));
      // To the left of the piece, seen from where the eye stands at first.
      const aside = (VIEWS.turned.round * Math.PI) / 180 - Math.PI / 2;
      const far = Math.max(box.max.x, box.max.y) + standing.hand * 0.8;
      hand.position.set(far * Math.cos(aside), far * Math.sin(aside), 0);
      piece.add(hand);
    }
    scene.add(piece);
    const before = reach.center.clone();
    reach = new Box3().setFromObject(hand ? piece : (piece.children[0] ?? piece)).getBoundingSphere(new Sphere());
    seam.set(box.max.x * 0.85, 0, box.max.z * 0.86);
    const middle = reach.center;
    camera.position.add(middle).sub(before);
    controls.target.add(middle).sub(before);
    north.position.set(middle.x - 160, middle.y - 240, 420);
    north.target.position.copy(middle);
    const light = north.shadow.camera;
    light.left = light.bottom = -reach.radius * 1.2;
    light.right = light.top = reach.radius * 1.2;
    light.far = 1200;
    light.updateProjectionMatrix();
    fit();
    controls.update();
    render();
  }

  controls.addEventListener('change', render);
  const dispose = () => {
    controls.dispose();
    freed(scene);
    renderer.dispose();
  };
  const resize = () => {
    fit();
    render();
  };
  return { show, look, turn, zoom, resize, dispose };
}
