import { pieceVolumeMl, type ContainerKind, type Thing } from '../model';
import { piecesOf, type Good } from '../standing';
import { boardsOf } from './boards';
import { Level } from './level';

/** One container with what is in it. */
export interface Filled {
	readonly holds: readonly Good[];
	/** With its contents, g. */
	readonly massG: number;
	/** With its contents, from its foot, mm. */
	readonly heightMm: number;
}
export interface FillOptions {
	/** Height that a container with its contents may take, mm. */
	readonly clearMm: number;
	/** A container with its contents may weigh so much, g. */
	readonly mostG: number;
	readonly mostContainers: number;
	/** Share of what room is left that small loose things really fill. */
	readonly fillShare: number;
	/**
	 * What is to be used last goes in first, so that what goes together is due together, and containers stand on each
	 * other likewise; else the bulkiest goes in first, and the heaviest stands below.
	 */
	readonly isByDue?: boolean;
}

/** Pieces smaller than this share of a container are poured in, not set down one by one. */
const SMALL_SHARE = 1 / 40;
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

/** Says of things whether they are poured into a kind; each is judged once. */
export function smallIn(kind: ContainerKind, clearMm: number): (thing: Thing) => boolean {
	const known = new Map<Thing, boolean>();
	return (thing) => {
		let isSmall = known.get(thing);
		if (isSmall === undefined) known.set(thing, (isSmall = isSmallIn(kind, thing, clearMm)));
		return isSmall;
	};
}

/** A container that is being filled. */
export class Filling {
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
		/** Whether a thing is poured in. */
		readonly isPoured: (thing: Thing) => boolean,
		/** Nothing else comes in. */
		readonly isClosed = false
	) {
		this.levels = boardsOf(kind, options.clearMm).map((board) => new Level(board));
		this.massG = kind.massG;
	}

	/** Takes in all pieces of a good, or none. */
	addWhole(good: Good): boolean {
		const undo = this.levels.map((level) => level.mark());
		const { massG, takenMl, heapMm } = this;
		const known = this.counts.get(good.thing);
		if (this.add(good) === good.pieces) return true;
		for (const each of undo) each();
		Object.assign(this, { massG, takenMl, heapMm });
		if (known) this.counts.set(good.thing, known);
		else this.counts.delete(good.thing);
		return false;
	}

	/** Takes in what of a good goes in; returns the pieces. */
	add(good: Good): number {
		const { thing } = good;
		const byMass =
			thing.massG > 0 ? Math.floor((this.options.mostG - this.massG) / thing.massG) : Infinity;
		const most = Math.min(good.pieces, Math.max(0, byMass));
		let put = 0;
		if (this.isPoured(thing)) put = this.#pour(thing, most);
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
	get goods(): Iterable<Good> {
		return this.counts.values();
	}
	/** Share of its room that is taken; with what looks out over the rim more than 1. */
	get takenShare(): number {
		return this.takenMl / litresOf(this.kind);
	}
	done(): Filled {
		return {
			holds: [...this.counts.values()],
			massG: this.massG,
			heightMm: Math.max(this.kind.heightMm, this.heapMm, ...this.levels.map(({ topMm }) => topMm))
		};
	}
}
