import {
	findPlace,
	formatIntake,
	looksLikeCode,
	parseCode,
	parseIntake,
	type CodeFacts,
	type IntakeIssue
} from '../core/clearing';
import type { CodeScanner, ProductDirectory } from '../core/devices';
import { parseQuantity, type NookId } from '../core/model';
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
		// A line that was wiped was another pack's.
		if (!value.trim()) this.#code = null;
	}
	get isCode(): boolean {
		return looksLikeCode(this.text);
	}
	get parsed() {
		return this.text.trim() && !this.isCode
			? parseIntake(this.text, this.#deps.store().home.dateOrder)
			: null;
	}

	/** Books the line, or looks its code up. */
	async enter(): Promise<void> {
		this.wrong = [];
		if (this.isCode) return this.take(this.text);
		const issues = this.#book(this.text, this.#code);
		if (issues.length) this.wrong = issues.map(intakeIssueText);
		else [this.text, this.#code] = ['', null];
	}

	/** Books many lines; those that are not understood are kept in a list. */
	paste(lines: readonly string[]): void {
		const left = lines.flatMap((text): LeftLine[] => {
			const issues = this.#book(text, null);
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
		if (result.ok) await this.take(result.text);
		else this.wrong = [deviceIssueText(result.issue)];
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

	#book(text: string, code: string | null): readonly IntakeIssue[] {
		const store = this.#deps.store();
		const { line, issues } = parseIntake(text, store.home.dateOrder);
		if (issues.length) return issues;
		const place = line.place ? findPlace(store.home, line.place) : null;
		if (place && !place.ok) return [place.issue];
		const nookId = place ? place.nookId : this.#deps.nookId();
		store.run(`enter ${line.name}`, 'takeIn', {
			line,
			nookId,
			thingId: this.#deps.newId(),
			lotId: this.#deps.newId(),
			code,
			today: this.#deps.today()
		});
		const where = nookId ? ` at ${store.home.nooks[nookId]?.name ?? ''}` : ' on the table';
		this.said = `${line.count} ${line.name} entered${where}.`;
		return [];
	}
}
