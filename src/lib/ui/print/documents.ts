import { activePlan, type Cabinet, type Home } from '$lib/core/model';
import { hazardOf, markedPlaces, type Marked } from '$lib/core/marking';
import { cutText, INK, RULE, SOFT, type Paper, type PrintPage } from '$lib/core/printing';
import { medicinesOf, picksOf, portionsIn, shoppingList, useFirst } from '$lib/core/rotation';
import { cabinetsInOrder, climateOf, tapeList } from '$lib/core/survey';
import { lotsAt, type HomeState } from '$lib/core/zoning';
import { dateText } from '$lib/messages/clearing';
import { HAZARD_WORDS, NOT_GIVEN_WORDS, STATE_WORDS, tapeText } from '$lib/messages/marking';
import { countText } from '$lib/messages/numbers';
import { homeReport } from '$lib/messages/report';
import { amountText } from '$lib/messages/turning';
import { frontGeometry } from '../drawing/front-geometry';
import { binderOf, Doc } from './doc';
import { whereIndex } from './where-index';

/** The prints of a home, by name. */
export const DOCUMENTS = [
	'binder',
	'door-maps',
	'where',
	'notes',
	'freezer',
	'use-first',
	'shopping',
	'medicines',
	'report',
	'tape'
] as const;
export type DocumentKind = (typeof DOCUMENTS)[number];

/** Names of the groups that live in each place, by its id. */
const namesIn = (places: readonly Marked[]): ReadonlyMap<string, readonly string[]> =>
	new Map(places.map(({ nook, groups }) => [nook.id, groups.map(({ name }) => name)]));

const MOST_MAP_MM = 150;
/** Draws a cabinet from the front to scale, with what lives behind its door. */
function drawCabinet(
	doc: Doc,
	home: Home,
	cabinet: Cabinet,
	groups: ReadonlyMap<string, readonly string[]>
): void {
	const run = home.runs[cabinet.runId];
	if (!run) return;
	const geometry = frontGeometry(home, run);
	const body = geometry.cabinets.find(({ id }) => id === cabinet.id);
	if (!body) return;
	const boxes = geometry.nooks.filter(({ nook }) => nook.cabinetId === cabinet.id);
	const top = Math.min(body.y, ...boxes.map(({ y }) => y));
	const bottom = Math.max(body.y + body.heightMm, ...boxes.map(({ y, h }) => y + h));
	const left = Math.min(body.x, ...boxes.map(({ x }) => x));
	const right = Math.max(body.x + body.widthMm, ...boxes.map(({ x, w }) => x + w));
	const scale = Math.min(doc.widthMm / (right - left), MOST_MAP_MM / (bottom - top));
	doc.need((bottom - top) * scale + 6);
	const x = (value: number) => doc.leftMm + (value - left) * scale;
	const y = (value: number) => doc.yMm + (value - top) * scale;
	doc.add({
		kind: 'box',
		xMm: x(body.x),
		yMm: y(body.y),
		widthMm: body.widthMm * scale,
		heightMm: body.heightMm * scale,
		line: INK,
		lineMm: 0.6
	});
	for (const { nook, x: bx, y: by, w, h } of boxes) {
		const width = w * scale;
		const height = h * scale;
		doc.add({
			kind: 'box',
			xMm: x(bx),
			yMm: y(by),
			widthMm: width,
			heightMm: height,
			line: INK,
			lineMm: 0.25
		});
		const names = groups.get(nook.id) ?? [];
		const size = Math.max(2.4, Math.min(4.2, height / (names.length + 1.6)));
		const lines = names.slice(0, Math.max(1, Math.floor(height / (size * 1.25)) - 1));
		lines.forEach((name, i) =>
			doc.add({
				kind: 'text',
				text: cutText(name, width - 3, size, 'bold'),
				xMm: x(bx) + 1.5,
				yMm: y(by) + size * 1.2 + i * size * 1.25,
				sizeMm: size,
				face: 'bold'
			})
		);
		if (!names.length && height > 4)
			doc.add({
				kind: 'text',
				text: cutText('free', width - 3, 3),
				xMm: x(bx) + 1.5,
				yMm: y(by) + 4,
				sizeMm: 3,
				face: 'plain',
				ink: SOFT
			});
	}
	doc.skip((bottom - top) * scale + 4);
}

