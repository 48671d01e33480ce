import { activePlan, type Group, type Home, type ZonePlan } from '../core/model';
import { findHidden, wallsInUse } from '../core/survey';
import type { HelpProgress } from '../workers/help.protocol';
import {
	reviewPlan,
	type Objection,
	assignmentNow,
	brokenRules,
	guardsToAsk,
	contestedPlaces,
	DEFAULT_PLACE,
	freeSpaceOf,
	layoutOf,
	partsAt,
	pricesFor,
	toZonePlan,
	totalsOf,
	writeAssignment,
	roomlessMl,
	whyLeft,
	zoneModelOf,
	type GuardAsked,
	type Contested,
	type Help,
	type Helped,
	type Lift,
	type PlaceProgress,
	type PlaceResult,
	type WhyLeft,
	type ZoneModel
} from '../core/zoning';
import { contestedText, wantedText } from '../messages/helping';
import { droppedText, priceNote, type PriceNote } from '../messages/notes';
import type { HomeStore } from './home-store.svelte';
import { Job, type JobRunner } from './job.svelte';
import { Later, type Afterwards } from './later.svelte';

/** What an organizer would object to in the plan in force. */
function reviewOf(home: Home): readonly Objection[] | null {
	const plan = activePlan(home);
	return plan ? reviewPlan(home, plan) : null;
}

/** So many of the most wanted places are listed. */
const MOST_WANTED = 5;

export interface PlaceDeskDeps {
	readonly store: () => HomeStore;
	readonly runner: JobRunner<PlaceResult, PlaceProgress>;
	readonly helper: JobRunner<readonly Helped[], HelpProgress>;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
	/** Says something in passing. */
	readonly say: (words: string) => void;
	readonly afterwards?: Afterwards;
}
/** A group, or what of it has one place. */
export interface GroupAt {
	readonly groupId: string;
	/** null: what of it has no place. */
	readonly nookId: string | null;
}
/** A tag as it hangs on the drawing. */
export interface Note {
	readonly group: Group;
	/** Only part of the group stands here. */
	readonly part: boolean;
	readonly pinned: boolean;
}

/** How much a place is wanted, as it shows on a wall. */
export interface Heat {
	/** Of the most wanted, 0 to 1. */
	readonly share: number;
	readonly text: string;
	readonly why: string;
}

/**
 * The plan on the walls: what hangs where, what is in hand and what each place would mean for it, and the run of the
 * planner. The planner's view of the home is built after the screen has shown an edit, never before.
 */
