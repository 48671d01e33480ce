import {
	pictureSize,
	type Corners,
	type PicturePoint,
	type PictureSize,
	type SheetName
} from '../core/survey';
import type { HomeStore } from './home-store.svelte';

const CORNERS = ['top left', 'top right', 'bottom right', 'bottom left'] as const;
/** A finger lies about so far beside what it means, px on the screen. */
const FINGER_PX = 3;

/** The eight corners that are tapped on a picture of an opening with a sheet of paper in it. */
export class PictureTaps {
	readonly #store: () => HomeStore;
	readonly #nookId: () => string;
	taps = $state.raw<readonly PicturePoint[]>([]);
	sheet = $state<SheetName>('a4');
	across = $state(false);
	/** Pixels of the picture in one of the screen. */
	scale = $state(1);

	constructor(store: () => HomeStore, nookId: () => string) {
		this.#store = store;
		this.#nookId = nookId;
	}

	/** Which corner is to be tapped next; empty: all are. */
	get next(): string {
		const at = this.taps.length;
		if (at >= 8) return '';
		return `${at < 4 ? 'the sheet' : 'the opening'}: ${CORNERS[at % 4]} corner (${at + 1} of 8)`;
	}
	tap(point: PicturePoint): void {
		if (this.taps.length < 8) this.taps = [...this.taps, point];
	}
	back(): void {
		this.taps = this.taps.slice(0, -1);
	}
	again(): void {
		this.taps = [];
	}
	/** What the corners say; null: not all are tapped. */
	get size(): PictureSize | null {
		if (this.taps.length < 8) return null;
		return pictureSize({
			sheet: this.sheet,
			across: this.across,
			sheetCorners: this.taps.slice(0, 4) as unknown as Corners,
			openingCorners: this.taps.slice(4) as unknown as Corners,
			tapPx: FINGER_PX * this.scale
		});
	}
	/** Keeps the size as an estimate. */
	keep(): void {
		const { size } = this;
		if (!size?.ok) return;
		const nookId = this.#nookId();
		const name = this.#store().home.nooks[nookId]?.name ?? 'the place';
		this.#store().run(`size of ${name} from a picture`, 'takePictured', nookId, size);
		this.again();
	}
}
