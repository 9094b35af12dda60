import {
  AmbientLight,
  BackSide,
  BufferGeometry,
  CanvasTexture,
  Color,
  DirectionalLight,
  Float32BufferAttribute,
  FrontSide,
  Group,
  LineBasicMaterial,
  LineSegments,
  type Material,
  Matrix4,
  Mesh,
  MeshLambertMaterial,
  Path,
  PerspectiveCamera,
  PlaneGeometry,
  RepeatWrapping,
  Scene as ThreeScene,
  ShadowMaterial,
  Shape,
  ShapeGeometry,
  SRGBColorSpace,
  type Texture,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { boxOf3, compose, invert, posed, type Affine, type Point, type Pose } from '@/core/geometry';
import { coloursOf, groundOf, printNamed, type PaperFace } from '@/core/papers';
import { facePaint, STYLE, type SpaceFace, type SpaceScene, type Tone } from '@/core/scene';

import { drawn } from '../draw/usePrint';

/** The page's colours by what they are for, and how dark shadows are. */
export interface SpaceColours {
  readonly of: (tone: Tone) => string;
  /** How much of its light paper gives back: in the evening a little less. */
  readonly lit: number;
  readonly shadow: number;
}

/** Where the viewer stands at first: turned about the upright, and raised, radians. */
const TURNED = (-32 * Math.PI) / 180;
const RAISED = (34 * Math.PI) / 180;
/** One press of an arrow key turns by this, radians. */
const KEY_TURN = Math.PI / 18;
/** Never quite from straight above or straight below: there "up" has no meaning. */
const STEEPEST = Math.PI / 2 - 0.02;
const VIEW_ANGLE = 28;
/** How far lines are drawn off the paper, mm. */
const HAIR = 0.04;

/** What the graphics card draws on; null where there is none that can. The canvas keeps what was drawn, for pictures. */
export const drawingOn = (canvas: HTMLCanvasElement): WebGL2RenderingContext | null =>
  canvas.getContext('webgl2', { antialias: true, alpha: true, preserveDrawingBuffer: true });

/** Paper in space, drawn by the graphics card: call `show` with a scene. */
export class SpaceDrawing {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new ThreeScene();
  private readonly camera = new PerspectiveCamera(VIEW_ANGLE, 1, 10, 20_000);
  private readonly controls: OrbitControls;
  private readonly table: Mesh;
  private readonly sun = new DirectionalLight(0xffffff, 1.9);
  private readonly meshes = new Map<
    string,
    { readonly of: SpaceFace['own']; readonly paper: SpaceFace['paper']; readonly group: Group }
  >();
  private colours: SpaceColours;
  private centre = new Vector3();
  private radius = 0;
  private asked = 0;

  constructor(canvas: HTMLCanvasElement, context: WebGL2RenderingContext, colours: SpaceColours) {
    this.renderer = new WebGLRenderer({ canvas, context });
    this.renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    this.renderer.shadowMap.enabled = true;
    this.colours = colours;
    this.camera.up.set(0, 0, 1);
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.enablePan = false;
    this.controls.minPolarAngle = Math.PI / 2 - STEEPEST;
    this.controls.maxPolarAngle = Math.PI / 2 + STEEPEST;
    this.controls.addEventListener('change', this.render);
    this.scene.add(new AmbientLight(0xffffff, 1.6), this.sun, this.sun.target);
    this.sun.castShadow = true;
    this.sun.shadow.mapSize.set(1024, 1024);
    this.sun.shadow.radius = 5;
    this.table = new Mesh(new PlaneGeometry(1, 1), new ShadowMaterial({ opacity: colours.shadow }));
    this.table.receiveShadow = true;
    this.scene.add(this.table);
  }

  /** Shows everything where it is, and keeps it in the middle of the picture and as large as it fits. */
  show({ faces }: SpaceScene): void {
    const there = new Set<string>();
    for (const face of faces) {
      there.add(face.id);
      const group = this.mesh(face);
      group.matrix.copy(matrixOf(face.pose));
      group.matrixWorldNeedsUpdate = true;
    }
    for (const [id, { group }] of this.meshes) group.visible = there.has(id);
    const [least, most] = boxOf3(
      faces.flatMap(({ own, pose }) => own.flatMap((ring) => ring.map((p) => posed(pose, p)))),
    );
    this.frame(new Vector3(least.x, least.y, least.z), new Vector3(most.x, most.y, most.z));
    this.draw();
  }

  /** Turns the view by steps to the right and up. */
  turn(right: number, up: number): void {
    const from = this.camera.position.clone().sub(this.controls.target);
    const raised = Math.asin(from.z / from.length()) + up * KEY_TURN;
    this.look(Math.atan2(from.x, -from.y) + right * KEY_TURN, raised, from.length());
    this.draw();
  }

  /** Steps nearer (over 1) or further off. */
  near(times: number): void {
    const from = this.camera.position.clone().sub(this.controls.target);
    this.camera.position.copy(this.controls.target).addScaledVector(from, 1 / times);
    this.draw();
  }

  /** Back to where the viewer stood at first. */
  front(): void {
    this.look(TURNED, RAISED, this.distance());
    this.draw();
  }

  resize(width: number, height: number): void {
    this.renderer.setSize(width, height, false);
    const before = this.distance();
    this.camera.aspect = width / height;
    this.camera.updateProjectionMatrix();
    if (this.radius > 0) this.near(before / this.distance());
  }

  recolour(colours: SpaceColours): void {
    this.colours = colours;
    for (const id of [...this.meshes.keys()]) this.drop(id);
    (this.table.material as ShadowMaterial).opacity = colours.shadow;
  }

  dispose(): void {
    cancelAnimationFrame(this.asked);
    for (const id of [...this.meshes.keys()]) this.drop(id);
    this.controls.dispose();
    this.renderer.dispose();
  }

  private look(turned: number, raised: number, distance: number): void {
    const up = Math.max(-STEEPEST, Math.min(STEEPEST, raised));
    this.camera.position.set(
      this.centre.x + distance * Math.cos(up) * Math.sin(turned),
      this.centre.y - distance * Math.cos(up) * Math.cos(turned),
      this.centre.z + distance * Math.sin(up),
    );
    this.controls.target.copy(this.centre);
  }

  /** How far off all of it is seen, by the narrower side of the picture. */
  private distance(): number {
    const upright = (VIEW_ANGLE * Math.PI) / 360;
    const across = Math.atan(Math.tan(upright) * this.camera.aspect);
    return (1.03 * this.radius) / Math.sin(Math.min(upright, across));
  }

  private frame(least: Vector3, most: Vector3): void {
    const centre = least.clone().add(most).multiplyScalar(0.5);
    const radius = Math.max(10, least.distanceTo(most) / 2);
    if (this.radius === 0) {
      [this.centre, this.radius] = [centre, radius];
      this.look(TURNED, RAISED, this.distance());
    } else {
      // The viewer keeps the way they look and how near they have stepped.
      const from = this.camera.position
        .clone()
        .sub(this.centre)
        .multiplyScalar(radius / this.radius);
      [this.centre, this.radius] = [centre, radius];
      this.camera.position.copy(centre).add(from);
      this.controls.target.copy(centre);
    }
    this.table.position.set(centre.x, centre.y, least.z - 0.6);
    this.table.scale.setScalar(radius * 8);
    this.sun.position.copy(centre).add(new Vector3(-0.95, -0.55, 1.25).multiplyScalar(radius * 2));
    this.sun.target.position.copy(centre);
    const { camera } = this.sun.shadow;
    [camera.left, camera.right, camera.bottom, camera.top] = [-radius * 1.3, radius * 1.3, -radius * 1.3, radius * 1.3];
    [camera.near, camera.far] = [1, radius * 8];
    camera.updateProjectionMatrix();
    this.sun.shadow.bias = -0.0008;
    this.sun.shadow.normalBias = radius / 300;
  }

  /** Lets go of a panel's drawing, on the graphics card too. */
  private drop(id: string): void {
    const { group } = this.meshes.get(id)!;
    group.removeFromParent();
    for (const child of group.children as (Mesh | LineSegments)[]) {
      child.geometry.dispose();
      (child.material as MeshLambertMaterial).map?.dispose();
      (child.material as Material).dispose();
    }
    this.meshes.delete(id);
  }

  private mesh(face: SpaceFace): Group {
    const known = this.meshes.get(face.id);
    if (known && known.of[0] === face.own[0] && known.paper === face.paper) return known.group;
    // The design was changed: the panel of that name has another shape now.
    if (known) this.drop(face.id);
    const group = groupOf(face, this.colours);
    this.scene.add(group);
    this.meshes.set(face.id, { of: face.own, paper: face.paper, group });
    return group;
  }

  private draw(): void {
    this.controls.update();
    cancelAnimationFrame(this.asked);
    this.asked = requestAnimationFrame(this.render);
  }

  private readonly render = (): void => {
    this.renderer.render(this.scene, this.camera);
  };
}

/** A face as the graphics card draws it, on its own sheet: each side in its colour, and its rim. */
export function groupOf(face: SpaceFace, { of: colour, lit }: Pick<SpaceColours, 'of' | 'lit'>): Group {
  const group = new Group();
  group.matrixAutoUpdate = false;
  const geometry = new ShapeGeometry(shapeOf(face));
  const side = (seen: SpaceFace['side'], from: typeof FrontSide | typeof BackSide): Mesh => {
    const mesh = new Mesh(geometry, new MeshLambertMaterial({ ...surfaceOf(face, seen, colour, lit), side: from }));
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    return mesh;
  };
  const line = new LineBasicMaterial({ color: new Color(colour('ink-soft')) });
  group.add(side('inside', FrontSide), side('outside', BackSide), new LineSegments(rimOf(face.own.flat()), line));
  return group;
}

/** The colour of one side of a face, or its print where it lies on it. */
function surfaceOf(
  { paper, ...face }: SpaceFace,
  side: SpaceFace['side'],
  colour: (tone: Tone) => string,
  lit: number,
): { readonly color: Color; readonly map?: Texture } {
  if (!paper) return { color: new Color(colour(facePaint(STYLE.still, { ...face, side })!.fill as Tone)) };
  const { face: seen, lies } = paper[side];
  const map = 'print' in seen ? printLaid(seen, lies) : null;
  return { color: new Color(map ? '#ffffff' : groundOf(seen)).multiplyScalar(lit), ...(map && { map }) };
}

/** A print as the graphics card lays it on a sheet’s own places; null where it cannot be drawn. */
function printLaid(face: Extract<PaperFace, { print: string }>, lies: Affine): Texture | null {
  const print = printNamed(face.print);
  const tile = print && drawn(print, coloursOf(print, face.colours));
  if (!print || !tile) return null;
  const texture = new CanvasTexture(tile);
  [texture.wrapS, texture.wrapT] = [RepeatWrapping, RepeatWrapping];
  [texture.colorSpace, texture.anisotropy] = [SRGBColorSpace, 8];
  // A shape's own coordinates are the sheet's; a bitmap's run upwards, a tile's down.
  const [a, b, c, d, e, f] = compose([1 / print.tile.width, 0, 0, -1 / print.tile.height, 0, 1], invert(lies));
  texture.matrixAutoUpdate = false;
  texture.matrix.set(a, c, e, b, d, f, 0, 0, 1);
  return texture;
}

export const matrixOf = ({ x, y, normal, o }: Pose): Matrix4 =>
  new Matrix4()
    .makeBasis(new Vector3(x.x, x.y, x.z), new Vector3(y.x, y.y, y.z), new Vector3(normal.x, normal.y, normal.z))
    .setPosition(o.x, o.y, o.z);

function shapeOf({ own, holes }: SpaceFace): Shape {
  const shape = new Shape();
  own[0]!.forEach(({ x, y }, i) => (i === 0 ? shape.moveTo(x, y) : shape.lineTo(x, y)));
  shape.closePath();
  for (const { centre, diameter } of holes)
    shape.holes.push(new Path().absarc(centre.x, centre.y, diameter / 2, 0, 2 * Math.PI, true) as Path);
  return shape;
}

/** The rim of a face, a hair off both its sides so that it is seen on each. */
function rimOf(polygon: readonly Point[]): BufferGeometry {
  const ends = polygon.flatMap((p, i) => [p, polygon[(i + 1) % polygon.length]!]);
  const places = [HAIR, -HAIR].flatMap((z) => ends.flatMap(({ x, y }) => [x, y, z]));
  return new BufferGeometry().setAttribute('position', new Float32BufferAttribute(places, 3));
}
