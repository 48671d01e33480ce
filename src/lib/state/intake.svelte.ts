import {
	DATE_FIELDS,
	findPlace,
	formatIntake,
	kindFor,
	looksLikeCode,
	parseCode,
	parseIntake,
	sinceAsked,
	splitItems,
	withSince,
	type CodeFacts,
	type DateKind,
	type IntakeContext,
	type IntakeIssue,
	type IntakeLine,
	type IntakeResult,
	type Since
} from '../core/clearing';
import type { CodeScanner, ProductDirectory } from '../core/devices';
import type { Kind } from '../core/kinds';
import { categoryOf, parseQuantity, type LotState, type NookId } from '../core/model';
import { codeIssueText, intakeIssueText } from '../messages/clearing';
import { deviceIssueText } from '../messages/devices';
import type { HomeStore } from './home-store.svelte';

export interface IntakeDeps {
	readonly store: () => HomeStore;
	/** The place at hand; null: the table. */
	readonly nookId: () => NookId | null;
	readonly scanner: CodeScanner;
	readonly directory: ProductDirectory;
	readonly today: () => string;
	readonly newId: () => string;
}
/** A pasted line that was not understood, kept until it is put right or thrown away. */
export interface LeftLine {
	readonly text: string;
	readonly wrong: string;
}

/** What a person changed by hand of what was read, before it is booked. */
interface Fixes {
	/** Category by hand. */
	readonly category?: string;
	/** Kinds of dates by hand, by their place among those that were read; null: no date at all. */
	readonly dates?: Readonly<Record<number, DateKind | null>>;
	/** States that are not so. */
	readonly notStates?: readonly LotState[];
	/** Since when it is open or cooked. */
	readonly since?: Since;
}
/** What was read of the line, with what was changed by hand. */
export interface Understood extends IntakeResult {
	/** Whether its kind was said by hand. */
	readonly kindByHand: boolean;
	/** The day that it lacks to be used in time, whether said by now or not; null: none. */
	readonly asksSince: 'opened' | 'made' | null;
}
/** What was booked last, to be looked at and put right. */
export interface Booked {
	readonly lotId: string;
	readonly thingId: string;
	readonly name: string;
}

/** A line with its dates put where their kinds say. */
function withDates(
	line: IntakeLine,
	dates: IntakeResult['dates'],
	kinds: NonNullable<Fixes['dates']>
): IntakeLine {
	const changed: { -readonly [Key in keyof IntakeLine]: IntakeLine[Key] } = {
		...line,
		printed: null,
		openedOn: null,
		frozenOn: null,
		thawedOn: null,
		madeOn: null,
		lastUsedOn: null
	};
	for (const [i, { on, kind: read }] of dates.entries()) {
		const kind = kinds[i] === undefined ? read : kinds[i];
		if (kind === 'use-by' || kind === 'best-before') changed.printed ??= { on, kind };
		else if (kind) changed[DATE_FIELDS[kind]] ??= on;
	}
	return changed;
}

/**
 * The entry line: what stands in it, what is understood of it, and what was wrong. A line is booked whole or not at
 * all, and one that is refused stays; a code is looked up and becomes a line to be confirmed.
 */
export class Intake {
	#text = $state('');
	/** Said once something is booked or read. */
	said = $state('');
	/** Why the last try was refused. */
	wrong = $state.raw<readonly string[]>([]);
	left = $state.raw<readonly LeftLine[]>([]);
	last = $state.raw<Booked | null>(null);
	#fixes = $state.raw<Fixes>({});
	busy = $state(false);
	/** Number of the pack at hand, remembered with the thing when its line is booked. */
	#code: string | null = null;
	/** Counts look-ups: an answer that comes after another was asked for is nobody's any more. */
	#asked = 0;
	readonly #deps: IntakeDeps;

	constructor(deps: IntakeDeps) {
		this.#deps = deps;
	}

