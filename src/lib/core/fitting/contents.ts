import { pieceVolumeMl, waysDown, type ContainerKind, type SetDown, type Thing } from '../model';
import { pileOf, piecesOf, type Good } from '../standing';
import { overlaps, type Rect } from '../solvers/packing';
import { boardsOf, type Board } from './boards';

/** One container with what is in it. */
export interface Filled {
	readonly holds: readonly Good[];
	/** With its contents, g. */
	readonly massG: number;
	/** With its contents, from its foot, mm. */
	readonly heightMm: number;
}
export interface Fill {
	readonly containers: readonly Filled[];
	/** What such a container does not take, or what is over the most of them. */
	readonly rest: readonly Good[];
}
export interface FillOptions {
	/** Height that a container with its contents may take, mm. */
	readonly clearMm: number;
	/** A container with its contents may weigh so much, g. */
	readonly mostG: number;
	readonly mostContainers: number;
	/** Share of what room is left that small loose things really fill. */
	readonly fillShare: number;
	/** What is to be used last goes in first, so that what goes together is due together; else the bulkiest does. */
	readonly isByDue?: boolean;
}

/** Pieces smaller than this share of a container are poured in, not set down one by one. */
const SMALL_SHARE = 1 / 40;
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
class Level {
	readonly placed: Rect[] = [];
	/** Width of the slots used, mm. */
	private used = 0;
	topMm = 0;

	constructor(readonly board: Board) {}

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

/** A container that is being filled. */
class Filling {
	private readonly levels: Level[];
	private readonly counts = new Map<Thing, Good>();
	private massG: number;
	/** Volume of what stands in it below the rim, and of what was poured in, ml. */
	private takenMl = 0;
	/** How high the small things lie, mm. */
	private heapMm = 0;

	constructor(
		private readonly kind: ContainerKind,
		private readonly options: FillOptions,
		/** Nothing else comes in. */
		readonly isClosed: boolean
	) {
		this.levels = boardsOf(kind, options.clearMm).map((board) => new Level(board));
		this.massG = kind.massG;
	}

	/** Takes in what of a good goes in; returns the pieces. */
	add(good: Good, isSmall: boolean): number {
		const { thing } = good;
		const byMass =
			thing.massG > 0 ? Math.floor((this.options.mostG - this.massG) / thing.massG) : Infinity;
		const most = Math.min(good.pieces, Math.max(0, byMass));
		let put = 0;
		if (isSmall) put = this.#pour(thing, most);
		else
			for (const level of this.levels) {
				const here = level.add(thing, most - put);
				put += here;
				this.takenMl += here * pieceVolumeMl(thing);
			}
		if (!put) return 0;
		this.massG += put * thing.massG;
		this.counts.set(thing, piecesOf(good, put + (this.counts.get(thing)?.pieces ?? 0)));
		return put;
	}

	#pour(thing: Thing, most: number): number {
		const { widthMm, depthMm } = this.kind.inner;
		const allMl = (widthMm * depthMm * heapOf(this.kind, this.options.clearMm)) / 1000;
		const leftMl = Math.max(0, allMl - this.takenMl) * this.options.fillShare;
		const put = Math.min(most, Math.floor(leftMl / Math.max(0.1, pieceVolumeMl(thing)) + 1e-9));
		if (put) {
			const floor = widthMm * depthMm;
			const full =
				(this.takenMl * 1000) / floor +
				(put * pieceVolumeMl(thing) * 1000) / floor / this.options.fillShare;
			this.heapMm = Math.max(this.heapMm, Math.min(full + 4, this.options.clearMm));
		}
		// What is poured in leaves the air between it behind.
		this.takenMl += (put * pieceVolumeMl(thing)) / this.options.fillShare;
		return put;
	}

	get isEmpty(): boolean {
		return this.counts.size === 0;
	}
	done(): Filled {
		return {
			holds: [...this.counts.values()],
			massG: this.massG,
			heightMm: Math.max(this.kind.heightMm, this.heapMm, ...this.levels.map(({ topMm }) => topMm))
		};
	}
}

/** Kinds in which small things may lie loose. */
const POURED = new Set(['bin', 'basket', 'divider', 'tray', 'caddy']);
const litresOf = ({ inner }: ContainerKind) =>
	(inner.widthMm * inner.depthMm * inner.heightMm) / 1000;

/** Small things heap up over a low rim, to so many times its height. */
const HEAP = 1.5;
const heapOf = ({ inner, lid }: ContainerKind, clearMm: number): number =>
	Math.min(clearMm, inner.heightMm * (lid ? 1 : HEAP));

