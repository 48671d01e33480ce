/** What part of a line was read as. */
export type ReadField =
	| 'count'
	| 'word'
	| 'name'
	| 'size'
	| 'date'
	| 'state'
	| 'owner'
	| 'place'
	| 'batch'
	| 'price'
	| 'note';

/** A part of a typed line and what it was read as. */
export interface Reading {
	readonly field: ReadField;
	readonly text: string;
}

/**
 * Takes patterns out of a line one after the other and remembers what each part was read as. What is taken leaves a gap
 * of the same length, so that nothing that stood apart is read together.
 */
export class Rest {
	text: string;
	readonly readings: Reading[] = [];

	constructor(text: string) {
		this.text = ` ${text.trim().replace(/\s+/g, ' ')} `;
	}

	/** Finds a pattern without taking it. */
	find(pattern: RegExp): RegExpExecArray | null {
		return pattern.exec(this.text);
	}

	/** Takes what a pattern finds; null: it finds nothing. */
	take(pattern: RegExp, field: ReadField): RegExpExecArray | null {
		const found = this.find(pattern);
		if (found) this.cut(found.index, found[0], field);
		return found;
	}

	cut(at: number, part: string, field: ReadField): void {
		this.readings.push({ field, text: part.trim() });
		const gap = ' '.repeat(part.length);
		this.text = this.text.slice(0, at) + gap + this.text.slice(at + part.length);
	}

	get words(): string[] {
		return this.text.split(/\s+/).filter(Boolean);
	}
}
