import {
	byShop,
	kindLike,
	shopCard,
	standInsFor,
	type FoundSize,
	type PartLine,
	type ShopCard,
	type ShopLine,
	type StandIn
} from '../core/fitting';
import { toCsv } from '../core/interchange/reports';
import type { ContainerKind, Home } from '../core/model';
import { shopCardRows } from '../messages/fitting';
import { partCountText } from '../messages/small-parts';
import type { HomeStore } from './home-store.svelte';

export interface ShopDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
}

/** What was put into the basket since the page was opened: containers of a kind, or small parts for places. */
export interface Bought {
	readonly name: string;
	/** How much, in words. */
	readonly amount: string;
	readonly what:
		| { readonly of: 'kind'; readonly kindId: string; readonly count: number }
		| { readonly of: 'parts'; readonly line: PartLine };
}
/** Another container than was wanted, with what it would do where. */
export interface Found {
	readonly line: ShopLine;
	readonly kind: ContainerKind;
	readonly places: readonly StandIn[];
}

/** The card that is taken to the shop: what to buy, ticked off, and what would do in its stead. */
export class ShopDesk {
	readonly #deps: ShopDeskDeps;
	#bought = $state.raw<readonly Bought[]>([]);
	#found = $state.raw<{ readonly of: Home; readonly found: Found } | null>(null);

	constructor(deps: ShopDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	card = $derived.by((): ShopCard => shopCard(this.home));
	/** The card by shop; one part without a name where none was said. */
	parts = $derived.by(() => byShop(this.card));
	/** Shops that were said so far, for the next line. */
	shops = $derived.by(() => [
		...new Set(Object.values(this.home.containerKinds).flatMap(({ shop }) => (shop ? [shop] : [])))
	]);
	/** Says where a kind is sold. */
	sellAt({ kind }: ShopLine, shop: string): void {
		if (shop.trim() !== kind.shop)
			this.#deps.store().run(`where ${kind.name} is sold`, 'sellAt', kind.id, shop);
	}
	get bought(): readonly Bought[] {
		return this.#bought;
	}
	/** What was found, of the home as it stands. */
	get found(): Found | null {
		return this.#found?.of === this.home ? this.#found.found : null;
	}

	/** All of a line lies in the basket: the house has them from now on. */
	tick({ kind, count }: ShopLine): void {
		this.#deps.store().run(`bought ${kind.name}`, 'buyContainers', kind.id, count);
		this.#putIn(kind, count);
	}
	/** All of a small part lies in the basket. */
	tickParts(line: PartLine): void {
		this.#setParts(line, true);
		this.#bought = [
			...this.#bought,
			{ name: line.part.name, amount: partCountText(line), what: { of: 'parts', line } }
		];
	}
	#setParts({ part, places }: PartLine, has: boolean): void {
		const own = places.map(({ nookId }) => ({ nookId, use: part.use }));
		this.#deps.store().run(`${has ? 'bought' : 'put back'} ${part.name}`, 'buyParts', own, has);
	}
	#putIn({ id, name }: ContainerKind, count: number): void {
		this.#bought = [
			...this.#bought,
			{ name, amount: String(count), what: { of: 'kind', kindId: id, count } }
		];
	}
	/** Puts something back on the shop's shelf. */
	putBack(bought: Bought): void {
		const { name, what } = bought;
		if (what.of === 'parts') this.#setParts(what.line, false);
		else this.#deps.store().run(`put back ${name}`, 'buyContainers', what.kindId, -what.count);
		this.#bought = this.#bought.filter((each) => each !== bought);
	}

	/** Looks where a container of another size would do. */
	look(line: ShopLine, size: FoundSize): void {
		const kind = kindLike(line.kind, this.#deps.newId(), size);
		const found = { line, kind, places: standInsFor(this.home, line, kind) };
		this.#found = { of: this.home, found };
	}
	/** Takes it for the places where it does. */
	take(): void {
		const { found } = this;
		if (!found) return;
		const does = found.places.flatMap((place) => (place.status === 'does' ? [place] : []));
		const count = does.reduce((sum, place) => sum + place.count, 0);
		if (!count) return;
		this.#deps.store().run(
			`bought ${found.kind.name}`,
			'takeStandIn',
			found.kind,
			count,
			does.map(({ fit }) => fit),
			this.#deps.now(),
			this.#deps.newId()
		);
		this.#putIn(found.kind, count);
	}

	/** The card as a table for a spreadsheet, one row a kind and place. */
	csv(): string {
		return toCsv(shopCardRows(this.home, this.card));
	}
}
