import house from '../../../data/demo/house.json';
import stock from '../../../data/demo/stock.json';
import {
	addDays,
	blankGroup,
	blankNook,
	blankReset,
	type InsideSize,
	type Nook,
	blankThing,
	categoryOf,
	dayOf,
	instantOn,
	Home,
	makeHome,
	type Group,
	type Lot,
	type LotState,
	type Thing,
	type UseClass
} from '../core/model';
import { USUAL_KINDS } from '../core/fitting';
import { DEMO_ID } from './demo-id';
import { demoLog } from './demo-log';

const CLASS_OF: Record<string, UseClass> = {
	A: 'several-daily',
	D: 'daily',
	S: 'some-days',
	W: 'weekly',
	F: 'fortnightly',
	M: 'monthly',
	E: 'seasonal',
	R: 'rarely'
};

interface StockRow {
	readonly key: string;
	readonly name?: string;
	readonly category: string;
	readonly nook: string;
	readonly users?: string[];
	readonly hazards?: string[];
	readonly into?: string;
	readonly code?: string;
	readonly hue?: number;
	readonly things: string[];
}

/** One thing and its lots in the rows' short form: `name, class, count, words / count, words`. */
interface ParsedThing {
	readonly name: string;
	readonly use: UseClass;
	readonly lots: readonly { readonly count: number; readonly words: Map<string, string> }[];
}

/** Walls whose places have been measured; the rest stand as they were estimated. */
const MEASURED_WALLS: ReadonlySet<string> = new Set([
	'north',
	'south',
	'larder-east',
	'larder-north'
]);
const wallOf = new Map(house.cabinets.map(({ key, run }) => [key, run] as const));
function readingsOf(inside: InsideSize, cabinet: string): Nook['readings'] {
	const isMeasured = MEASURED_WALLS.has(wallOf.get(cabinet) ?? '');
	const read = (mm: number | null) => (isMeasured && mm ? [mm] : []);
	return {
		widthMm: read(inside.widthMm),
		depthMm: read(inside.depthMm),
		heightMm: read(inside.heightMm)
	};
}

const slug = (name: string) =>
	name
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.slice(0, 48);

/** Reads `bb=120 st=dented` into words; the right-hand sides stay text. */
function readWords(text: string): Map<string, string> {
	const pairs = text
		.split(/[\s,]+/)
		.filter(Boolean)
		.map((word) => word.split('=') as [string, string]);
	return new Map(pairs);
}

function readThing(row: string): ParsedThing {
	const [first = '', ...more] = row.split(' / ');
	const head = /^(.*?), ([A-Z]), (\d+)(.*)$/.exec(first);
	if (!head)
		throw new Error(`Demo row not understood: "${row}". Write: name, class, count, words.`);
	const [, name, letter, count, words] = head;
	const later = more.map((text) => {
		const [number = '0', ...rest] = text.split(/[\s,]+/);
		return { count: Number(number), words: readWords(rest.join(' ')) };
	});
	return {
		name: name!,
		use: CLASS_OF[letter!]!,
		lots: [{ count: Number(count), words: readWords(words!) }, ...later]
	};
}

/** Reads `v160` as the round rim of a vessel of 160 mm, `l170x119` as that of a box lid. */
function rimOf(text: string | undefined): Thing['rim'] {
	if (!text) return null;
	const [widthMm = 0, depthMm] = text.slice(1).split('x').map(Number);
	return {
		part: text.startsWith('l') ? 'lid' : 'vessel',
		shape: depthMm ? 'rect' : 'round',
		widthMm,
		depthMm: depthMm ?? widthMm
	};
}

