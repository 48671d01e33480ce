import { activePlan, usesPerWeek, type Group, type Home, type Person } from '../core/model';
import { cardFor, dueFor, knowing, learners, toKnow, type ToKnow } from '../core/upkeep';
import { nextCard } from '../core/upkeep/practice-schedule';
import { assignmentNow } from '../core/zoning';
import type { HomeStore } from './home-store.svelte';

export interface PracticeDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO instant. */
	readonly now: () => string;
}

/** What is asked: where a group lives, or what is in a place. */
export interface Question {
	readonly kind: 'where' | 'what';
	readonly know: ToKnow;
	readonly group: Group;
	/** A thing of it, as one asks in daily life. */
	readonly thing: string;
	/** For `what`: groups to choose from, the right one among them; empty otherwise. */
	readonly choices: readonly Group[];
}
export interface Reply {
	readonly is: 'right' | 'almost' | 'wrong';
	/** What was chosen: a place, or a group. */
	readonly chosen: string;
}
const CHOICES = 4;
const CHOICES_CHILD = 3;

/** Practice of where things live, by person, until everybody knows. */
export class PracticeDesk {
	readonly #deps: PracticeDeps;
	#personId = $state.raw<string | null>(null);
	/** What is asked in this sitting, in order; empty: it has not begun. */
	#queue = $state.raw<readonly ToKnow[]>([]);
	#at = $state.raw(0);
	reply = $state.raw<Reply | null>(null);
	right = $state.raw(0);
	asked = $state.raw(0);

	constructor(deps: PracticeDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	people = $derived.by((): readonly Person[] => learners(this.home));
	person = $derived.by(
		(): Person | null =>
			this.people.find(({ id }) => id === this.#personId) ?? this.people[0] ?? null
	);
	knowing = $derived.by(() => knowing(this.home));
	get isChild(): boolean {
		return this.person?.ageBand === 'child';
	}
	knownOf(personId: string): number {
		return this.knowing.byPerson.find((each) => each.personId === personId)?.known ?? 0;
	}
	/** How many are to be asked of the person at hand now. */
	get dueCount(): number {
		return this.person ? dueFor(this.home, this.person.id, this.#deps.now()).length : 0;
	}
	choosePerson(id: string): void {
		this.#personId = id;
		this.stop();
	}
	get isOn(): boolean {
		return this.#queue.length > 0;
	}
	get isOver(): boolean {
		return this.isOn && this.#at >= this.#queue.length;
	}
	start(): void {
		if (!this.person) return;
		this.#queue = dueFor(this.home, this.person.id, this.#deps.now());
		[this.#at, this.right, this.asked, this.reply] = [0, 0, 0, null];
	}
	stop(): void {
		[this.#queue, this.#at, this.reply] = [[], 0, null];
	}
	question = $derived.by((): Question | null => {
		const know = this.#queue[this.#at];
		const group = know && this.home.groups[know.groupId];
		if (!know || !group) return null;
		const things = Object.values(this.home.things).filter(({ groupId }) => groupId === group.id);
		things.sort((a, b) => usesPerWeek(b) - usesPerWeek(a) || (a.id < b.id ? -1 : 1));
		// Children choose among large tags; others are asked both ways in turn.
		const kind = this.isChild || this.#at % 3 === 2 ? 'what' : 'where';
		return {
			kind,
			know,
			group,
			thing: things[0]?.name ?? group.name,
			choices: kind === 'what' ? this.#choices(know) : []
		};
	});
	/** The right group with others of other places, in an order that does not tell. */
	#choices(know: ToKnow): Group[] {
		const many = this.isChild ? CHOICES_CHILD : CHOICES;
		const others = toKnow(this.home).filter(({ nookId }) => nookId !== know.nookId);
		const start = Math.max(
			0,
			others.findIndex(({ uses }) => uses <= know.uses)
		);
		const picked = Array.from(
			{ length: Math.min(many - 1, others.length) },
			(_, i) => others[(start + i) % others.length]!
		);
		return [...picked, know]
			.flatMap(({ groupId }) => this.home.groups[groupId] ?? [])
			.sort((a, b) => a.name.localeCompare(b.name, 'en'));
	}
	/** Every place in which some of a group lives. */
	#placesOf(groupId: string): ReadonlySet<string> {
		const all = activePlan(this.home)?.assignments ?? assignmentNow(this.home);
		return new Set(all.flatMap((each) => (each.groupId === groupId ? [each.nookId] : [])));
	}

	/** Answers by a tap on a place. */
	answerPlace(nookId: string): void {
		const { question } = this;
		if (!question || this.reply || question.kind !== 'where') return;
		if (this.#placesOf(question.group.id).has(nookId)) return this.#answer('right', nookId);
		const cabinet = (id: string) => this.home.nooks[id]?.cabinetId;
		const isNear = cabinet(nookId) === cabinet(question.know.nookId);
		this.#answer(isNear ? 'almost' : 'wrong', nookId);
	}
	/** Answers by a tap on a tag. */
	answerGroup(groupId: string): void {
		const { question } = this;
		if (!question || this.reply || question.kind !== 'what') return;
		this.#answer(groupId === question.group.id ? 'right' : 'wrong', groupId);
	}
	#answer(is: Reply['is'], chosen: string): void {
		const { question, person } = this;
		if (!question || !person) return;
		this.reply = { is, chosen };
		this.asked++;
		if (is === 'right') this.right++;
		// The right door and the wrong shelf says little: it is asked again in this sitting, and not counted.
		if (is === 'almost') {
			this.#queue = [...this.#queue, question.know];
			return;
		}
		const { groupId, nookId } = question.know;
		const known = cardFor(this.home, person.id, question.know);
		const card = nextCard(known, {
			id: this.#deps.newId(),
			personId: person.id,
			groupId,
			nookId,
			isRight: is === 'right',
			now: this.#deps.now()
		});
		this.#deps.store().run(`practice of ${person.name}`, 'keepCard', card);
		if (is === 'wrong') this.#queue = [...this.#queue, question.know];
	}
	next(): void {
		this.#at++;
		this.reply = null;
	}
}
