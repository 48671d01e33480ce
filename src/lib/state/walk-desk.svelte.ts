import { applyEdit, formatVolume, type Home, type Run } from '../core/model';
import {
	baseAboveFloorMm,
	CABINET_FORMS_LIST,
	cabinetsOn,
	checkSurvey,
	moveCabinet,
	placeOfNook,
	snapCabinet,
	tapeList,
	usableSpace,
	wallsByFullness
} from '../core/survey';
import type { HomeStore } from './home-store.svelte';

export interface WalkDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
}
/** What is to be shown at first, from an address. */
export interface WalkAsked {
	readonly nookId: string | null;
	readonly cabinetId: string | null;
	readonly runId: string | null;
}

/** The walls: which one is shown, what is chosen on it, what is doubtful, and a cabinet on its way along the wall. */
export class WalkDesk {
	readonly #deps: WalkDeskDeps;
	#nookId = $state.raw<string | null>(null);
	#cabinetId = $state.raw<string | null>(null);
	#runId = $state.raw<string | null>(null);
	/** While a cabinet is dragged: the home with it where it would come to rest. */
	#preview = $state.raw<Home | null>(null);
	#restMm = 0;

	constructor(deps: WalkDeskDeps) {
		this.#deps = deps;
	}

	get home(): Home {
		return this.#deps.store().home;
	}
	/** What is drawn. */
	get drawn(): Home {
		return this.#preview ?? this.home;
	}
	/** The fullest wall first: that is where one begins. */
	runs = $derived.by(() => wallsByFullness(this.home));
	get nook() {
		return this.#nookId ? this.home.nooks[this.#nookId] : undefined;
	}
	/** The cabinet that is chosen itself; undefined while one of its places is. */
	get cabinet() {
		return this.#cabinetId && !this.nook ? this.home.cabinets[this.#cabinetId] : undefined;
	}
	run = $derived.by((): Run | undefined => {
		const own = this.home.cabinets[this.nook?.cabinetId ?? this.cabinet?.id ?? '']?.runId;
		return this.home.runs[own ?? this.#runId ?? ''] ?? this.runs[0];
	});
	get isBare(): boolean {
		return !!this.run && !cabinetsOn(this.home, this.run.id).length;
	}
	/** Sizes that cannot be right, those missing aside. */
	doubts = $derived.by(() => checkSurvey(this.home).filter(({ code }) => code !== 'size-missing'));
	unmeasured = $derived.by(() => tapeList(this.home));
	flagged = $derived.by(
		(): ReadonlySet<string> =>
			new Set([
				...this.unmeasured.map(({ place }) => place.nook.id as string),
				...this.doubts.map(({ nookId }) => nookId)
			])
	);

	/** Shows what an address asks for. */
	open({ nookId, cabinetId, runId }: WalkAsked): void {
		[this.#nookId, this.#cabinetId, this.#runId] = [nookId, cabinetId, runId];
	}
	/** Chooses a place; a second time puts its sheet away. */
	choose(nookId: string): void {
		if (this.#nookId === nookId) return this.close();
		[this.#nookId, this.#cabinetId] = [nookId, null];
	}
	chooseCabinet(cabinetId: string): void {
		const isChosen = this.cabinet?.id === cabinetId;
		[this.#nookId, this.#cabinetId] = [null, isChosen ? null : cabinetId];
	}
	/** Puts the sheet away; the wall stays. */
	close(): void {
		this.#runId = this.run?.id ?? null;
		this.#nookId = this.#cabinetId = null;
	}
	showWall(runId: string): void {
		this.close();
		this.#runId = runId;
	}

	/** A caption for a place: its litres, or that it is to be measured. */
	captionOf(nookId: string): string {
		const place = placeOfNook(this.home, nookId);
		const space = place && usableSpace(place.nook, baseAboveFloorMm(place), this.home.settings);
		return space?.ok ? formatVolume(space.usableMl) : 'measure';
	}

	/** Moves a cabinet along the wall on the drawing alone, drawn to what is near. */
	drag(cabinetId: string, byMm: number): void {
		const from = this.home.cabinets[cabinetId];
		if (!from) return;
		this.#restMm = snapCabinet(this.home, cabinetId, from.offsetMm + byMm).mm;
		this.#preview = applyEdit(this.home, moveCabinet(cabinetId, this.#restMm)).home;
	}
	/** Lets it rest where it is; an id that is not known: nothing comes of the drag. */
	drop(cabinetId: string): void {
		const moved = this.#preview && this.home.cabinets[cabinetId];
		this.#preview = null;
		if (moved) this.#deps.store().run(`move ${moved.name}`, 'moveCabinet', cabinetId, this.#restMm);
	}
	/** Adds a cabinet of a usual form to the wall, and chooses it. */
	add(form: string): void {
		const { run } = this;
		const shape = CABINET_FORMS_LIST.find((entry) => entry.form === form);
		if (!run || !shape) return;
		const before = new Set(Object.keys(this.home.cabinets));
		this.#deps.store().run(`add ${shape.name}`, 'addCabinet', run.id, shape, this.#deps.newId());
		this.#nookId = null;
		this.#cabinetId = Object.keys(this.home.cabinets).find((id) => !before.has(id)) ?? null;
	}
}