function thingOf(row: StockRow, parsed: ParsedThing): Thing {
	const category = categoryOf(row.category);
	const words = parsed.lots[0]!.words;
	const [widthMm, depthMm, heightMm] = words.get('s')?.split('x').map(Number) ?? [];
	const users = words.get('u')?.split(',') ?? row.users ?? [];
	const number = (key: string) => (words.has(key) ? Number(words.get(key)) : null);
	return {
		id: slug(parsed.name) as Thing['id'],
		name: parsed.name,
		category: row.category,
		piece: widthMm ? { widthMm, depthMm: depthMm!, heightMm: heightMm! } : { ...category.piece },
		massG: number('m') ?? category.massG,
		use: { class: parsed.use, countedPerWeek: null },
		userIds: users as Thing['userIds'],
		stations: [],
		needs: [...category.needs],
		hazards: [...category.hazards, ...((row.hazards ?? []) as Thing['hazards'])],
		lifeKey: words.get('l') ?? category.lifeKey,
		...blankThing(),
		groupId: (row.into ?? row.key) as Thing['groupId'],
		hold: words.has('par') ? { rule: 'packs', amount: number('par')! } : null,
		priceMinor: number('p'),
		rim: rimOf(words.get('rim'))
	};
}

function lotOf(
	row: StockRow,
	thing: Thing,
	{ count, words }: ParsedThing['lots'][number],
	index: number,
	today: string
): Lot {
	const date = (key: string) => (words.has(key) ? addDays(today, Number(words.get(key))) : null);
	const useBy = date('ub');
	const bestBefore = date('bb');
	const openedOn = date('op');
	const frozenOn = date('fz');
	const states = [
		...(words.get('st')?.split('+') ?? []),
		...(openedOn ? ['open'] : []),
		...(frozenOn ? ['frozen'] : [])
	];
	return {
		id: `${thing.id}-${index + 1}` as Lot['id'],
		thingId: thing.id,
		nookId: (words.get('n') ?? row.nook) as Lot['nookId'],
		count,
		unit: 'pack',
		dates: {
			printed: useBy
				? { on: useBy, kind: 'use-by' }
				: bestBefore
					? { on: bestBefore, kind: 'best-before' }
					: null,
			openedOn,
			frozenOn,
			thawedOn: null,
			madeOn: date('made'),
			lastUsedOn: date('last')
		},
		lostDays: 0,
		states: states as LotState[],
		owner: '',
		batch: ''
	};
}

/** Gives the parts of a list ids by their order. */
const numbered = <Part extends object>(parts: readonly Part[], kind: string) =>
	parts.map((part, i) => ({ id: `${kind}-${i + 1}`, ...part }));

const withIds = <Row extends { key: string }>(rows: readonly Row[]) =>
	Object.fromEntries(rows.map(({ key, ...row }) => [key, { id: key, ...row }]));

function groupsOf(rows: readonly StockRow[]): Record<string, unknown> {
	const partners = (key: string) =>
		house.partners
			.filter(([from]) => from === key)
			.map(([, to, weight]) => ({ groupId: to, weight, why: 'hand' }));
	return Object.fromEntries(
		rows
			.filter((row) => !row.into)
			.map((row) => [
				row.key,
				{
					id: row.key,
					name: row.name,
					tag: { code: row.code, hue: row.hue },
					...blankGroup(),
					partners: partners(row.key),
					why: [{ code: 'category', words: [categoryOf(row.category).name] }]
				} as unknown as Group
			])
	);
}

/**
 * Builds the demo home, a converted railway halt. All of it is made up. Dates are relative to the day of `now`
 * (an ISO instant), so that the home is never stale. The rows are parsed like any file that comes in.
 * @example Object.keys(demoHome('2026-03-02T09:00:00.000Z').nooks).length // 77
 */