	get text(): string {
		return this.#text;
	}
	set text(value: string) {
		this.#text = value;
		// A line that was wiped was another pack's, and what was put right of it too.
		if (!value.trim()) [this.#code, this.#fixes] = [null, {}];
	}
	get isCode(): boolean {
		return looksLikeCode(this.text);
	}
	get parsed(): Understood | null {
		return this.text.trim() && !this.isCode ? this.#read(this.text, this.#fixes) : null;
	}
	/** The things on the line, where it names several. */
	get items(): readonly string[] {
		return this.isCode ? [] : splitItems(this.text, this.#context);
	}
	/** Says of what kind the thing on the line is. */
	setKind(category: string): void {
		this.#fixes = { ...this.#fixes, category };
	}
	/** Says what a date on the line is of; null: it is none. */
	setDateKind(index: number, kind: DateKind | null): void {
		this.#fixes = { ...this.#fixes, dates: { ...this.#fixes.dates, [index]: kind } };
	}
	/** What a date of the line is of, with what was said by hand; null: it is none. */
	dateKind(index: number, read: DateKind): DateKind | null {
		const said = this.#fixes.dates?.[index];
		return said === undefined ? read : said;
	}
	/** Takes a state away that the thing is not in. */
	dropState(state: LotState): void {
		this.#fixes = { ...this.#fixes, notStates: [...(this.#fixes.notStates ?? []), state] };
	}

	/** Says since when the thing on the line is open, or when it was cooked. */
	setSince(since: Since): void {
		this.#fixes = { ...this.#fixes, since };
	}
	get since(): Since | null {
		return this.#fixes.since ?? null;
	}

	get #context(): IntakeContext {
		const { dateOrder: order, readings } = this.#deps.store().home;
		return { order, today: this.#deps.today(), readings };
	}
	#read(text: string, fixes: Fixes): Understood {
		const read = parseIntake(text, this.#context);
		const dated = fixes.dates ? withDates(read.line, read.dates, fixes.dates) : read.line;
		const states = dated.states.filter((state) => !fixes.notStates?.includes(state));
		const kind: Kind = fixes.category ? this.#kindByHand(read, fixes.category) : read.kind;
		const line = { ...dated, states, category: fixes.category ?? read.line.category };
		return {
			...read,
			line: fixes.since ? withSince(line, fixes.since, this.#deps.today()) : line,
			asksSince: sinceAsked(line),
			kind,
			kindByHand: fixes.category !== undefined
		};
	}
	#kindByHand({ line, kind }: IntakeResult, code: string): Kind {
		const row = categoryOf(code);
		const known = kindFor(line.name, line.countWord);
		return known.category === code
			? { ...known, sure: true, choices: [] }
			: {
					...kind,
					category: code,
					sure: true,
					choices: [],
					hazards: row.hazards,
					needs: row.needs
				};
	}

	/** Books the line, or looks its code up. */
	async enter(): Promise<void> {
		this.wrong = [];
		if (this.isCode) return this.take(this.text);
		const { items } = this;
		if (items.length > 1) {
			[this.text, this.#code] = ['', null];
			return this.paste(items);
		}
		const issues = this.#book(this.text, this.#code, this.#fixes);
		if (issues.length) this.wrong = issues.map(intakeIssueText);
		else [this.text, this.#code] = ['', null];
	}

	/** Books many lines; those that are not understood are kept in a list. */
	paste(pasted: readonly string[]): void {
		const lines = pasted.flatMap((line) => splitItems(line, this.#context));
		const left = lines.flatMap((text): LeftLine[] => {
			const issues = this.#book(text, null, {});
			return issues.length ? [{ text, wrong: issues.map(intakeIssueText).join(' ') }] : [];
		});
		this.left = [...this.left, ...left];
		this.said = `${lines.length - left.length} of ${lines.length} lines entered.`;
	}

	/** Takes a kept line back into the entry line, to be put right. */
	correct(index: number): void {
		const line = this.left[index];
		if (!line) return;
		this.text = line.text;
		this.drop(index);
	}
	drop(index: number): void {
		this.left = this.left.filter((_, i) => i !== index);
	}

	/** Lets the scanner read a pack. */
	async scan(): Promise<void> {
		this.wrong = [];
		this.busy = true;
		const result = await this.#deps.scanner.scan();
		this.busy = false;
		if (result.ok) {
			await this.take(result.text);
			if (result.invented && this.said)
				this.said = `${this.said} It comes from the stand-in scanner, whose products are invented.`;
		} else this.wrong = [deviceIssueText(result.issue)];
	}

	/** Takes a code: reads it, looks the product up, and makes a line of it. */
	async take(code: string): Promise<void> {
		const read = parseCode(code);
		if (!read.ok) {
			this.wrong = [codeIssueText(read.issue)];
			return;
		}
		const { facts } = read;
		this.#code = facts.gtin;
		const known = facts.gtin ? this.#known(facts.gtin) : null;
		if (known || !facts.gtin) return this.#propose(facts, known ?? '', '');
		this.busy = true;
		const typed = this.text;
		const asked = ++this.#asked;
		const found = await this.#deps.directory.find(facts.gtin);
		if (asked !== this.#asked) return;
		this.busy = false;
		if (this.text !== typed) {
			// Somebody went on typing: what they wrote is not written over, and the number is not theirs.
			this.#code = null;
			this.said = 'The number was looked up meanwhile. Scan it again for its line.';
		} else if (!found.ok) {
			this.#propose(facts, '', '');
			this.wrong = [deviceIssueText(found.issue)];
		} else if (found.product) this.#propose(facts, found.product.name, found.product.size);
		else {
			this.#propose(facts, '', '');
			this.said =
				'That number is valid but not in the directory. Type what it is; the number is kept with it.';
		}
	}

	#known(gtin: string): string | null {
		const things = Object.values(this.#deps.store().home.things);
		return things.find((thing) => thing.code?.padStart(14, '0') === gtin)?.name ?? null;
	}

	#propose(facts: CodeFacts, name: string, size: string): void {
		const pack = parseQuantity(size);
		this.text = formatIntake({
			count: facts.count ?? 1,
			countWord: '',
			name,
			size: facts.massG ? { value: facts.massG, unit: 'g' } : pack.ok ? pack.quantity : null,
			printed: facts.useBy
				? { on: facts.useBy, kind: 'use-by' }
				: facts.bestBefore
					? { on: facts.bestBefore, kind: 'best-before' }
					: null,
			openedOn: null,
			frozenOn: null,
			thawedOn: null,
			madeOn: null,
			lastUsedOn: null,
			states: [],
			owner: '',
			place: '',
			batch: facts.batch ?? '',
			priceMinor: null,
			category: null
		});
		if (name) this.said = `Read: ${name}. Enter books it.`;
	}

	#book(text: string, code: string | null, fixes: Fixes): readonly IntakeIssue[] {
		const store = this.#deps.store();
		const { line, issues, unread, kindByHand } = this.#read(text, fixes);
		if (issues.length) return issues;
		const place = line.place ? findPlace(store.home, line.place) : null;
		if (place && !place.ok) return [place.issue];
		const nookId = place ? place.nookId : this.#deps.nookId();
		const [thingId, lotId] = [this.#deps.newId(), this.#deps.newId()];
		store.run(`enter ${line.name}`, 'takeIn', {
			line,
			nookId,
			thingId,
			lotId,
			code,
			told: kindByHand,
			today: this.#deps.today()
		});
		const where = nookId ? ` at ${store.home.nooks[nookId]?.name ?? ''}` : ' on the table';
		const lot = store.home.lots[lotId];
		this.last = lot ? { lotId, thingId: lot.thingId, name: line.name } : null;
		const lost = unread.length ? ` Not understood: ${unread.join(' ')}.` : '';
		this.said = `${line.count} ${line.name} entered${where}.${lost}`;
		return [];
	}
}