function doorMaps(doc: Doc, home: Home, state: HomeState, withStock: boolean): void {
	const places = markedPlaces(home, state);
	const things = new Map(places.map(({ nook, things }) => [nook.id as string, things]));
	const groups = namesIn(places);
	const hazards = new Map(places.map((each) => [each.nook.id as string, hazardOf(home, each)]));
	for (const { cabinet, room, nooks } of cabinetsInOrder(home)) {
		if (!nooks.some(({ id }) => groups.has(id))) continue;
		doc.begin(cabinet.name, `${room.name}, ${STATE_WORDS[state]}`);
		drawCabinet(doc, home, cabinet, groups);
		const danger = [...new Set(nooks.flatMap(({ id }) => hazards.get(id) ?? []))];
		for (const hazard of danger) doc.text(HAZARD_WORDS[hazard], { bold: true });
		for (const nook of nooks) {
			const names = groups.get(nook.id) ?? [];
			if (!names.length) continue;
			doc.heading(`${nook.name}: ${names.join(', ')}`);
			if (!withStock) continue;
			const held = [...new Set(things.get(nook.id)?.map(({ name }) => name))];
			if (held.length) doc.text(held.join(', '), { ink: SOFT });
		}
	}
}

const NOTE = { widthMm: 56, heightMm: 38 };
const NOTE_GAP = 4;
/** Notes to cut out and stick on the doors while the plan is tried: one for each group in a place, a page per cabinet. */
function doorNotes(doc: Doc, home: Home): void {
	const places = new Map(markedPlaces(home).map((each) => [each.nook.id as string, each]));
	const perRow = Math.floor((doc.widthMm + NOTE_GAP) / (NOTE.widthMm + NOTE_GAP));
	for (const { cabinet, room, nooks } of cabinetsInOrder(home)) {
		const notes = nooks.flatMap((nook) =>
			(places.get(nook.id)?.groups ?? []).map((group) => ({ nook, group }))
		);
		if (!notes.length) continue;
		doc.begin(`Notes: ${cabinet.name}`, room.name);
		for (let i = 0; i < notes.length; i += perRow) {
			doc.need(NOTE.heightMm + NOTE_GAP);
			const yMm = doc.yMm;
			notes.slice(i, i + perRow).forEach(({ nook, group }, column) => {
				const xMm = doc.leftMm + column * (NOTE.widthMm + NOTE_GAP);
				const text = (words: string, down: number, sizeMm: number, face: 'bold' | 'plain') =>
					doc.add({
						kind: 'text',
						text: cutText(words, NOTE.widthMm - 8, sizeMm, face),
						xMm: xMm + 4,
						yMm: yMm + down,
						sizeMm,
						face
					});
				doc.add({ kind: 'box', xMm, yMm, ...NOTE, line: RULE, lineMm: 0.2 });
				text(group.tag.code, 10, 7, 'bold');
				text(group.name, 20, 5.4, 'bold');
				text(nook.name, 28, 3.6, 'plain');
			});
			doc.skip(NOTE.heightMm + NOTE_GAP);
		}
	}
}

