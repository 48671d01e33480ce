import { command } from '../core/commands';
import {
	adviseLot,
	advisedVerdict,
	backPlace,
	cutPlace,
	decisionOrder,
	LEAVING,
	onTheTable,
	pastByPlace,
	planTarget,
	tally,
	undecidedLots,
	visitStart,
	type Advice
} from '../core/clearing';
import {
	activePlan,
	lotsIn,
	NookId,
	usesPerWeek,
	type Home,
	type Lot,
	type Thing,
	type Verdict,
	type ZonePlan
} from '../core/model';
import { effectiveDate } from '../core/rotation';
import { nooksInOrder } from '../core/survey';
import {
	keepingCosts,
	layoutOf,
	zoneFingerprint,
	zoneModelOf,
	type KeepingCost
} from '../core/zoning';
import { dateText, VERDICT_WORDS, whenText } from '../messages/clearing';
import type { HomeStore } from './home-store.svelte';
import { Later, type Afterwards } from './later.svelte';

export interface ClearDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** ISO date. */
	readonly today: () => string;
	/** The place to begin at; null: where most is past its date. */
	readonly placeAsked?: string | null;
	/** Whether a thing is looked at on this visit; left out: all are. */
	readonly meant?: (thing: Thing) => boolean;
	/** Whether a piece of advice counts on this visit; left out: all do. */
	readonly heeds?: (advice: Advice) => boolean;
	/** Decisions from this instant on count as made now: when a reset was begun; left out: the visit begins it. */
	readonly since?: string | null;
	readonly afterwards?: Afterwards;
}
/** The value of the choice for stock that stands in no place. */
export const TABLE = 'on-the-table';

/** What is used more often than this a week is kept without asking what it costs. */
const SELDOM = 1;

/** Kept between an edit and the next look. */
const EMPTY: readonly Advice[] = [];

/** The pile of one place: what is to be decided next, what is advised and why, and what was decided. */
export class ClearDesk {
	readonly #deps: ClearDeskDeps;
	/** When the page was opened: what is decided from here on is in the tally, wherever it is. */
	readonly #opened: string;
	readonly #cut: Later<{ home: Home; nookId: string | null }, { over: number; of: number } | null>;
	/** Looked at once a plan: what is decided meanwhile changes little, and the pile must not wait. */
	readonly #keeping: Later<ZonePlan | undefined, ReadonlyMap<string, KeepingCost>>;
	#cutOf: { home: Home; nookId: string | null } = { home: null!, nookId: null };
	#chosen = $state.raw<string | null>(null);
	#picked = $state.raw<string | null>(null);
	/** What goes with the next decision. */
	wantAgain = $state(false);
	avoid = $state(false);
	/** How many of the lot are decided on; null: all. */
	some = $state<number | null>(null);
	/** Where `move` goes: as the plan says, unless another place is chosen. */
	#movePick = $state.raw<string | null>(null);
	/** The last decision when it went against advice: its reason can be given, or not. */
	#against = $state.raw<{ id: string; name: string; words: string } | null>(null);
	/** On a small screen: the advice stands over the pile until it is closed. */
	isRaised = $state(false);

