import {
	buyFirst,
	elsewhereFor,
	fitFingerprint,
	fittable,
	heightLeft,
	keptFits,
	keptOf,
	pastIn,
	standsBehind,
	type Arrangement,
	type ArrangementName,
	type BuyFirst,
	type Elsewhere,
	type FitResult,
	type KeptArrangement,
	type LeftOver,
	type Stood
} from '../core/fitting';
import { activePlan, groupBy, type FitPlan, type Group, type Home, type Nook } from '../core/model';
import { containerLines } from '../core/rotation';
import { nooksInOrder, type NookPlace } from '../core/survey';
import { countText } from '../messages/numbers';
import type { FitAnswer, FitProgress } from '../workers/fit.protocol';
import type { HomeStore } from './home-store.svelte';
import { HandDesk } from './hand-desk.svelte';
import { HolderDesk } from './holder-desk.svelte';
import { Job, type JobRunner } from './job.svelte';

export interface FitDeskDeps {
	readonly store: () => HomeStore;
	readonly runner: JobRunner<FitAnswer, FitProgress>;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** ISO date. */
	readonly today: () => string;
	/** Says something in passing. */
	readonly say: (words: string) => void;
}

/** What did not go in; of what is kept, without the reason. */
export type Over = FitPlan['leftOver'][number] | LeftOver;
/** What was tried for a place, and the kinds that there were to choose from. */
interface Tried {
	readonly kinds: Home['containerKinds'];
	readonly found: FitResult;
}
/** What fitting several places together came to. */
export interface Together {
	readonly fitted: number;
	readonly not: number;
	readonly purchase: NonNullable<FitAnswer['purchase']> | null;
	/** For which places to buy first, were there less to spend. */
	readonly first: readonly BuyFirst[];
}

/**
 * The places of the plan, and what stands how in the one at hand: tried arrangements, the one that is kept, what is to be
 * bought.
 */