const MOST_BOXES = 10;
/** A sheet for the lid of each freezer: what is in it, with boxes to tick as it is taken. */
function freezerSheets(doc: Doc, home: Home, today: string, state: HomeState): void {
	const at = lotsAt(home, state);
	for (const { cabinet, room, nooks } of cabinetsInOrder(home)) {
		const own = nooks.filter((nook) => climateOf(nook) === 'frozen');
		if (!own.length) continue;
		doc.begin(
			`In the freezer: ${cabinet.name}`,
			`${room.name}, ${STATE_WORDS[state]}, ${dateText(today)}. Tick a box for each one taken.`
		);
		const shares = [0.4, 0.2, 0.4];
		for (const nook of own) {
			const counts = new Map(
				at.flatMap(({ lot, nookId, count }) => (nookId === nook.id ? [[lot.id, count]] : []))
			);
			const picks = picksOf(home, today).filter(({ lot }) => counts.has(lot.id));
			doc.heading(nook.name);
			if (!picks.length) doc.text('empty', { ink: SOFT });
			for (const { lot, thing, date } of picks) {
				const count = counts.get(lot.id)!;
				// A box of stew for four is ticked off portion by portion.
				const portions = portionsIn(thing, lot.unit);
				const left = portions ? count * portions : count;
				const boxes = lot.unit === 'g' ? 0 : Math.ceil(left - 1e-6);
				const amount = portions ? countText(boxes, 'portion') : amountText(count, lot.unit);
				const name =
					portions || boxes > MOST_BOXES || !boxes ? `${thing.name}, ${amount}` : thing.name;
				doc.row(
					[name, date ? dateText(date.on) : '', { boxes: Math.min(boxes, MOST_BOXES) }],
					shares
				);
			}
			for (let i = 0; i < 3; i++) doc.row(['', '', { boxes: 4 }], shares);
		}
		doc.text('After a power cut keep it shut: full it stays cold for 48 hours, half full for 24.', {
			ink: SOFT
		});
	}
}

function useFirstList(doc: Doc, home: Home, today: string): void {
	doc.begin('Use first', `As of ${dateText(today)}`);
	const shares = [0.06, 0.44, 0.2, 0.3];
	const picks = useFirst(home, today, 14);
	if (!picks.length) doc.text('Nothing is due within two weeks.');
	for (const { lot, thing, date } of picks)
		doc.row(
			[
				{ boxes: 1 },
				`${amountText(lot.count, lot.unit)} ${thing.name}`,
				date ? dateText(date.on) : '',
				home.nooks[lot.nookId ?? '']?.name ?? 'on the table'
			],
			shares
		);
	doc.skip(2);
	doc.text('Past its use-by date: do not eat it. When in doubt, throw it out.', { ink: SOFT });
}

function shopping(doc: Doc, home: Home, today: string): void {
	doc.begin('Shopping list', dateText(today));
	const lines = shoppingList(home, today);
	if (!lines.length) doc.text('Nothing to buy.');
	for (const area of [...new Set(lines.map((line) => line.area))]) {
		doc.heading(area);
		for (const line of lines.filter((each) => each.area === area))
			doc.row([{ boxes: 1 }, `${line.buy} × ${line.name}`, `have ${line.have}`], [0.06, 0.64, 0.3]);
	}
}

/** Every medicine with its place and dates, for somebody who looks after them; what may not be given stands apart. */
function medicines(doc: Doc, home: Home, today: string, state: HomeState): void {
	const own = medicinesOf(home, today);
	if (!own.length) return;
	const places = new Map(
		lotsAt(home, state).map(({ lot, nookId }) => [lot.id as string, nookId ?? ''])
	);
	const placeOf = (lotId: string) => home.nooks[places.get(lotId) ?? '']?.name ?? 'on the table';
	doc.begin(
		'Medicines',
		`For whoever looks after them. Follow the leaflet; ask a pharmacist. Places ${STATE_WORDS[state]}.`
	);
	const given = own.filter(({ not }) => !not);
	if (given.length) {
		const shares = [0.3, 0.22, 0.2, 0.28];
		doc.row(['Medicine', 'Place', 'Good until', 'Morning, noon, evening, night'], shares, true);
		for (const { lot, thing, date } of given)
			doc.row([thing.name, placeOf(lot.id), date ? dateText(date.on) : '', { boxes: 4 }], shares);
	}
	const kept = own.filter(({ not }) => not);
	if (kept.length) {
		const shares = [0.3, 0.26, 0.44];
		doc.heading('Do not give: ask the pharmacist');
		for (const { lot, thing, date, not } of kept)
			doc.row(
				[
					thing.name,
					placeOf(lot.id),
					`${NOT_GIVEN_WORDS[not!]}${date && (not === 'expired' || not === 'open-too-long') ? `, ${dateText(date.on)}` : ''}`
				],
				shares
			);
	}
	doc.skip(2);
	doc.text(
		'Keep them locked, out of a child’s reach, in the pack they came in. Return expired ones to a pharmacy.',
		{ ink: SOFT }
	);
}