export class PlaceDesk {
	readonly job: Job<PlaceResult, PlaceProgress>;
	readonly #deps: PlaceDeskDeps;
	readonly #model: Later<Home, ZoneModel>;
	readonly #review: Later<Home, readonly Objection[] | null>;
	readonly help: Job<readonly Helped[], HelpProgress>;
	#helped = $state.raw<{
		readonly planId: string;
		readonly fingerprint: string;
		readonly list: readonly Helped[];
	} | null>(null);
	/** What is in hand. */
	#held = $state.raw<GroupAt | null>(null);
	/** What is looked at. */
	#looked = $state.raw<{ readonly groupId: string; readonly nookId: string } | null>(null);

	constructor(deps: PlaceDeskDeps) {
		this.#deps = deps;
		this.job = new Job(deps.runner, { bestOf: ({ best }) => best });
		this.help = new Job(deps.helper);
		this.#model = new Later(() => deps.store().home, zoneModelOf, deps.afterwards);
		this.#review = new Later(() => deps.store().home, reviewOf, deps.afterwards);
	}

	get home(): Home {
		return this.#deps.store().home;
	}
	plan = $derived.by((): ZonePlan | undefined => activePlan(this.home));
	walls = $derived.by(() => wallsInUse(this.home));
	/** null until the planner has seen the home. */
	model = $derived.by((): ZoneModel | null => this.#model.value);
	/** Whether the plan was computed from something else; false while that is not known. */
	stale = $derived.by(
		() => !!this.plan && !!this.model && this.plan.fingerprint !== this.model.fingerprint
	);
	#assignments = $derived.by(() => this.plan?.assignments ?? []);
	layout = $derived.by(() => this.model && layoutOf(this.model, this.#assignments));
	#now = $derived.by(() => assignmentNow(this.home));
	/** As things stand: worked out anew only when they, or what they cost, do. */
	#before = $derived.by(() => this.model && totalsOf(this.model, this.#now));
	#after = $derived.by(() => this.model && totalsOf(this.model, this.#assignments));
	/** Groups that stand today where a rule forbids it: what is walked for them is no measure of a plan. */
	#brokenNow = $derived.by((): readonly string[] => {
		if (!this.model) return [];
		const broken = brokenRules(this.model, writeAssignment(this.model, this.#now));
		return [...new Set(broken.map(({ groupId }) => groupId))];
	});
	/** The figures of the whole week: as things stand, and as the plan has them. */
	week = $derived.by(() => {
		const { model, layout } = this;
		if (!model || !layout) return null;
		const broken = this.plan ? brokenRules(model, layout.assignment) : [];
		return {
			before: this.#before!,
			after: this.#after!,
			free: freeSpaceOf(model, layout, this.home.settings.play.fillShare),
			effort: layout.objective,
			brokenNow: this.#brokenNow,
			broken
		};
	});
	/** What an organizer would object to in the plan, worst first; null until a first plan has been read. */
	objections = $derived.by((): readonly Objection[] | null => this.#review.value);
	/** Whether they are of the plan as it stands. */
	get isReviewed(): boolean {
		return this.#review.isFresh;
	}
	/** The tags of each place. */
	notes = $derived.by((): ReadonlyMap<string, readonly Note[]> => {
		const { home } = this;
		const pins = new Set(
			home.pins.flatMap((pin) => (pin.kind === 'pin' ? [`${pin.groupId}/${pin.nookId}`] : []))
		);
		const found = new Map<string, Note[]>();
		for (const { groupId, nookId, share } of this.#assignments) {
			const group = home.groups[groupId];
			if (!group) continue;
			const note = { group, part: share < 0.999, pinned: pins.has(`${groupId}/${nookId}`) };
			const list = found.get(nookId);
			if (list) list.push(note);
			else found.set(nookId, [note]);
		}
		return found;
	});
	/** What has no place, with the reason and the smallest change that would help. */
	left = $derived.by((): readonly { readonly group: Group; readonly why: WhyLeft }[] =>
		this.#why.flatMap((why) => {
			const group = this.home.groups[why.groupId];
			return group ? [{ group, why }] : [];
		})
	);
	/** How much finds no room, ml. */
	leftMl = $derived.by((): number =>
		this.model && this.layout && this.left.length ? roomlessMl(this.model, this.layout) : 0
	);
	#overflow = $derived.by(() => this.plan?.overflow);
	/** Worked out with the model, not with every edit. */
	#why = $derived.by((): readonly WhyLeft[] => {
		const { model, layout } = this;
		if (!model || !layout) return [];
		return (this.#overflow ?? []).flatMap((id) => {
			const g = model.parts.findIndex(
				({ figures }, i) => figures.groupId === id && layout.assignment[i]! < 0
			);
			return g >= 0 ? [whyLeft(model, layout, g)] : [];
		});
	});

	/** Cabinets that need a child catch or a lock, whether there is a plan or not. */
	guardsAsked = $derived.by((): readonly GuardAsked[] =>
		this.model ? guardsToAsk(this.model) : []
	);

	/** The places that others want as the plan stands, the most wanted first. */
	contested = $derived.by((): readonly Contested[] =>
		this.model && this.layout && this.plan && !this.stale
			? contestedPlaces(this.model, this.layout)
			: []
	);
	/** The few that are listed. */
	get mostWanted(): readonly Contested[] {
		return this.contested.slice(0, MOST_WANTED);
	}
	/** Whether the walls show how much each place is wanted. */
	showsWanted = $state(false);
	/** How much each place is wanted, while that is shown and nothing is in hand. */
	heat = $derived.by((): ReadonlyMap<string, Heat> | undefined => {
		if (!this.showsWanted || this.#held) return undefined;
		const most = this.contested[0]?.perLitreM ?? 1;
		return new Map(
			this.contested.map((one) => [
				one.nookId,
				{
					share: one.perLitreM / most,
					text: wantedText(one),
					why: contestedText(one, this.home)
				}
			])
		);
	});

	get held(): GroupAt | null {
		return this.#held;
	}
	get heldGroup(): Group | undefined {
		return this.#held ? this.home.groups[this.#held.groupId] : undefined;
	}
	get looked() {
		return this.#looked && this.home.groups[this.#looked.groupId] ? this.#looked : null;
	}
	/** Other groups in the place that is looked at. */
	get alsoHere(): readonly Group[] {
		const at = this.looked;
		return (at ? (this.notes.get(at.nookId) ?? []) : [])
			.map(({ group }) => group)
			.filter(({ id }) => id !== at?.groupId);
	}
	#heldParts = $derived.by(() => {
		const { model, layout } = this;
		const held = this.#held;
		return held && model && layout ? partsAt(model, layout, held.groupId, held.nookId) : [];
	});
	/** How much of its group is in hand, 0 to 1. */
	heldShare = $derived.by(() =>
		this.#heldParts.reduce((sum, g) => sum + this.model!.parts[g]!.portion, 0)
	);
	#prices = $derived.by(() =>
		this.#heldParts.length ? pricesFor(this.model!, this.layout!, this.#heldParts) : []
	);
	/** While something is in hand: what each place would mean for it. */
	prices = $derived.by((): ReadonlyMap<string, PriceNote> | undefined => {
		const prices = this.#prices;
		if (!this.#held || !prices.length) return undefined;
		// What has no place yet, or one that a rule forbids, is compared with the best that it could have.
		const own = prices.find(({ nookId }) => nookId === this.#held?.nookId);
		const isPlaced = !!own && !own.hard;
		const least = isPlaced
			? 0
			: Math.min(...prices.filter(({ fits }) => fits).map(({ extra }) => extra));
		return new Map(
			prices.map((price) => [
				price.nookId as string,
				priceNote(price, least, isPlaced, this.home.units)
			])
		);
	});

	/** While something is in hand: the best that each wall has for it, by wall. */
	bestOnWall = $derived.by((): ReadonlyMap<string, PriceNote> => {
		const best = new Map<string, PriceNote>();
		const least = new Map<string, number>();
		for (const { nookId, fits, extra } of this.prices ? this.#prices : []) {
			const runId = this.home.cabinets[this.home.nooks[nookId]?.cabinetId ?? '']?.runId;
			if (!runId || !fits || nookId === this.#held?.nookId) continue;
			if (extra >= (least.get(runId) ?? Infinity)) continue;
			least.set(runId, extra);
			best.set(runId, this.prices!.get(nookId)!);
		}
		return best;
	});

	/** Takes a tag in hand, or lets go of it. */
	pick(groupId: string, nookId: string | null): void {
		const isHeld = this.#held?.groupId === groupId && this.#held.nookId === nookId;
		if (nookId) this.#looked = { groupId, nookId };
		this.#held = isHeld ? null : { groupId, nookId };
	}
	/** Takes it in hand, whether it was or not: a drag begins. */
	take(groupId: string, nookId: string): void {
		this.#looked = { groupId, nookId };
		this.#held = { groupId, nookId };
	}
	letGo(): void {
		this.#held = null;
	}
	look(groupId: string, nookId: string): void {
		this.#looked = { groupId, nookId };
	}
	close(): void {
		this.#looked = null;
	}

	/** Puts what is in hand into a place, or looks at the place when nothing is. What breaks a rule is said, and done. */
	drop(nookId: string): void {
		const held = this.#held;
		if (!held) {
			const first = this.notes.get(nookId)?.[0];
			this.#looked = first ? { groupId: first.group.id, nookId } : null;
			return;
		}
		const group = this.home.groups[held.groupId];
		if (!group) return this.letGo();
		const price = this.#prices.find((other) => other.nookId === nookId);
		const breach =
			price && held.nookId !== nookId ? droppedText(group.name, price, this.home.units) : null;
		if (breach) this.#deps.say(breach);
		if (held.nookId !== nookId)
			this.#deps
				.store()
				.run(
					`${group.name} to ${this.home.nooks[nookId]?.name}`,
					'movePart',
					held.groupId,
					held.nookId,
					nookId
				);
		this.#looked = { groupId: held.groupId, nookId };
		this.#held = null;
	}

	/** Pins what is looked at to its place, or rules the place out; a second time takes it back. */
	wish(kind: 'pin' | 'ban'): void {
		const at = this.looked;
		if (!at) return;
		const name =
			kind === 'pin'
				? `pin ${this.home.groups[at.groupId]!.name}`
				: `rule out ${this.home.nooks[at.nookId]!.name}`;
		this.#deps.store().run(name, 'togglePin', at.groupId, at.nookId, kind);
	}

	/** Makes the small change that would open a place to what has none. */
	lift(lift: Lift): void {
		if (lift.code === 'fit-catch') this.fitGuard(lift.cabinetId, 'catch');
		if (lift.code === 'fit-lock') this.fitGuard(lift.cabinetId, 'lock');
		if (lift.code === 'raise-shelf') this.#raiseShelf(lift.nookId, lift.pegs);
	}
	/** A cabinet has a child catch or a lock now. */
	fitGuard(cabinetId: string, guard: 'catch' | 'lock'): void {
		const name = this.home.cabinets[cabinetId]?.name;
		const command = guard === 'lock' ? 'fitLock' : 'fitCatch';
		this.#deps.store().run(`${guard} on ${name}`, command, cabinetId);
	}
	#raiseShelf(nookId: string, pegs: number): void {
		const name = this.home.nooks[nookId]?.name;
		this.#deps.store().run(`shelf over ${name}`, 'raiseShelf', nookId, pegs);
	}

	/** Tries in the worker what would help the plan most; what was found stays until the plan is another. */
	async findHelp(): Promise<void> {
		const plan = this.plan;
		if (!plan) return;
		const basis = () => [this.plan, this.home.cabinets, this.home.nooks] as const;
		const [from, cabinets, nooks] = basis();
		const answer = await this.help.start({ home: this.home });
		const [now, cabinetsNow, nooksNow] = basis();
		if (!answer || now !== from || cabinetsNow !== cabinets || nooksNow !== nooks) return;
		this.#helped = { planId: plan.id, fingerprint: plan.fingerprint, list: answer.result };
	}
	/** What helps, the best first, while it is searched for and after; null: nobody has asked yet. */
	get helped(): readonly Helped[] | null {
		if (this.help.isRunning) return this.help.progress?.found ?? [];
		const found = this.#helped;
		return found && found.planId === this.plan?.id && !this.stale ? found.list : null;
	}
	/** Makes a change that helps; what is let go is only said, since that is decided in Clear. */
	takeHelp(help: Help): void {
		if (help.code === 'catch' || help.code === 'lock') this.fitGuard(help.cabinetId, help.code);
		if (help.code === 'shelf') this.#raiseShelf(help.nookId, help.pegs);
		if (help.code === 'hidden') {
			const place = findHidden(this.home).find(({ key }) => key === help.key);
			if (place)
				this.#deps.store().run(place.where, 'acceptHidden', place, place.loadG, this.#deps.newId());
		}
	}

	/** Runs the planner and adopts its plan; stopped, the best so far. */
	async solve(): Promise<void> {
		this.letGo();
		const answer = await this.job.start({
			home: this.home,
			options: { seed: DEFAULT_PLACE.seed, moves: DEFAULT_PLACE.moves }
		});
		if (!answer) return;
		if (answer.result.status === 'nothing-to-place')
			return this.#deps.say('There is nothing to place: no group holds anything.');
		const plan = toZonePlan(answer.result, this.#deps.newId(), 'Plan', this.#deps.now());
		this.#deps.store().run('zone plan', 'adoptPlan', plan);
	}

	/** Whoever goes elsewhere has not asked for the half-found plan. */
	leave(): void {
		this.job.leave();
		this.help.leave();
		this.#model.leave();
		this.#review.leave();
	}
}
