import {
	containerLabels,
	labelledSections,
	lidLabels,
	lotLabels,
	plainContents,
	sectionLabel,
	zoneLabels,
	fieldsOf,
	imposeLabels,
	isUnprinted,
	LABEL_SHEETS,
	placeLabels,
	sheetIssue,
	type LabelField,
	type LabelPage,
	type LabelPrint,
	type LabelText
} from '../core/marking';
import { MOST_LETTERS, type Home, type LabelSheet } from '../core/model';
import { unprintable } from '../core/printing';
import { fieldText, HAZARD_WORDS } from '../messages/marking';
import { sectionText } from '../messages/turning';
import type { HomeStore } from './home-store.svelte';

export interface MarkDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** Colour of a tag by its hue. */
	readonly inkOf: (hue: number) => string;
	/** Dark modules of the code of a text; null while it is not there yet. */
	readonly codeOf: (text: string) => LabelPrint['code2d'];
	/** Address of a place in this program, or of one lot: there it is taken down. */
	readonly addressOf: (nookId: string, lotId?: string) => string;
}
/** What is labelled. */
export const LABEL_SETS = ['containers', 'places', 'zones', 'lids', 'lots', 'sections'] as const;
export type LabelSet = (typeof LABEL_SETS)[number];
/** What a code on a label holds: nothing, the address of the place here, or its contents in plain words. */
export type CodeKind = 'none' | 'link' | 'words';

/** Labels of a home: their words, what else they say, the sheet they are printed on. */
export class MarkDesk {
	readonly #deps: MarkDeps;
	#set = $state.raw<LabelSet | null>(null);
	#sheetKey = $state(LABEL_SHEETS[0]!.key);
	skip = $state(0);
	/** What else labels say, by set. */
	#fields = $state.raw<Partial<Record<LabelSet, readonly LabelField[]>>>({});
	code = $state<CodeKind>('none');
	/** Only those whose contents changed since their words were said. */
	onlyChanged = $state(false);
	/** Only those that are on no bin yet. */
	onlyUnprinted = $state(false);
	#page = $state(0);
	/** Why the last thing was not done. */
	wrong = $state('');