function tape(doc: Doc, home: Home): void {
	const items = tapeList(home);
	doc.begin('Still to measure');
	if (!items.length) doc.text('Everything has been measured.');
	for (const item of items) doc.row([{ boxes: 1 }, tapeText(item), ''], [0.06, 0.64, 0.3]);
}

/** What was done, for a client: headings, words and rows. */
function report(doc: Doc, home: Home, today: string): void {
	const { title, under, sections } = homeReport(home, today);
	doc.begin(title, under);
	for (const { heading, paragraphs, rows } of sections) {
		doc.heading(heading);
		for (const text of paragraphs) doc.text(text);
		const columns = Math.max(1, ...rows.map((row) => row.length));
		const shares =
			columns === 1 ? [1] : [0.5, ...Array<number>(columns - 1).fill(0.5 / (columns - 1))];
		for (const row of rows) doc.row(row, shares);
	}
}

/** Which states of a home a print can show: both where there is a plan, else today's alone. */
export const statesOf = (home: Home): readonly HomeState[] =>
	activePlan(home) ? ['plan', 'today'] : ['today'];

/** The prints that say where things are: each is of one state of the home. */
export const OF_A_STATE: ReadonlySet<DocumentKind> = new Set([
	'binder',
	'door-maps',
	'where',
	'freezer',
	'medicines'
]);

/** Makes a print of a home as pages. `today` is an ISO date; `state`: left out, the plan's where there is one. */
export function documentPages(
	home: Home,
	kind: DocumentKind,
	paper: Paper,
	today: string,
	state: HomeState = statesOf(home)[0]!
): PrintPage[] {
	if (kind === 'binder')
		return binderOf(
			home.name,
			`Made with Keep Nook, ${dateText(today)}, ${STATE_WORDS[state]}`,
			paper,
			[
				{ name: 'What is behind each door', make: (doc) => doorMaps(doc, home, state, true) },
				{ name: 'Where is it?', make: (doc) => whereIndex(doc, home, state) },
				{ name: 'Notes for the doors', make: (doc) => doorNotes(doc, home), isBrief: true },
				{ name: 'Freezers', make: (doc) => freezerSheets(doc, home, today, state) },
				{
					name: 'Stock',
					make: (doc) => (useFirstList(doc, home, today), shopping(doc, home, today))
				},
				{ name: 'Medicines', make: (doc) => medicines(doc, home, today, state) }
			]
		);
	const doc = new Doc(paper, `${home.name}, ${dateText(today)}`);
	const makers: Record<Exclude<DocumentKind, 'binder'>, () => void> = {
		'door-maps': () => doorMaps(doc, home, state, false),
		where: () => whereIndex(doc, home, state),
		notes: () => doorNotes(doc, home),
		freezer: () => freezerSheets(doc, home, today, state),
		'use-first': () => useFirstList(doc, home, today),
		shopping: () => shopping(doc, home, today),
		medicines: () => medicines(doc, home, today, state),
		report: () => report(doc, home, today),
		tape: () => tape(doc, home)
	};
	makers[kind]();
	return doc.pages();
}
