import {
	holdersOf,
	isDecanted,
	isPoured,
	isRaw,
	lidsOf,
	nearestHolder,
	whyNoJar,
	type Arrangement,
	type LidsChoice,
	type Nearest,
	type NoJar
} from '../core/fitting';
import { categoryOf, thingsOf, type ContainerRole, type Group, type Home } from '../core/model';
import type { HomeStore } from './home-store.svelte';

export interface HolderDeskDeps {
	readonly store: () => HomeStore;
	readonly nookId: () => string | null;
	/** Groups of the place at hand. */
	readonly groups: () => readonly Group[];
	/** What is drawn of the place at hand. */
	readonly shown: () =>
		| (Pick<Arrangement, 'placements' | 'standing'> & { readonly leftOver: readonly unknown[] })
		| null;
	/** What is to be held otherwise is fitted anew. */
	readonly askAnew: () => void;
}
/** A group of the place at hand with what holds it. */
export interface HeldGroup {
	readonly group: Group;
	/** What usually holds it here, best first. */
	readonly usual: readonly ContainerRole[];
	/** What was chosen holds it nowhere here; with what comes nearest to it, if any does. */
	readonly isMissing: boolean;
	readonly nearest: Nearest | null;
}

/** What holds the groups of the place at hand: kinds of holder, packs or jars, lids on or nested. */
export class HolderDesk {
	readonly #deps: HolderDeskDeps;

	constructor(deps: HolderDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}

	held = $derived.by((): readonly HeldGroup[] => {
		const nookId = this.#deps.nookId();
		if (!nookId) return [];
		const shown = this.#deps.shown();
		const isHeld = (id: string, role: ContainerRole) =>
			shown?.placements.some(
				({ groupId, kindId }) => groupId === id && this.home.containerKinds[kindId]?.role === role
			);
		return this.#deps.groups().map((group) => {
			const isMissing =
				!!shown && !!group.holder && group.holder !== 'none' && !isHeld(group.id, group.holder);
			return {
				group,
				usual: holdersOf(this.home, group.id, nookId),
				isMissing,
				nearest: isMissing ? nearestHolder(this.home, nookId, group.id) : null
			};
		});
	});
	setHolder(group: Group, holder: Group['holder']): void {
		this.#deps.store().run(`what holds ${group.name}`, 'setHolder', group.id, holder);
		this.#deps.askAnew();
	}
	/** Raw meat and fish that stand without a tray in the place at hand, by name. */
	get dripping(): readonly string[] {
		const held = this.#deps.shown()?.standing.flatMap(({ holds }) => holds) ?? [];
		const raw = held.flatMap(({ thingId }) => {
			const thing = this.home.things[thingId];
			return thing && isRaw(thing) ? [thing.name] : [];
		});
		return [...new Set(raw)];
	}

	/** Groups here of which something may be poured into jars, with those things. */
	pourable = $derived.by(() =>
		this.#deps.groups().flatMap((group) => {
			const thingIds = thingsOf(this.home, group.id)
				.filter(({ category }) => categoryOf(category).holders.includes('jar'))
				.map(({ id }) => id as string);
			const decants = isDecanted(this.home, group);
			return thingIds.length
				? [{ group, thingIds, isDecanted: decants, noJar: decants ? this.#noJars(group) : [] }]
				: [];
		})
	);
	/** What of a group was asked into jars, stands here, and is in none, each with the reason. */
	#noJars(group: Group): readonly { readonly name: string; readonly reason: NoJar }[] {
		const [shown, nookId] = [this.#deps.shown(), this.#deps.nookId()];
		if (!shown || !nookId) return [];
		const inJars = new Set(
			shown.placements.flatMap(({ kindId, holds }) =>
				this.home.containerKinds[kindId]?.role === 'jar' ? holds.map(({ thingId }) => thingId) : []
			)
		);
		const here = [...shown.placements, ...shown.standing]
			.filter(({ groupId }) => groupId === group.id)
			.flatMap(({ holds }) => holds.map(({ thingId }) => thingId));
		return [...new Set(here)].flatMap((id) => {
			const thing = this.home.things[id];
			if (!thing || inJars.has(id) || !isPoured(thing)) return [];
			const reason = whyNoJar(this.home, nookId, id);
			return reason ? [{ name: thing.name, reason }] : [];
		});
	}
	/** Whether a group of this place is poured into jars: as said of it, else as the home does. */
	setBoxes(groupId: string, boxes: Group['boxes']): void {
		this.#deps
			.store()
			.run(`boxes of ${this.home.groups[groupId]?.name}`, 'setBoxes', groupId, boxes);
		this.#deps.askAnew();
	}

	/** Says whether boxes and pots have their lids on, or are nested; what is shown is fitted anew. */
	setLids(groupId: string, lids: Group['lids']): void {
		this.#deps.store().run(`lids of ${this.home.groups[groupId]?.name}`, 'setLids', groupId, lids);
		this.#deps.askAnew();
	}

	/** Boxes and pots with lids here: lids on, or nested. */
	lids = $derived.by((): readonly LidsChoice[] => {
		const nookId = this.#deps.nookId();
		return nookId ? lidsOf(this.home, nookId, !!this.#deps.shown()?.leftOver.length) : [];
	});
}
