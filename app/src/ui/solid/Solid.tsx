import { useEffect, useRef, useState } from 'react';
import {
  AmbientLight,
  type BufferGeometry,
  DirectionalLight,
  DoubleSide,
  Group,
  LatheGeometry,
  Mesh,
  MeshStandardMaterial,
  PerspectiveCamera,
  Scene,
  Shape,
  ShapeGeometry,
  Vector2,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';

/** Outlines of a half-section about an axis, each as points [along the axis, radius]. */
export type Outlines = readonly (readonly (readonly [number, number])[])[];

/** Flat pieces that a full turn is made of, and how much of a turn stays when it is opened. */
const ROUND = 96;
const OPENED = 1.5 * Math.PI;

/** Each piece of an outline is turned by itself, so that edges stay sharp. */
function turned(outline: Outlines[number], phi: number): BufferGeometry[] {
  return outline.flatMap(([z, r], i) => {
    const [z2, r2] = outline[(i + 1) % outline.length]!;
    if ((r <= 0 && r2 <= 0) || (z === z2 && r === r2)) return [];
    return [new LatheGeometry([new Vector2(r, z), new Vector2(r2, z2)], ROUND, 0, phi)];
  });
}

/** The two faces where it is opened. */
function openedFaces(outline: Outlines[number], phi: number): BufferGeometry[] {
  const shape = new Shape(outline.map(([z, r]) => new Vector2(r, z)));
  return [0, phi].map((angle) => new ShapeGeometry(shape).rotateY(angle - Math.PI / 2));
}

/** Scene, camera and controls of one canvas; drawn when something changes, not all the time. */
class Stage {
  readonly #renderer: WebGLRenderer;
  readonly #scene = new Scene();
  readonly #camera = new PerspectiveCamera(32, 1, 0.1, 1e5);
  readonly #controls: OrbitControls;
  readonly #work = new Group();
  readonly #steel = new MeshStandardMaterial({ color: 0xb9c2c6, metalness: 0.55, roughness: 0.42, side: DoubleSide });
  readonly #cut = new MeshStandardMaterial({ color: 0xd9b873, metalness: 0.1, roughness: 0.8, side: DoubleSide });

  constructor(canvas: HTMLCanvasElement, sizeMm: number) {
    this.#renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
    this.#renderer.setPixelRatio(Math.min(2, devicePixelRatio));
    const light = new DirectionalLight(0xffffff, 2.6);
    light.position.set(1, 2, 3);
    const back = new DirectionalLight(0xffffff, 0.9);
    back.position.set(-2, -1, -2);
    this.#scene.add(this.#work, light, back, new AmbientLight(0xffffff, 0.9));
    // the axis lies as it does in the lathe
    this.#work.rotation.z = -Math.PI / 2;
    this.#camera.position.set(sizeMm * 0.7, sizeMm * 0.8, sizeMm * 1.7);
    this.#controls = new OrbitControls(this.#camera, canvas);
    this.#controls.addEventListener('change', () => this.draw());
    this.#controls.update();
  }

  /** Takes another work in the place of the one that is shown. */
  show(outlines: Outlines, opened: boolean): void {
    this.#clear();
    const places = outlines.flat().map(([z]) => z);
    const middle = (Math.min(...places) + Math.max(...places)) / 2;
    const phi = opened ? OPENED : 2 * Math.PI;
    for (const outline of outlines) {
      const moved = outline.map(([z, r]): [number, number] => [z - middle, r]);
      for (const geometry of turned(moved, phi)) this.#work.add(new Mesh(geometry, this.#steel));
      if (opened) for (const geometry of openedFaces(moved, phi)) this.#work.add(new Mesh(geometry, this.#cut));
    }
    this.draw();
  }

  resize(width: number, height: number): void {
    this.#renderer.setSize(width, height, false);
    this.#camera.aspect = width / height;
    this.#camera.updateProjectionMatrix();
    this.draw();
  }

  /** Turns the view by angles, for those who have no pointer. */
  turn(byX: number, byY: number): void {
    this.#work.rotation.x += byX;
    this.#work.rotation.y += byY;
    this.draw();
  }

  draw(): void {
    this.#renderer.render(this.#scene, this.#camera);
  }

  #clear(): void {
    for (const mesh of [...this.#work.children]) {
      (mesh as Mesh).geometry.dispose();
      this.#work.remove(mesh);
    }
  }

  end(): void {
    this.#clear();
    this.#controls.dispose();
    this.#steel.dispose();
    this.#cut.dispose();
    this.#renderer.dispose();
  }
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [0, -0.15],
  ArrowRight: [0, 0.15],
  ArrowUp: [-0.15, 0],
  ArrowDown: [0.15, 0],
};

/** A turned solid that can be looked at from all sides: by pointer, or with the arrow keys. @param sizeMm of the largest that is shown */
export function Solid({
  outlines,
  sizeMm,
  opened,
  label,
}: {
  outlines: Outlines;
  sizeMm: number;
  opened: boolean;
  label: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const stage = useRef<Stage>(undefined);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const element = canvas.current!;
    try {
      stage.current = new Stage(element, sizeMm);
    } catch {
      setFailed(true);
      return;
    }
    const observer = new ResizeObserver(() => stage.current?.resize(element.clientWidth, element.clientHeight));
    observer.observe(element);
    return () => {
      observer.disconnect();
      stage.current?.end();
      stage.current = undefined;
    };
  }, [sizeMm]);
  useEffect(() => stage.current?.show(outlines, opened), [outlines, opened]);
  if (failed) return <p className="muted p-4">This browser cannot draw solids. The strip shows the same.</p>;
  return (
    <div
      role="img"
      aria-label={label}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: so that the arrow keys reach it
      tabIndex={0}
      className="h-full w-full"
      onKeyDown={(event) => {
        const by = ARROWS[event.key];
        if (!by) return;
        event.preventDefault();
        stage.current?.turn(...by);
      }}
    >
      <canvas ref={canvas} className="block h-full w-full touch-none" />
    </div>
  );
}
