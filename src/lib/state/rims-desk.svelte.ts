import { joinAlike, matchHome, rimPieces, type RimPiece } from '../core/clearing';
import { formatLength, type Home, type Thing } from '../core/model';
import type { HomeStore } from './home-store.svelte';

export interface RimsDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
}
/** Kinds of things that come with a lid. */
const LIDDED: ReadonlySet<string> = new Set([
	'kitchen.food-boxes',
	'kitchen.lids',
	'kitchen.pots',
	'kitchen.lunch'
]);
const isLid = ({ category, name }: Thing) =>
	category === 'kitchen.lids' || /\b(lid|cover)s?\b/i.test(name);

/** Boxes and pots with their lids: rims measured, halves matched, what is alone told. */
export class RimsDesk {
	readonly #deps: RimsDeps;

	constructor(deps: RimsDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	match = $derived.by(() => matchHome(this.home));
	pieces = $derived.by(() => rimPieces(this.home));
	#byKey = $derived.by(
		() => new Map([...this.pieces.vessels, ...this.pieces.lids].map((piece) => [piece.key, piece]))
	);
	pairs = $derived.by(() =>
		joinAlike(this.match.pairs, (key) => this.pieces.lotOf.get(key)?.thing.id ?? key)
	);
	/** Pieces without their other half, vessels first. */
	orphans = $derived.by(() => [...this.match.loneVessels, ...this.match.loneLids]);
	/** What is here and has a rim, or is of a kind that comes with a lid; those to be measured first. */
	things = $derived.by((): readonly Thing[] => {
		const held = new Set(
			Object.values(this.home.lots)
				.filter(({ count }) => count > 0)
				.map(({ thingId }) => thingId)
		);
		return Object.values(this.home.things)
			.filter((thing) => held.has(thing.id) && (thing.rim || LIDDED.has(thing.category)))
			.sort((a, b) => Number(!!a.rim) - Number(!!b.rim) || a.name.localeCompare(b.name));
	});
	pieceOf(key: string): RimPiece | undefined {
		return this.#byKey.get(key);
	}
	nameOf(key: string): string {
		return this.pieces.lotOf.get(key)?.thing.name ?? '';
	}
	/** What nearly fits a lone piece: its name and by how much it is off, mm. */
	missesOf(key: string): { readonly name: string; readonly offMm: number }[] {
		return this.match.nearMisses
			.filter(({ vessel, lid }) => vessel === key || lid === key)
			.map(({ vessel, lid, offMm }) => ({
				name: this.nameOf(vessel === key ? lid : vessel),
				offMm
			}));
	}
	rimText({ shape, widthMm, depthMm }: Pick<RimPiece, 'shape' | 'widthMm' | 'depthMm'>): string {
		const width = formatLength(widthMm, this.home.units);
		return shape === 'round'
			? `⌀ ${width}`
			: `${width} × ${formatLength(depthMm, this.home.units)}`;
	}

	/** Changes a rim; one that was not measured begins as a round lid or box, by the name of the thing. */
	setRim(thing: Thing, change: Partial<NonNullable<Thing['rim']>>): void {
		const before: NonNullable<Thing['rim']> = thing.rim ?? {
			part: isLid(thing) ? 'lid' : 'vessel',
			shape: 'round',
			widthMm: 0,
			depthMm: 0
		};
		const rim = { ...before, ...change };
		if (rim.shape === 'round') rim.depthMm = rim.widthMm;
		this.#deps.store().run(`rim of ${thing.name}`, 'changeThing', thing.id, { rim });
	}
	/** Lets one lone piece go: the rest of its lot stays. */
	recycle(key: string): void {
		const found = this.pieces.lotOf.get(key);
		if (!found) return;
		const { store, newId, now } = this.#deps;
		store().run(`recycle ${found.thing.name}`, 'decide', {
			lotId: found.lot.id,
			verdict: 'recycle',
			count: 1,
			advice: null,
			wantAgain: false,
			toNookId: null,
			ids: { decision: newId(), event: newId(), rest: newId() },
			now: now()
		});
	}
}
