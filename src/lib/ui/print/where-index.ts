import type { Home } from '$lib/core/model';
import { cutText, INK, SOFT } from '$lib/core/printing';
import { nooksInOrder } from '$lib/core/survey';
import { markedPlaces } from '$lib/core/marking';
import { lotsAt, type HomeState } from '$lib/core/zoning';
import { STATE_WORDS } from '$lib/messages/marking';
import { capital } from '$lib/messages/numbers';
import { frontGeometry } from '../drawing/front-geometry';
import type { Doc } from './doc';

/** A line of the index: what is looked for, and the numbers of the places where it is. */
export interface WhereLine {
	readonly name: string;
	readonly numbers: readonly number[];
}

/** Numbers the places in the order one walks past them, from 1. */
export const numbersOf = (home: Home): ReadonlyMap<string, number> =>
	new Map(nooksInOrder(home).map(({ nook }, i) => [nook.id as string, i + 1]));

/** Everything that can be looked for, by letter, in one state of the home: groups and things. Each name once. */
export function whereLines(home: Home, state: HomeState): WhereLine[] {
	const numbers = numbersOf(home);
	const found = new Map<string, Set<number>>();
	const add = (name: string | undefined, nookId: string | null) => {
		const number = numbers.get(nookId ?? '');
		if (!name || number === undefined) return;
		found.set(name, (found.get(name) ?? new Set()).add(number));
	};
	for (const { nook, groups } of markedPlaces(home, state))
		for (const { name, stockOf } of groups) if (!stockOf) add(name, nook.id);
	for (const { thing, nookId } of lotsAt(home, state)) add(thing.name, nookId);
	return [...found]
		.map(([name, at]) => ({ name, numbers: [...at].sort((a, b) => a - b) }))
		.sort((a, b) => a.name.localeCompare(b.name, 'en', { sensitivity: 'base' }));
}

const MOST_WALL_MM = 95;
const LEAST_NUMBER_MM = 2.4;
/** Draws a wall from the front with the number of each place in it. */
function drawWall(doc: Doc, home: Home, runId: string, numbers: ReadonlyMap<string, number>): void {
	const run = home.runs[runId];
	if (!run) return;
	const { nooks, cabinets } = frontGeometry(home, run);
	const boxes = [
		...cabinets.map(({ x, y, widthMm, heightMm }) => ({ x, y, w: widthMm, h: heightMm })),
		...nooks
	];
	if (!boxes.length) return;
	const left = Math.min(...boxes.map(({ x }) => x));
	const top = Math.min(...boxes.map(({ y }) => y));
	const right = Math.max(...boxes.map(({ x, w }) => x + w));
	const bottom = Math.max(...boxes.map(({ y, h }) => y + h));
	const scale = Math.min(doc.widthMm / (right - left), MOST_WALL_MM / (bottom - top));
	doc.need((bottom - top) * scale + 16);
	doc.heading(run.name);
	const draw = (box: (typeof boxes)[number], lineMm: number) => {
		const at = {
			xMm: doc.leftMm + (box.x - left) * scale,
			yMm: doc.yMm + (box.y - top) * scale,
			widthMm: box.w * scale,
			heightMm: box.h * scale
		};
		doc.add({ kind: 'box', ...at, line: INK, lineMm });
		return at;
	};
	for (const cabinet of boxes.slice(0, cabinets.length)) draw(cabinet, 0.5);
	for (const box of nooks) {
		const { xMm, yMm, widthMm, heightMm } = draw(box, 0.2);
		const sizeMm = Math.max(LEAST_NUMBER_MM, Math.min(6, heightMm * 0.6, widthMm * 0.5));
		doc.add({
			kind: 'text',
			text: String(numbers.get(box.nook.id) ?? ''),
			xMm: xMm + 1,
			yMm: yMm + heightMm / 2 + sizeMm * 0.36,
			sizeMm,
			face: 'bold'
		});
	}
	doc.skip((bottom - top) * scale + 4);
}

const COLUMNS = 3;
const LINE = 3.3;
/** The index in columns, with a letter before each first line of its own. */
function index(doc: Doc, lines: readonly WhereLine[]): void {
	const widthMm = doc.widthMm / COLUMNS;
	const stepMm = LINE * 1.35;
	let at = 0;
	while (at < lines.length) {
		doc.need(stepMm * 4);
		const perColumn = Math.floor(doc.leftOverMm / stepMm);
		const own = lines.slice(at, at + perColumn * COLUMNS);
		const rows = Math.ceil(own.length / COLUMNS);
		own.forEach(({ name, numbers }, i) => {
			const xMm = doc.leftMm + Math.floor(i / rows) * widthMm;
			const yMm = doc.yMm + ((i % rows) + 1) * stepMm;
			const where = numbers.join(', ');
			const letters = cutText(where, widthMm * 0.4, LINE, 'bold');
			doc.add(
				{
					kind: 'text',
					text: cutText(name, widthMm * 0.74, LINE, 'plain'),
					xMm,
					yMm,
					sizeMm: LINE,
					face: 'plain'
				},
				{
					kind: 'text',
					text: letters,
					xMm: xMm + widthMm - 4,
					yMm,
					sizeMm: LINE,
					face: 'bold',
					align: 'right'
				}
			);
		});
		at += own.length;
		doc.skip((rows + 1) * stepMm);
		if (at < lines.length) doc.need(Infinity);
	}
}

/** "Where is it?" on paper: the walls with a number in each place, and everything by letter with its number. */
export function whereIndex(doc: Doc, home: Home, state: HomeState): void {
	doc.begin(
		'Where is it?',
		`${capital(STATE_WORDS[state])}. Look it up from A to Z; the number is in the drawing.`
	);
	const numbers = numbersOf(home);
	// In the order of the numbers.
	for (const id of new Set(nooksInOrder(home).map(({ run }) => run.id)))
		drawWall(doc, home, id, numbers);
	doc.heading('A to Z');
	const lines = whereLines(home, state);
	if (lines.length) index(doc, lines);
	else doc.text('Nothing has a place yet.', { ink: SOFT });
}