	constructor(deps: MarkDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	#containers = $derived.by(() => containerLabels(this.home));
	#places = $derived.by(() => placeLabels(this.home));
	/** All sets that have something to label, those for containers and places first. */
	#bySet = $derived.by((): Readonly<Record<LabelSet, readonly LabelText[]>> => ({
		containers: this.#containers,
		places: this.#places,
		zones: zoneLabels(this.home),
		lids: lidLabels(this.home),
		lots: lotLabels(this.home),
		sections: labelledSections(this.home).map((each) =>
			sectionLabel(each, sectionText(each.section))
		)
	}));
	sets = $derived.by(() => LABEL_SETS.filter((set) => this.#bySet[set].length > 0));
	/** Containers, where there are any; else the places. */
	get set(): LabelSet {
		return this.#set ?? (this.#containers.length || !this.#places.length ? this.#first : 'places');
	}
	/** What else the labels of this set say. */
	get fields(): readonly LabelField[] {
		return this.#fields[this.set] ?? [];
	}
	get #first(): LabelSet {
		return LABEL_SETS.find((set) => this.#bySet[set].length) ?? 'places';
	}
	setSet(set: LabelSet): void {
		[this.#set, this.#page] = [set, 0];
	}
	get isEmpty(): boolean {
		return Object.values(this.#bySet).every((labels) => !labels.length);
	}
	/** All labels of the set, those that stay blank too. */
	labels = $derived.by((): readonly LabelText[] => this.#bySet[this.set]);
	/** Those that are on no bin yet, or with other words; none while nothing was printed here. */
	unprinted = $derived.by(() =>
		Object.keys(this.home.printed).length
			? this.labels.filter((label) => isUnprinted(this.home, label))
			: []
	);
	lookAt = $derived.by(() => this.labels.filter(({ lookAt }) => lookAt));
	/** Those that are printed. */
	printed = $derived.by(() =>
		this.labels.filter(
			(label) =>
				!label.bare &&
				(!this.onlyChanged || label.lookAt) &&
				(!this.onlyUnprinted || this.unprinted.includes(label))
		)
	);
	sheets = $derived.by((): readonly LabelSheet[] => [
		...LABEL_SHEETS,
		...this.home.settings.labels.sheets
	]);
	get sheet(): LabelSheet {
		return this.sheets.find(({ key }) => key === this.#sheetKey) ?? LABEL_SHEETS[0]!;
	}
	setSheet(key: string): void {
		[this.#sheetKey, this.#page] = [key, 0];
	}
	#prints = $derived.by((): readonly LabelPrint[] =>
		this.printed.map((label) => ({
			id: label.id,
			title: label.title,
			note: label.note,
			code: label.code,
			ink: this.#deps.inkOf(label.hue),
			hazard: label.hazard ? HAZARD_WORDS[label.hazard] : '',
			fields: fieldsOf(this.home, label, this.fields).map(fieldText),
			code2d: this.code === 'none' ? null : this.#deps.codeOf(this.#codeText(label))
		}))
	);
	#codeText(label: LabelText): string {
		return this.code === 'words'
			? plainContents(this.home, label)
			: this.#deps.addressOf(label.nookId, label.lotId);
	}
	#pagesWith(outlines: boolean): LabelPage[] {
		const { viewingMm, slipXMm, slipYMm } = this.home.settings.labels;
		return imposeLabels(
			this.#prints,
			this.sheet,
			{ skip: this.skip, viewingMm, slipXMm, slipYMm },
			outlines
		);
	}
	/** As they are shown, with the edges of the labels. */
	shown = $derived.by((): readonly LabelPage[] => this.#pagesWith(true));
	/** Remembers what was printed, so that a later sheet can have the new ones alone. */
	notePrinted(): void {
		const labels = this.printed.map(({ id, title }) => [id, title] as const);
		if (labels.some(([id, title]) => this.home.printed[id] !== title))
			this.#deps.store().run('labels printed', 'notePrinted', labels);
	}
	/** As they are printed. */
	pages(): readonly LabelPage[] {
		return this.#pagesWith(false);
	}
	get at(): number {
		return Math.min(this.#page, Math.max(0, this.shown.length - 1));
	}
	goTo(page: number): void {
		this.#page = page;
	}
	/** Titles that cannot be read from so far on these labels. */
	tooLong = $derived.by(() => [
		...new Set(
			this.shown
				.flatMap(({ labels }) => labels)
				.filter(({ title }) => !title.ok)
				.map(({ print }) => print.title)
		)
	]);
	/** Characters that the letters of prints do not have. */
	odd = $derived.by(() =>
		unprintable(this.#prints.map(({ title, note }) => title + note).join(''))
	);

	rename(label: LabelText, text: string): void {
		const words = text.trim();
		if (words === label.title) return;
		if (words.length > MOST_LETTERS) {
			this.wrong = `“${words.slice(0, 40)}…” has ${words.length} letters. A label takes ${MOST_LETTERS}; shorten it.`;
			return;
		}
		this.wrong = '';
		const said = words === label.proposed ? '' : words;
		this.#deps
			.store()
			.run(`label ${words || label.proposed}`, 'nameLabel', label, said, this.#deps.newId());
	}
	/** The words still hold for what is in it now. */
	confirm(label: LabelText): void {
		this.#deps
			.store()
			.run(`label ${label.title}`, 'nameLabel', label, label.title, this.#deps.newId());
	}
	setBare(label: LabelText, bare: boolean): void {
		this.#deps
			.store()
			.run(
				bare ? `leave ${label.title} blank` : `label ${label.title}`,
				'leaveBare',
				label,
				bare,
				this.#deps.newId()
			);
	}
	toggleField(field: LabelField): void {
		const { fields, set } = this;
		const next = fields.includes(field)
			? fields.filter((each) => each !== field)
			: [...fields, field];
		this.#fields = { ...this.#fields, [set]: next };
	}
	setLabels(change: Partial<Home['settings']['labels']>): void {
		const values = Object.values(change).filter((value) => typeof value === 'number');
		if (values.some((value) => !Number.isFinite(value))) return;
		this.#deps.store().run('how labels are printed', 'changeLabels', change);
	}
	/** Adds a sheet of the household's own; what does not lie on its paper is refused. True: it was added. */
	addSheet(sheet: Omit<LabelSheet, 'key'>): boolean {
		const own = { ...sheet, key: this.#deps.newId() };
		const issue = sheetIssue(own);
		const numbers = [own.labelWidthMm, own.labelHeightMm, own.columns, own.rows];
		if (!own.name.trim() || numbers.some((value) => !(value >= 1)) || issue) {
			this.wrong = !own.name.trim()
				? 'The sheet has no name yet.'
				: issue === 'too-wide'
					? `${own.columns} labels of ${own.labelWidthMm} mm do not lie side by side on ${own.widthMm} mm of paper. Measure again, or take fewer.`
					: issue === 'too-high'
						? `${own.rows} labels of ${own.labelHeightMm} mm do not lie one below the other on ${own.heightMm} mm of paper. Measure again, or take fewer.`
						: 'A label needs a width, a height, and at least one column and row.';
			return false;
		}
		this.wrong = '';
		this.setLabels({ sheets: [...this.home.settings.labels.sheets, own] });
		this.setSheet(own.key);
		return true;
	}
}