export class FitDesk {
	readonly job: Job<FitAnswer, FitProgress>;
	readonly #deps: FitDeskDeps;
	#chosen = $state.raw<string | null>(null);
	#results = $state.raw<ReadonlyMap<string, Tried>>(new Map());
	/** null: the best one. */
	#style = $state.raw<ArrangementName | null>(null);
	#picked = $state.raw<string | null>(null);
	/** Which of what is drawn that is, in order: taken back by undo and fitted anew, it has another id and the same place. */
	#pickedAt: number | null = null;
	/** The place that was fitted by itself when it was come to. */
	#asked: string | null = null;
	/** How far fitting all places is; null: it is not going on. */
	#round = $state.raw<FitProgress | null>(null);
	/** What fitting all together came to; null: not done since the page was opened. */
	#together = $state.raw<Together | null>(null);
	/** Where a thing could stand instead, and of which home. */
	#elsewhere = $state.raw<{
		of: Home;
		nookId: string;
		thingId: string;
		places: readonly Elsewhere[];
	} | null>(null);

	/** Moves by hand what stands in the place at hand. */
	readonly hand: HandDesk;

	/** What holds the groups of the place at hand. */
	readonly holders: HolderDesk;

	constructor(deps: FitDeskDeps) {
		this.#deps = deps;
		this.job = new Job(deps.runner);
		this.hand = new HandDesk({
			home: () => this.home,
			nookId: () => this.nookId,
			stood: () => this.shown,
			keep: (stood) => this.#keepByHand(stood),
			say: deps.say
		});
		this.holders = new HolderDesk({
			store: deps.store,
			nookId: () => this.nookId,
			groups: () => this.groups,
			shown: () => this.shown,
			askAnew: () => this.askAnew()
		});
	}

	/** The home without what is past its date: nothing is fitted for that. */
	#home = $derived.by(() => fittable(this.#deps.store().home, this.#deps.today()));
	get home(): Home {
		return this.#home;
	}
	/** What would be here but is past its date; it is decided on in Clear. */
	past = $derived.by((): readonly string[] => {
		const { home } = this.#deps.store();
		if (!this.nookId) return [];
		const lots = pastIn(home, this.nookId, this.#deps.today());
		return [...new Set(lots.map(({ thingId }) => home.things[thingId]?.name ?? ''))];
	});
	#plan = $derived.by(() => activePlan(this.home));
	planned = $derived.by(
		(): ReadonlySet<string> => new Set((this.#plan?.assignments ?? []).map(({ nookId }) => nookId))
	);
	places = $derived.by((): readonly NookPlace[] =>
		nooksInOrder(this.home).filter(({ nook }) => this.planned.has(nook.id))
	);
	#fits = $derived.by(
		(): ReadonlyMap<string, FitPlan> =>
			new Map(Object.values(this.home.fitPlans).map((fit) => [fit.nookId, fit]))
	);
	/** Places that have no arrangement, or one of something else. */
	open = $derived.by((): readonly string[] =>
		this.places.flatMap(({ nook }) =>
			this.#fits.get(nook.id)?.fingerprint === fitFingerprint(this.home, nook.id) ? [] : [nook.id]
		)
	);
	flagged = $derived.by((): ReadonlySet<string> => new Set(this.open));
	nookId = $derived.by((): string | null =>
		this.#chosen && this.planned.has(this.#chosen) && this.home.nooks[this.#chosen]
			? this.#chosen
			: (this.open[0] ?? this.places[0]?.nook.id ?? null)
	);
	get nook(): Nook | undefined {
		return this.nookId ? this.home.nooks[this.nookId] : undefined;
	}
	groups = $derived.by((): readonly Group[] => {
		const here = (this.#plan?.assignments ?? []).filter(({ nookId }) => nookId === this.nookId);
		return [...new Set(here.map(({ groupId }) => groupId))].flatMap(
			(id) => this.home.groups[id] ?? []
		);
	});
	get kept(): FitPlan | undefined {
		return this.nookId ? this.#fits.get(this.nookId) : undefined;
	}
	/** What is kept was made for something else. */
	get isStale(): boolean {
		return !!this.kept && this.flagged.has(this.nookId!);
	}
	/** What was tried here, of what stands now. */
	result = $derived.by((): FitResult | undefined => {
		const tried = this.nookId ? this.#results.get(this.nookId) : undefined;
		// What there was to choose from has changed: it may be another choice now.
		if (tried?.kinds !== this.home.containerKinds) return undefined;
		const { found } = tried;
		if (!('fingerprint' in found)) return found;
		return found.fingerprint === fitFingerprint(this.home, found.nookId) ? found : undefined;
	});
	arrangements = $derived.by((): readonly Arrangement[] =>
		this.result && 'arrangements' in this.result ? this.result.arrangements : []
	);
	arrangement = $derived.by(
		() => this.arrangements.find(({ name }) => name === this.#style) ?? this.arrangements[0]
	);
	/** Height that stays free over what is being tried, and why. */
	heightLeft = $derived.by(() =>
		this.arrangement && this.nookId ? heightLeft(this.home, this.nookId, this.arrangement) : null
	);
	/** What is drawn: what is being tried, else what is kept. */
	shown = $derived.by(
		(): (Pick<Arrangement, 'placements' | 'standing'> & { leftOver: readonly Over[] }) | null =>
			this.arrangement ?? this.kept ?? null
	);
	/** Containers and rows that one sees less than half of. */
	behind = $derived.by(() =>
		this.shown && this.nookId ? standsBehind(this.home, this.nookId, this.shown) : new Set<string>()
	);
	/** Containers of each kind that are drawn, and how many of them are to be bought. */
	containers = $derived.by(() =>
		[...groupBy(this.shown?.placements ?? [], ({ kindId }) => kindId)].flatMap(([kindId, each]) => {
			const kind = this.home.containerKinds[kindId];
			const buy = this.arrangement?.toBuy.find((line) => line.kindId === kindId)?.count ?? 0;
			return kind ? [{ kind, each, buy }] : [];
		})
	);
	/** Containers that the home still lacks. */
	buying = $derived.by(() =>
		containerLines(this.home).sort((a, b) => a.name.localeCompare(b.name, 'en'))
	);
	get costMinor(): number {
		return this.buying.reduce((sum, line) => sum + (line.priceMinor ?? 0) * line.buy, 0);
	}
	/** Goes to another place; one that holds no group in the plan is said to. */
	goTo(nookId: string): void {
		if (!this.planned.has(nookId))
			return this.#deps.say(`${this.home.nooks[nookId]?.name} holds no group in the plan.`);
		this.#chosen = nookId;
		this.#style = null;
		this.#picked = null;
		this.#pickedAt = null;
		this.#asked = null;
	}
	try(name: ArrangementName): void {
		this.#style = name;
	}

	/** Fits the place at hand, if there is nothing of it to show. */
	async showSomething(): Promise<void> {
		const { nookId } = this;
		if (!nookId || this.result || (this.kept && !this.isStale) || this.job.isRunning) return;
		// Asked once a place: what failed is not asked again and again.
		if (this.#asked === nookId) return;
		this.#asked = nookId;
		await this.fit(true);
	}
	/** What is to be held otherwise is fitted anew at once. */
	askAnew(): void {
		this.#asked = null;
		void this.showSomething();
	}
	/** Fits the place at hand; the answer is that place's, whichever is looked at when it comes. */
	async fit(keepsPicked = false): Promise<void> {
		const id = this.nookId;
		if (!id) return;
		this.#style = null;
		if (!keepsPicked) this.#pickedAt = null;
		// It stays in hand, also when it is no longer the first of those that are open.
		this.#chosen = id;
		const kinds = this.home.containerKinds;
		const found = await this.#run(id);
		if (found) this.#results = new Map(this.#results).set(id, { kinds, found });
	}
	/** Keeps the arrangement that is shown. */
	keep(): void {
		const { arrangement, result } = this;
		if (arrangement && result && 'fingerprint' in result)
			this.#keep(result.nookId, keptOf(arrangement), result.fingerprint);
	}
	/** What is bought is to be chosen again for the whole home: it goes by another budget, price or stock, or is over the budget. */
	get isPurchaseOpen(): boolean {
		const { budgetMinor } = this;
		const isOver = budgetMinor !== null && this.costMinor > budgetMinor;
		return this.#fits.size > 0 && (isOver || this.home.settings.purchaseOpen);
	}
	/** The places that are fitted together: all, where the purchase is open again, else those without an arrangement. */
	get toFit(): readonly string[] {
		return this.isPurchaseOpen ? this.places.map(({ nook }) => nook.id) : this.open;
	}
	/** What the budget leaves for some places, when the others keep what they have; null: no ceiling. */
	#leftFor(ids: readonly string[]): number | null {
		const { home, budgetMinor } = this;
		if (budgetMinor === null) return null;
		const own = new Set(ids);
		const others = Object.entries(home.fitPlans).filter(([, { nookId }]) => !own.has(nookId));
		const lines = containerLines({ ...home, fitPlans: Object.fromEntries(others) });
		const spent = lines.reduce((sum, line) => sum + (line.priceMinor ?? 0) * line.buy, 0);
		return Math.max(0, budgetMinor - spent);
	}
	/** Fits what is to be fitted together: they share what the house has, and what is bought is chosen for the whole home. */
	async fitAll(): Promise<void> {
		const ids = this.toFit;
		if (!ids.length) return;
		this.#together = null;
		this.#round = { done: 0, of: ids.length };
		const kinds = this.home.containerKinds;
		const answer = await this.#ask(ids);
		this.#round = null;
		if (!answer) return;
		const found = answer.results;
		const isTooDear = answer.purchase?.status === 'too-dear';
		const kept = isTooDear ? [] : keptFits(found);
		// What is kept is shown as kept; what could not be says why.
		const results = new Map(this.#results);
		for (const result of found)
			if ('arrangements' in result) results.delete(result.nookId);
			else results.set(result.nookId, { kinds, found: result });
		this.#results = results;
		this.#together = {
			fitted: kept.length,
			not: ids.length - kept.length,
			purchase: answer.purchase,
			first: isTooDear ? [] : buyFirst(found)
		};
		if (!kept.length) return;
		this.#deps
			.store()
			.run(
				`fit ${countText(kept.length, 'place')}`,
				'keepArrangements',
				kept,
				this.#deps.now(),
				this.#deps.newId()
			);
	}
	/** How far fitting all places together is; null: it is not going on. */
	get round(): FitProgress | null {
		return this.#round && (this.job.progress ?? this.#round);
	}
	get together(): Together | null {
		return this.#together;
	}

	/** Places of which something did not go in, as kept, the most first. */
	overs = $derived.by(() =>
		this.places
			.flatMap(({ nook }) => {
				const fit = this.#fits.get(nook.id);
				return fit?.leftOver.length && !this.flagged.has(nook.id)
					? [
							{
								nook,
								over: fit.leftOver,
								volumeMl: fit.leftOver.reduce((s, o) => s + o.volumeMl, 0)
							}
						]
					: [];
			})
			.sort((a, b) => b.volumeMl - a.volumeMl)
	);

	/** Looks where a thing that did not go in could stand instead. */
	lookElsewhere(thingId: string): void {
		const { nookId, home } = this;
		if (nookId)
			this.#elsewhere = {
				of: home,
				nookId,
				thingId,
				places: elsewhereFor(home, { nookId, thingId })
			};
	}
	/** What was found for a thing of this place, of the home as it stands; undefined: not looked at. */
	elsewhere(thingId: string): readonly Elsewhere[] | undefined {
		const found = this.#elsewhere;
		const isOf = found?.of === this.home && found.nookId === this.nookId;
		return isOf && found.thingId === thingId ? found.places : undefined;
	}
	/** Puts a thing into another place of the plan; both are to be fitted again. */
	putElsewhere(thingId: string, nookId: string): void {
		if (!this.nookId) return;
		const { things, nooks } = this.home;
		this.#deps
			.store()
			.run(
				`move ${things[thingId]?.name} to ${nooks[nookId]?.name}`,
				'moveThing',
				thingId,
				this.nookId,
				nookId
			);
	}

	/** Something that is to stand in the place at hand is too tall for it. */
	get isTooLow(): boolean {
		return !!this.shown?.leftOver.some(
			(over) => 'tooLarge' in over && over.tooLarge?.side === 'height'
		);
	}

	/** Containers and rows that are drawn, in order. */
	#parts = $derived.by(() => [...(this.shown?.placements ?? []), ...(this.shown?.standing ?? [])]);
	/** The container or row that was tapped, of what is drawn. */
	picked = $derived.by(() => {
		if (this.#picked === null) return undefined;
		const own = this.#parts.find(({ id }) => id === this.#picked);
		return own ?? (this.#pickedAt === null ? undefined : this.#parts[this.#pickedAt]);
	});
	/** Shows what is in a container; tapped again it is hidden. */
	pick(partId: string): void {
		const isOff = this.picked?.id === partId;
		this.#picked = isOff ? null : partId;
		this.#pickedAt = isOff ? null : this.#parts.findIndex(({ id }) => id === partId);
	}

	/** What containers may cost in all. */
	setBudget(budgetMinor: number | null): void {
		this.#deps.store().run('the budget', 'setBudget', budgetMinor);
	}
	get budgetMinor(): number | null {
		return this.home.settings.budgetMinor;
	}
	leave(): void {
		this.#round = null;
		this.job.leave();
	}

	async #run(nookId: string): Promise<FitResult | null> {
		return (await this.#ask([nookId]))?.results[0] ?? null;
	}
	async #ask(nookIds: readonly string[]): Promise<FitAnswer | null> {
		const { home } = this;
		const settings = { ...home.settings, budgetMinor: this.#leftFor(nookIds) };
		const answer = await this.job.start({ home: { ...home, settings }, options: { nookIds } });
		return answer?.result ?? null;
	}
	/** Keeps what stands here as it was moved by hand, with what goes in and what it costs as before. */
	#keepByHand({ placements, standing }: Stood): void {
		const { nookId, arrangement, kept, result } = this;
		if (!nookId) return;
		const tried = arrangement && result && 'fingerprint' in result ? result.fingerprint : null;
		const base = arrangement ? keptOf(arrangement) : kept;
		const fingerprint = tried ?? kept?.fingerprint;
		if (!base || fingerprint === undefined) return;
		const at = this.#parts.findIndex(({ id }) => id === this.picked?.id);
		const { leftOver, costMinor } = base;
		this.#keep(nookId, { placements, standing, leftOver, costMinor }, fingerprint);
		// What is kept has ids of its own: what was picked is the one in its place.
		this.#picked = this.#parts[at]?.id ?? null;
		this.#pickedAt = at < 0 ? null : at;
	}
	#keep(nookId: string, arrangement: KeptArrangement, fingerprint: string): void {
		// Taken back by undo, the place is fitted anew.
		this.#asked = null;
		this.#deps
			.store()
			.run(
				`fit ${this.home.nooks[nookId]?.name}`,
				'keepArrangement',
				nookId,
				arrangement,
				fingerprint,
				this.#deps.now(),
				this.#deps.newId()
			);
		const results = new Map(this.#results);
		results.delete(nookId);
		this.#results = results;
	}
}
