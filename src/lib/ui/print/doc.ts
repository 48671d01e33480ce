import {
	cutText,
	INK,
	PAPERS,
	RULE,
	SOFT,
	wrapText,
	type Paper,
	type PrintItem,
	type PrintPage
} from '$lib/core/printing';

const MARGIN = 16;
const FOOT = 12;
const BODY = 3.9;
const STEP = 1.4;

/** A column of a row: words, or so many boxes to tick. */
export type Cell = string | { readonly boxes: number };

/** Writes pages from the top down: headings, paragraphs, rows; begins a new page where the last one is full. */
export class Doc {
	readonly #paper: { readonly widthMm: number; readonly heightMm: number };
	readonly #foot: string;
	readonly #pages: { title: string; items: PrintItem[] }[] = [];
	#y = 0;

	constructor(paper: Paper, foot: string) {
		this.#paper = PAPERS[paper];
		this.#foot = foot;
	}
	get widthMm(): number {
		return this.#paper.widthMm - 2 * MARGIN;
	}
	get leftMm(): number {
		return MARGIN;
	}
	get yMm(): number {
		return this.#y;
	}
	get #items(): PrintItem[] {
		return this.#pages.at(-1)!.items;
	}
	/** Room left on the page. */
	get leftOverMm(): number {
		return this.#paper.heightMm - FOOT - MARGIN - this.#y;
	}

	/** Begins a page with a title; it stands in the contents. */
	begin(title: string, under = ''): void {
		this.#pages.push({ title, items: [] });
		this.#y = MARGIN;
		this.text(title, { sizeMm: 7, bold: true, gapMm: 2 });
		if (under) this.text(under, { ink: SOFT, gapMm: 3 });
	}
	/** Makes room; begins a page that goes on with the last one where there is none. */
	need(heightMm: number): void {
		if (this.#pages.length && this.leftOverMm >= heightMm) return;
		this.#pages.push({ title: '', items: [] });
		this.#y = MARGIN;
	}
	add(...items: PrintItem[]): void {
		this.#items.push(...items);
	}
	/** Leaves a gap. */
	skip(mm: number): void {
		this.#y += mm;
	}
	text(
		text: string,
		{
			sizeMm = BODY,
			bold = false,
			ink = INK,
			gapMm = 1
		}: { sizeMm?: number; bold?: boolean; ink?: string; gapMm?: number } = {}
	): void {
		const face = bold ? 'bold' : 'plain';
		for (const line of wrapText(text, this.widthMm, sizeMm, face)) {
			this.need(sizeMm * STEP);
			this.#y += sizeMm;
			this.add({
				kind: 'text',
				text: cutText(line, this.widthMm, sizeMm, face),
				xMm: MARGIN,
				yMm: this.#y,
				sizeMm,
				face,
				ink
			});
			this.#y += sizeMm * (STEP - 1);
		}
		this.#y += gapMm;
	}
	heading(text: string): void {
		this.need(14);
		this.#y += 2;
		this.text(text, { sizeMm: 5, bold: true });
	}
	/** A row of columns, each a share of the width, over a fine line. Words that are too long are cut with dots. */
	row(cells: readonly Cell[], shares: readonly number[], bold = false): void {
		const height = BODY * 1.75;
		this.need(height);
		const face = bold ? 'bold' : 'plain';
		let x = MARGIN;
		cells.forEach((cell, i) => {
			const width = this.widthMm * shares[i]!;
			if (typeof cell === 'string')
				this.add({
					kind: 'text',
					text: cutText(cell, width - 2, BODY, face),
					xMm: x,
					yMm: this.#y + BODY * 1.15,
					sizeMm: BODY,
					face
				});
			else
				for (let b = 0; b < cell.boxes; b++)
					this.add({
						kind: 'box',
						xMm: x + b * 6,
						yMm: this.#y + 0.9,
						widthMm: 4.4,
						heightMm: 4.4,
						line: INK,
						lineMm: 0.25
					});
			x += width;
		});
		this.#y += height;
		this.add({
			kind: 'line',
			fromMm: [MARGIN, this.#y],
			toMm: [MARGIN + this.widthMm, this.#y],
			line: RULE,
			lineMm: 0.1
		});
	}

	/** The pages, with their numbers at the foot, counted from `from`. */
	pages(from = 1): PrintPage[] {
		const { widthMm, heightMm } = this.#paper;
		return this.#pages.map(({ title, items }, i) => {
			const number = `${from + i}`;
			const yMm = heightMm - FOOT;
			return {
				widthMm,
				heightMm,
				title,
				items: [
					...items,
					{ kind: 'text', text: this.#foot, xMm: MARGIN, yMm, sizeMm: 3, face: 'plain', ink: SOFT },
					{
						kind: 'text',
						text: number,
						xMm: widthMm - MARGIN,
						yMm,
						sizeMm: 3,
						face: 'plain',
						ink: SOFT,
						align: 'right'
					}
				]
			};
		});
	}
}

/** Puts parts into one binder: a page of contents with the numbers of the pages, then all of them. */
export function binderOf(
	title: string,
	under: string,
	paper: Paper,
	parts: readonly {
		readonly name: string;
		readonly make: (doc: Doc) => void;
		/** Its pages go in the order of another part: the contents name the first of them alone. */
		readonly isBrief?: boolean;
	}[]
): PrintPage[] {
	const all = new Doc(paper, title);
	const starts: { name: string; at: number; isBrief: boolean }[] = [];
	for (const { name, make, isBrief = false } of parts) {
		const before = all.pages().length;
		make(all);
		if (all.pages().length > before) starts.push({ name, at: before, isBrief });
	}
	const titled = all
		.pages()
		.flatMap((page, i) => (page.title ? [{ title: page.title, at: i }] : []));
	const write = (offset: number): Doc => {
		const doc = new Doc(paper, title);
		doc.begin(title, under);
		doc.skip(4);
		for (const { name, at, isBrief } of starts) {
			doc.heading(isBrief ? `${name}, from page ${at + 1 + offset}` : name);
			if (isBrief) continue;
			const end = starts.find((next) => next.at > at)?.at ?? Infinity;
			for (const page of titled.filter((each) => each.at >= at && each.at < end))
				doc.row([page.title, `${page.at + 1 + offset}`], [0.9, 0.1]);
		}
		return doc;
	};
	// The contents push the rest back by as many pages as they take themselves.
	const offset = write(0).pages().length;
	return [...write(offset).pages(), ...all.pages(offset + 1)];
}
