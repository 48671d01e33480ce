import {
	AmbientLight,
	BoxGeometry,
	Color,
	CylinderGeometry,
	DirectionalLight,
	EdgesGeometry,
	Group,
	LineBasicMaterial,
	LineSegments,
	Mesh,
	MeshLambertMaterial,
	PerspectiveCamera,
	Scene,
	WebGLRenderer,
	type BufferGeometry
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import type { DepthBox } from './depth-geometry';
import { inkOf } from './tag-style';

export interface DepthSize {
	readonly widthMm: number;
	readonly depthMm: number;
	readonly heightMm: number;
}
export interface DepthView {
	/** What stands there now. */
	show(boxes: readonly DepthBox[], picked: string | null): void;
	/** Turns the view, degrees: to the right, and up. */
	turn(right: number, up: number): void;
	/** The frame has another size. */
	fit(): void;
	leave(): void;
}
const SHARE_ROUND = 48;
const BUILT = '#6b6256';

/**
 * Draws a place in depth, to be turned by dragging. Throws where the browser has no WebGL: then the still picture stays.
 * `ink` is the colour of lines.
 */
export function depthView(canvas: HTMLCanvasElement, size: DepthSize, ink: string): DepthView {
	const renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
	const scene = new Scene();
	const { widthMm: w, depthMm: d, heightMm: h } = size;
	const camera = new PerspectiveCamera(32, 1, 10, 20_000);
	const far = 2.4 * Math.max(w, d, h);
	camera.position.set(far * 0.45, h / 2 + far * 0.4, far * 0.85);
	const controls = new OrbitControls(camera, canvas);
	controls.target.set(0, h / 2, 0);
	controls.enablePan = false;
	// Under the floor there is nothing to see.
	controls.maxPolarAngle = Math.PI / 2;
	controls.minDistance = far / 3;
	controls.maxDistance = far * 2;
	scene.add(new AmbientLight(0xffffff, 1.9));
	const light = new DirectionalLight(0xffffff, 1.6);
	light.position.set(1, 2, 3);
	scene.add(light);
	const line = new LineBasicMaterial({ color: new Color(ink) });
	const frame = new LineSegments(new EdgesGeometry(new BoxGeometry(w, h, d)), line);
	frame.position.y = h / 2;
	scene.add(frame);
	let parts = new Group();
	scene.add(parts);
	const draw = () => renderer.render(scene, camera);
	controls.addEventListener('change', draw);

	const dropParts = () => {
		parts.traverse((part) => {
			if (part instanceof Mesh || part instanceof LineSegments)
				(part.geometry as BufferGeometry).dispose();
			if (part instanceof Mesh) (part.material as MeshLambertMaterial).dispose();
		});
		scene.remove(parts);
	};
	return {
		show(boxes, picked) {
			dropParts();
			parts = new Group();
			for (const box of boxes) {
				const shape = box.round
					? new CylinderGeometry(box.w / 2, box.w / 2, box.h, SHARE_ROUND)
					: new BoxGeometry(box.w, box.h, box.d);
				const color = new Color(box.hue === null ? BUILT : inkOf(box.hue));
				const solid = new Mesh(
					shape,
					new MeshLambertMaterial({
						color,
						transparent: true,
						opacity: box.id === picked ? 1 : 0.82
					})
				);
				solid.position.set(
					box.x + box.w / 2 - w / 2,
					box.z + box.h / 2,
					d / 2 - (box.y + box.d / 2)
				);
				const edges = new LineSegments(new EdgesGeometry(shape, 30), line);
				edges.position.copy(solid.position);
				parts.add(solid, edges);
			}
			scene.add(parts);
			draw();
		},
		turn(right, up) {
			const offset = camera.position.clone().sub(controls.target);
			const flat = Math.hypot(offset.x, offset.z);
			const length = offset.length();
			const around = Math.atan2(offset.x, offset.z) + (right * Math.PI) / 180;
			const over = Math.min(
				Math.PI / 2 - 0.05,
				Math.max(0.02, Math.atan2(offset.y, flat) + (up * Math.PI) / 180)
			);
			camera.position.set(
				controls.target.x + length * Math.cos(over) * Math.sin(around),
				controls.target.y + length * Math.sin(over),
				controls.target.z + length * Math.cos(over) * Math.cos(around)
			);
			controls.update();
			draw();
		},
		fit() {
			const { clientWidth, clientHeight } = canvas;
			if (!clientWidth || !clientHeight) return;
			renderer.setPixelRatio(Math.min(2, devicePixelRatio));
			renderer.setSize(clientWidth, clientHeight, false);
			camera.aspect = clientWidth / clientHeight;
			camera.updateProjectionMatrix();
			draw();
		},
		leave() {
			dropParts();
			controls.dispose();
			renderer.dispose();
		}
	};
}