export function demoHome(now: string): Home {
	const today = dayOf(now);
	const rows = stock as StockRow[];
	const parsed = rows.flatMap((row) =>
		row.things.map((text) => ({ row, parsed: readThing(text) }))
	);
	const things = parsed.map(({ row, parsed }) => ({ row, parsed, thing: thingOf(row, parsed) }));
	const lots = things.flatMap(({ row, parsed, thing }) =>
		parsed.lots.map((lot, index) => lotOf(row, thing, lot, index, today))
	);
	const byId = <R extends { id: string }>(records: readonly R[]) =>
		Object.fromEntries(records.map((record) => [record.id, record]));
	const home = makeHome({ id: DEMO_ID, name: house.name, now, units: 'mm', currency: 'EUR' });
	return Home.parse({
		...home,
		dateOrder: 'dmy',
		rented: true,
		people: withIds(house.people),
		pets: withIds(house.pets),
		rooms: withIds(
			house.rooms.map((room) => ({
				...room,
				outline: numbered(room.outline, 'corner'),
				doors: numbered(room.doors, 'door'),
				obstacles: numbered(room.obstacles ?? [], 'obstacle'),
				sockets: numbered(room.sockets ?? [], 'socket')
			}))
		),
		runs: withIds(house.runs.map(({ room, ...run }) => ({ ...run, roomId: room }))),
		stations: withIds(house.stations.map(({ room, ...station }) => ({ ...station, roomId: room }))),
		cabinets: withIds(house.cabinets.map(({ run, ...cabinet }) => ({ ...cabinet, runId: run }))),
		nooks: withIds(
			house.nooks.map(({ cabinet, ...nook }) => ({
				...blankNook(),
				...nook,
				readings: readingsOf(nook.inside, cabinet),
				obstructions: numbered(nook.obstructions ?? [], 'obstruction'),
				cabinetId: cabinet
			}))
		),
		things: byId(things.map(({ thing }) => thing)),
		lots: byId(lots),
		useEvents: byId(
			demoLog(
				things.map(({ thing }) => thing),
				lots,
				today
			)
		),
		groups: groupsOf(rows),
		containerKinds: byId(
			USUAL_KINDS.map((kind) => ({
				...kind,
				owned: (house.owned as Record<string, number>)[kind.id] ?? 0
			}))
		),
		meals: Object.fromEntries(
			(house.meals as [string, number, number, string, [string, number][]][]).map(
				([name, servings, timesPerMonth, slots, ingredients]) => [
					slug(name),
					{
						id: slug(name),
						name,
						servings,
						timesPerMonth,
						slots: slots.split(' ').filter(Boolean),
						ingredients: ingredients.map(([thing, packs]) => ({ thingId: slug(thing), packs }))
					}
				]
			)
		),
		routines: Object.fromEntries(
			(house.routines as [string, number, string[]][]).map(([name, timesPerWeek, steps]) => [
				slug(name),
				{
					id: slug(name),
					name,
					timesPerWeek,
					steps: steps.map((step) =>
						step.startsWith('@')
							? { groupId: null, station: step.slice(1) }
							: { groupId: step, station: null }
					)
				}
			])
		),
		sessions: Object.fromEntries(
			(house.sessions as [string, number, number, number, number][]).map(
				([nookId, daysAgo, plannedMin, workedMin, things]) => {
					const on = addDays(today, -daysAgo);
					const id = `${nookId}-${daysAgo}`;
					return [
						id,
						{
							id,
							nookId,
							startedAt: instantOn(on, 9 * 60 + 30),
							endedAt: instantOn(on, 11 * 60),
							plannedMin,
							workedMin,
							runningSince: null,
							things,
							strays: []
						}
					];
				}
			)
		),
		resets: Object.fromEntries(
			(
				house.resets as unknown as [
					string,
					string,
					number,
					number | null,
					number | null,
					string[]?
				][]
			).map(([kind, cabinetId, everyDays, doneDaysAgo, foundShare, nookIds = []]) => [
				kind,
				{
					...blankReset(),
					id: kind,
					kind,
					cabinetId,
					nookIds,
					everyDays,
					lastDoneOn: doneDaysAgo === null ? null : addDays(today, doneDaysAgo),
					foundShare
				}
			])
		)
	});
}