/** What lies together like spoons in a tray: the boxes round each of them cross. */
const LIES_TOGETHER = new Set([
	'kitchen.cutlery',
	'kitchen.tools',
	'kitchen.odds',
	'home.workshop',
	'home.office'
]);
/** Each kind of these has a compartment of its own: forks do not lie among knives. */
const BY_THEMSELVES = new Set(['kitchen.cutlery', 'kitchen.knives']);

/** Whether pieces are so small beside a container that they lie in it as they fall; each has to go in by itself. */
function isSmallIn(kind: ContainerKind, thing: Thing, clearMm: number): boolean {
	if (!POURED.has(kind.role)) return false;
	const sides = Object.values(thing.piece).sort((a, b) => b - a);
	const { widthMm, depthMm } = kind.inner;
	const inner = [widthMm, depthMm, heapOf(kind, clearMm)].sort((a, b) => b - a);
	return (
		(LIES_TOGETHER.has(thing.category) || pieceVolumeMl(thing) <= litresOf(kind) * SMALL_SHARE) &&
		sides.every((side, i) => side <= inner[i]!)
	);
}

/** Wall between two compartments, mm. */
const CELL_WALL_MM = 2;
/** One compartment of a container, as a container by itself. */
const cellOf = (kind: ContainerKind): ContainerKind => ({
	...kind,
	cells: 1,
	massG: 0,
	inner: {
		...kind.inner,
		widthMm: Math.floor((kind.inner.widthMm - (kind.cells - 1) * CELL_WALL_MM) / kind.cells)
	}
});

/** Fills compartment by compartment; a container more is begun when all of one are taken. */
function fillCells(kind: ContainerKind, goods: readonly Good[], options: FillOptions): Fill {
	const { cells } = kind;
	const { containers: filled, rest } = fillContainers(cellOf(kind), goods, {
		...options,
		mostContainers: options.mostContainers * cells
	});
	const count = Math.ceil(filled.length / cells);
	const containers = Array.from({ length: count }, (_, i): Filled => {
		const own = filled.slice(i * cells, (i + 1) * cells);
		return {
			holds: together(own.flatMap(({ holds }) => holds)),
			massG: kind.massG + own.reduce((sum, { massG }) => sum + massG, 0),
			heightMm: Math.max(...own.map(({ heightMm }) => heightMm))
		};
	});
	return { containers, rest };
}

/** Each thing once, with all its pieces. */
function together(goods: readonly Good[]): Good[] {
	const byThing = new Map<Thing, Good>();
	for (const good of goods) {
		const known = byThing.get(good.thing);
		byThing.set(good.thing, known ? piecesOf(good, known.pieces + good.pieces) : good);
	}
	return [...byThing.values()];
}

/**
 * Fills containers of one kind with goods piece by piece, the bulkiest first, each thing kept together where it can be:
 * every piece is set down on a level of its own container, turned or laid as its kind may, or poured in where it is
 * small, and compartment by compartment where it has any. What the kind does not take, or what is over, is the rest.
 * Deterministic.
 * @example fillContainers(binOf12Bottles, [{ pieces: 17, … }], options).containers.length // 2
 */
export function fillContainers(
	kind: ContainerKind,
	goods: readonly Good[],
	options: FillOptions
): Fill {
	if (kind.cells > 1) return fillCells(kind, goods, options);
	const fillings: Filling[] = [];
	const rest: Good[] = [];
	const small = new Map(goods.map((good) => [good, isSmallIn(kind, good.thing, options.clearMm)]));
	const order = [...goods].sort(
		(a, b) =>
			(options.isByDue ? (a.due < b.due ? 1 : a.due > b.due ? -1 : 0) : 0) ||
			Number(small.get(a)) - Number(small.get(b)) ||
			pieceVolumeMl(b.thing) - pieceVolumeMl(a.thing) ||
			(a.thing.id < b.thing.id ? -1 : 1)
	);
	for (const good of order) {
		let left = good.pieces;
		const isApart = BY_THEMSELVES.has(good.thing.category);
		for (const filling of fillings) {
			if (!left || isApart) break;
			if (filling.isClosed) continue;
			left -= filling.add(piecesOf(good, left), small.get(good)!);
		}
		while (left && fillings.length < options.mostContainers) {
			const filling = new Filling(kind, options, isApart);
			left -= filling.add(piecesOf(good, left), small.get(good)!);
			if (filling.isEmpty) break;
			fillings.push(filling);
		}
		if (left) rest.push(piecesOf(good, left));
	}
	return { containers: fillings.map((filling) => filling.done()), rest };
}
