import { waysDown, type SetDown, type Thing } from '../model';
import { overlaps, type Rect } from '../solvers/packing';
import { pileOf } from '../standing';
import type { Board } from './boards';

/** Room for a finger beside a thing in a slot, mm. */
const SLOT_MM = 6;

/** How a thing is set down on a board: its floor, the height of one, and how many on each other. */
interface Stand extends SetDown {
	readonly pile: number;
}

/** The way to set a thing down that takes the least floor a piece, upright before lying; null: it does not go on. */
function standOn(board: Board, thing: Thing): Stand | null {
	const [short, long] = [Math.min(board.w, board.d), Math.max(board.w, board.d)];
	let best: Stand | null = null;
	for (const way of waysDown(thing)) {
		if (way.upMm > board.high || way.narrowMm > short || way.longMm > long) continue;
		const pile = pileOf(way, board.rim, thing);
		const floor = (way.narrowMm * way.longMm) / pile;
		if (!best || floor < (best.narrowMm * best.longMm) / best.pile - 1e-9) best = { ...way, pile };
	}
	return best;
}

/** A level of a container with what stands on it. */
export class Level {
	readonly placed: Rect[] = [];
	/** Width of the slots used, mm. */
	private used = 0;
	topMm = 0;

	constructor(readonly board: Board) {}

	/** Remembers how it is, and gives what brings that back. */
	mark(): () => void {
		const [count, used, topMm] = [this.placed.length, this.used, this.topMm];
		return () => {
			this.placed.length = count;
			this.used = used;
			this.topMm = topMm;
		};
	}

	/** Puts up to `pieces` of a thing down; returns how many found a place. */
	add(thing: Thing, pieces: number): number {
		if (this.board.isSlotted) return this.#slot(thing, pieces);
		if (this.board.isCradle) return this.#lay(thing, pieces);
		const stand = standOn(this.board, thing);
		if (!stand) return 0;
		let put = 0;
		while (put < pieces && this.#spot(stand)) {
			const here = Math.min(stand.pile, pieces - put);
			put += here;
			this.topMm = Math.max(this.topMm, this.board.at + here * stand.upMm);
		}
		return put;
	}

	/** The first free spot for a column, from the front left; taken at once. */
	#spot({ narrowMm, longMm }: Stand): boolean {
		// In a circle a thing that stands alone stands in the middle.
		const middle = (side: number) => (this.board.w - side) / 2;
		const { w, d } = this.board;
		const stops = (side: (r: Rect) => number) => [0, ...this.placed.map(side)];
		const ys = [...new Set(stops((r) => r.y + r.d))].sort((a, b) => a - b);
		const xs = [...new Set(stops((r) => r.x + r.w))].sort((a, b) => a - b);
		const grid = this.board.isRound ? gridOf(w) : null;
		const ways: readonly (readonly [number, number])[] =
			narrowMm === longMm
				? [[narrowMm, longMm]]
				: [
						[narrowMm, longMm],
						[longMm, narrowMm]
					];
		const columns = grid ? [middle(longMm), middle(narrowMm), ...grid] : xs;
		for (const y of grid ? [middle(narrowMm), ...grid] : ys) {
			const ends = ways.map(([, rd]) =>
				y + rd > d ? NOWHERE : grid ? chordAt(y, rd, w) : ([0, w] as const)
			);
			for (const x of columns)
				for (let way = 0; way < ways.length; way++) {
					const [rw, rd] = ways[way]!;
					const [from, to] = ends[way]!;
					if (x < from || x + rw > to) continue;
					const rect = { x, y, w: rw, d: rd };
					if (this.placed.some((other) => overlaps(other, rect))) continue;
					this.placed.push(rect);
					return true;
				}
		}
		return false;
	}

	/** On edge, the thin side across; the taller of the other two up, where there is height. */
	#slot(thing: Thing, pieces: number): number {
		const { w, d, high, at } = this.board;
		const [thin, middle, long] = Object.values(thing.piece).sort((a, b) => a - b) as [
			number,
			number,
			number
		];
		const up = long <= high && middle <= d ? long : middle <= high && long <= d ? middle : null;
		if (up === null) return 0;
		const put = Math.min(pieces, Math.floor((w - this.used + 1e-9) / (thin + SLOT_MM)));
		this.used += put * (thin + SLOT_MM);
		if (put) this.topMm = Math.max(this.topMm, at + up);
		return put;
	}

	/** Bottles side by side, their bottoms to the back. */
	#lay(thing: Thing, pieces: number): number {
		const { w, d, high } = this.board;
		const [thin, across, long] = Object.values(thing.piece).sort((a, b) => a - b) as [
			number,
			number,
			number
		];
		if (long > d || across > high || thin > across) return 0;
		const rows = Math.max(1, Math.floor(high / (across + SLOT_MM)));
		const most = Math.floor((w - this.used) / (across + SLOT_MM)) * rows;
		const put = Math.min(pieces, Math.max(0, most));
		this.used += Math.ceil(put / rows) * (across + SLOT_MM);
		if (put) this.topMm = Math.max(this.topMm, high);
		return put;
	}
}

const CIRCLE_STEP_MM = 6;
const grids = new Map<number, number[]>();
function gridOf(w: number): number[] {
	let grid = grids.get(w);
	if (!grid) {
		grid = [];
		for (let at = 0; at < w; at += CIRCLE_STEP_MM) grid.push(at);
		grids.set(w, grid);
	}
	return grid;
}
const NOWHERE = [Infinity, -Infinity] as const;
/** Where something so deep may begin and end across a circle, at a distance from its front. */
function chordAt(y: number, d: number, across: number): readonly [number, number] {
	const r = across / 2;
	const far = Math.max(Math.abs(y - r), Math.abs(y + d - r));
	const half = Math.sqrt(r * r - far * far);
	return far > r ? NOWHERE : [r - half, r + half];
}