	constructor(deps: ClearDeskDeps) {
		this.#deps = deps;
		this.#opened = deps.since ?? deps.now();
		this.#chosen = deps.placeAsked ?? null;
		this.#cut = new Later(
			() => this.#cutInput(),
			({ home, nookId }) => {
				const cut = nookId ? cutPlace(home, nookId, { stay: new Set(), go: new Set() }) : null;
				if (!cut) return null;
				const kept = new Set(cut.cut.keep);
				const count = (items: typeof cut.wanting) =>
					items.reduce((sum, { lots }) => sum + lots[0]!.pieces, 0);
				return {
					over: count(cut.wanting.filter(({ key }) => !kept.has(key))),
					of: count(cut.wanting)
				};
			},
			deps.afterwards
		);
		this.#keeping = new Later(
			() => activePlan(this.home),
			(plan) => {
				// A plan that is out of date says nothing of this home.
				if (plan?.fingerprint !== zoneFingerprint(this.home)) return new Map();
				const model = zoneModelOf(this.home);
				return keepingCosts(model, layoutOf(model, plan.assignments));
			},
			deps.afterwards
		);
	}
	#cutInput() {
		const { home, nookId } = this;
		if (this.#cutOf.home !== home || this.#cutOf.nookId !== nookId) this.#cutOf = { home, nookId };
		return this.#cutOf;
	}

	get home(): Home {
		return this.#deps.store().home;
	}
	places = $derived.by(() => nooksInOrder(this.home));
	/** How many lots of each place are past their date. */
	past = $derived.by(() => pastByPlace(this.home, this.#deps.today()));
	onTable = $derived.by(() => onTheTable(this.home));
	get atTable(): boolean {
		return this.#chosen === TABLE;
	}
	/** The place at hand; null: the table, or a home without places. */
	nookId = $derived.by((): string | null => {
		if (this.atTable) return null;
		if (this.#chosen && this.home.nooks[this.#chosen]) return this.#chosen;
		let most: { id: string; late: number } | null = null;
		for (const { nook } of this.places) {
			const late = this.past.get(nook.id) ?? 0;
			if (!most || late > most.late) most = { id: nook.id, late };
		}
		return most?.id ?? null;
	});
	nook = $derived.by(() => (this.nookId ? this.home.nooks[this.nookId] : undefined));
	lots = $derived.by((): readonly Lot[] => {
		const lots = lotsIn(this.home, this.nookId);
		const { meant } = this.#deps;
		if (!meant) return lots;
		return lots.filter(({ thingId }) => {
			const thing = this.home.things[thingId];
			return !thing || meant(thing);
		});
	});
	open = $derived.by((): ReadonlySet<string> => {
		const all = undecidedLots(this.home, this.nookId, this.#since, this.#deps.today());
		if (!this.#deps.meant) return new Set(all);
		const own = new Set<string>(this.lots.map(({ id }) => id));
		return new Set([...all].filter((id) => own.has(id)));
	});
	/** When the visit of the place at hand began: a reset's, else by its clock; empty: every decision counts. */
	#since = $derived.by(() => this.#deps.since ?? visitStart(this.home, this.nookId));
	/** What was decided on this visit here, and anywhere since the page was opened. */
	get #made() {
		return Object.values(this.home.decisions).filter(
			({ at, nookId }) =>
				at >= this.#opened || (nookId === this.nookId && this.nookId !== null && at >= this.#since)
		);
	}
	/** All of what stands here is decided. */
	get isDone(): boolean {
		return this.lots.length > 0 && this.open.size === 0;
	}
	/** Begins a new visit of the place at hand: its things are asked about again, and the clock runs. */
	beginAgain(plannedMin: number): void {
		const { nook } = this;
		if (!nook) return;
		this.#deps.store().run(`start on ${nook.name}`, 'startSession', {
			id: this.#deps.newId(),
			nookId: nook.id,
			plannedMin,
			now: this.#deps.now()
		});
	}
	/** What was decided on this visit, by lot. */
	verdicts = $derived.by(
		(): ReadonlyMap<string, Verdict> =>
			new Map(this.#made.map(({ lotId, verdict }) => [lotId, verdict]))
	);
	tally = $derived.by(() => tally(this.home, this.#made));
	/** How many pieces are too many here, and of how many; null: none, or not measured, or not known yet. */
	tooMany = $derived.by(() => {
		const cut = this.#cut.value;
		return cut && cut.over > 0 ? cut : null;
	});
	#advices = $derived.by((): ReadonlyMap<string, readonly Advice[]> => {
		const { home, lots } = this;
		const today = this.#deps.today();
		const overFull = this.tooMany !== null;
		const { heeds = () => true } = this.#deps;
		return new Map(
			lots.flatMap((lot) => {
				const thing = home.things[lot.thingId];
				return thing
					? [[lot.id as string, adviseLot({ home, lot, thing, today, overFull }).filter(heeds)]]
					: [];
			})
		);
	});
	/** What needs a decision most comes first: the strongest advice, then the nearest date. */
	queue = $derived.by((): readonly Lot[] =>
		decisionOrder(
			this.home,
			this.lots,
			(id) => this.open.has(id),
			(id) => {
				const first = this.adviceOn(id)[0];
				return first && !first.overruled ? first.strength : 0;
			}
		)
	);
	current = $derived.by(
		(): Lot | undefined =>
			this.queue.find(({ id }) => id === this.#picked) ??
			this.queue.find(({ id }) => this.open.has(id))
	);
	get thing(): Thing | undefined {
		return this.current && this.home.things[this.current.thingId];
	}
	/** What it costs to keep the thing at hand, where it is seldom used; null: nothing, or not known yet. */
	get keeping(): KeepingCost | null {
		const { thing } = this;
		const cost = thing && usesPerWeek(thing) <= SELDOM ? this.#keeping.value?.get(thing.id) : null;
		return cost ?? null;
	}
	get advice(): readonly Advice[] {
		return this.current ? this.adviceOn(this.current.id) : EMPTY;
	}
	/** What there are no concerns about: it can be kept in one go. */
	plain = $derived.by(() =>
		this.queue.filter(({ id }) => this.open.has(id) && advisedVerdict(this.adviceOn(id)) === 'keep')
	);
	get moveTo(): string {
		return this.#movePick ?? (this.current ? planTarget(this.home, this.current.id) : null) ?? '';
	}
	set moveTo(nookId: string) {
		this.#movePick = nookId;
	}
	get against() {
		return this.#against;
	}

	adviceOn(lotId: string): readonly Advice[] {
		return this.#advices.get(lotId) ?? EMPTY;
	}
	/** Says until when a lot is good. */
	whenOf(lot: Lot): string {
		const thing = this.home.things[lot.thingId];
		const date = thing ? effectiveDate(lot, thing) : null;
		return date ? `${dateText(date.on)}, ${whenText(this.#deps.today(), date.on)}` : 'no date';
	}

	goTo(place: string): void {
		this.#chosen = place;
		this.#picked = null;
		this.isRaised = false;
	}
	pick(lotId: string): void {
		this.#picked = lotId;
		this.isRaised = true;
	}
	close(): void {
		this.isRaised = false;
	}

	/** Decides on the thing at hand; the next comes up by itself. */
	choose(verdict: Verdict): void {
		const { current, thing } = this;
		if (!current || !thing) return;
		// Whoever clears a place stays in it, also when another has more that is past by now.
		this.#stay();
		const first = this.advice[0] ?? null;
		const target = verdict === 'back-stock' ? backPlace(this.home, current.id) : this.moveTo;
		const ids = this.#ids();
		this.#deps.store().run(`${VERDICT_WORDS[verdict].toLowerCase()} ${thing.name}`, 'decide', {
			lotId: current.id,
			verdict,
			advice: first,
			// What leaves but is restocked goes on the list in the same gesture.
			wantAgain: !this.avoid && (this.wantAgain || (LEAVING.has(verdict) && thing.hold !== null)),
			...(this.avoid ? { avoid: true } : {}),
			...(this.some !== null && this.some > 0 ? { count: this.some } : {}),
			toNookId:
				(verdict === 'move' || verdict === 'back-stock') && target ? NookId.parse(target) : null,
			ids,
			now: this.#deps.now()
		});
		this.#against =
			first && !first.overruled && first.verdict !== verdict
				? { id: ids.decision, name: thing.name, words: VERDICT_WORDS[first.verdict] }
				: null;
		this.#picked = this.#movePick = null;
		this.wantAgain = this.avoid = false;
		this.some = null;
		if (!this.current) this.isRaised = false;
	}
	takeAdvice(): void {
		this.choose(advisedVerdict(this.advice));
	}
	/** Keeps all that there are no concerns about. */
	keepPlain(): void {
		const { plain } = this;
		if (!plain.length) return;
		this.#stay();
		const now = this.#deps.now();
		this.#deps.store().runAll(
			`keep ${plain.length} things`,
			plain.map((lot) =>
				command('decide', {
					lotId: lot.id,
					verdict: 'keep',
					advice: this.adviceOn(lot.id)[0] ?? null,
					wantAgain: false,
					toNookId: null,
					ids: this.#ids(),
					now
				})
			)
		);
		this.#picked = null;
	}
	/** Says why the last decision went against the advice; null: no reason. */
	giveReason(reason: string | null): void {
		const last = this.#against;
		if (last && reason)
			this.#deps.store().run(`reason for ${last.name}`, 'changeLeaving', last.id, { reason });
		this.#against = null;
	}
	leave(): void {
		this.#cut.leave();
		this.#keeping.leave();
	}

	#stay(): void {
		if (!this.atTable) this.#chosen = this.nookId;
	}
	#ids() {
		const { newId } = this.#deps;
		return { decision: newId(), event: newId(), rest: newId() };
	}
}
