import {
	CabinetId,
	dayOf,
	groupBy,
	lotsIn,
	memoOn,
	WarmSpellId,
	type Edit,
	type Home,
	type Lot,
	type Nook,
	type Thing,
	type WarmSpell
} from '../model';
import { climateOf, type NookClimate } from '../survey';

/** One reading of a thermometer. */
export interface Reading {
	/** ISO instant. */
	readonly at: string;
	readonly c: number;
}
export type ColdKind = WarmSpell['kind'];

/** Warmer than this is too warm, °C. */
export const COLD_LIMITS: Readonly<Record<ColdKind, number>> = { fridge: 5, freezer: -15 };
const HOUR = 3_600_000;
/** What spoils, spoils about three times as fast for each 10 °C more. */
const FASTER_PER_10 = 3;

/** A time that was too warm, without a place of its own yet. */
export type Spell = Pick<WarmSpell, 'from' | 'to' | 'meanC' | 'peakC'>;

/**
 * Finds the times that were too warm in readings, in order of time; the last one has no end where the last reading is
 * still too warm. A single reading counts until the next one.
 */
export function spellsOf(readings: readonly Reading[], kind: ColdKind): Spell[] {
	const limit = COLD_LIMITS[kind];
	const sorted = [...readings].sort((a, b) => (a.at < b.at ? -1 : 1));
	const spells: Spell[] = [];
	let warm: Reading[] = [];
	const close = (to: string | null) => {
		if (!warm.length) return;
		const degrees = warm.map(({ c }) => c);
		const mean = degrees.reduce((sum, c) => sum + c, 0) / degrees.length;
		spells.push({
			from: warm[0]!.at,
			to,
			meanC: Math.round(mean * 10) / 10,
			peakC: Math.max(...degrees)
		});
		warm = [];
	};
	for (const reading of sorted) {
		if (reading.c > limit) warm.push(reading);
		else close(reading.at);
	}
	close(null);
	return spells;
}

/** How long a spell lasted, hours; one that goes on, until `now`. */
export const hoursOf = ({ from, to }: Spell, now: string): number =>
	Math.max(0, (Date.parse(to ?? now) - Date.parse(from)) / HOUR);

/** Days of life that a warm spell takes. @example a fridge at 15 °C for a day takes two days more than the day itself */
export function lostDays(spell: Spell, kind: ColdKind, now: string): number {
	const faster = FASTER_PER_10 ** (Math.max(0, spell.meanC - COLD_LIMITS[kind]) / 10);
	return Math.round((hoursOf(spell, now) / 24) * (faster - 1) * 100) / 100;
}

const CLIMATES: Readonly<Record<ColdKind, NookClimate>> = { fridge: 'chilled', freezer: 'frozen' };
const COLD_KINDS = Object.keys(CLIMATES) as ColdKind[];
const isOf = (nook: Nook, kind: ColdKind) => climateOf(nook) === CLIMATES[kind];

const nooksByCabinet = memoOn(['nooks'], ({ nooks }) =>
	groupBy(Object.values(nooks), ({ cabinetId }): string => cabinetId)
);

/** Whether a cabinet is a fridge, a freezer, or both; by its places. */
export function coldKinds(home: Pick<Home, 'nooks'>, cabinetId: string): ColdKind[] {
	const own = nooksByCabinet(home).get(cabinetId) ?? [];
	return COLD_KINDS.filter((kind) => own.some((nook) => isOf(nook, kind)));
}

/** Whether a lot was there at the time: what came in, was made or was frozen since was not. */
function wasThere(home: Pick<Home, 'useEvents'>, lot: Lot, { from, to }: Spell): boolean {
	const came = Object.values(home.useEvents)
		.filter(({ kind, lotId }) => kind === 'add' && lotId === lot.id)
		.map(({ at }) => at)
		.sort()[0];
	if (came !== undefined && to !== null && came >= to) return false;
	const { madeOn, frozenOn, thawedOn } = lot.dates;
	return ![madeOn, thawedOn ?? frozenOn].some((on) => on !== null && on > dayOf(to ?? from));
}

const lotsInCold = (home: Home, cabinetId: string, kind: ColdKind, spell: Spell): Lot[] =>
	(nooksByCabinet(home).get(cabinetId) ?? [])
		.filter((nook) => isOf(nook, kind))
		.flatMap(({ id }) => lotsIn(home, id))
		.filter((lot) => wasThere(home, lot, spell));

/** What becomes of something after a warm spell. */
export type OutageVerdict = 'discard' | 'use-now' | 'good';
export interface AfterOutage {
	readonly lot: Lot;
	readonly thing: Thing;
	readonly verdict: OutageVerdict;
}

const PERISHABLE = [
	'food.raw-meat',
	'food.frozen-meat',
	'food.frozen-meals',
	'food.dairy',
	'food.eggs',
	'food.deli',
	'food.ices',
	'food.salad'
];
/** Above this food spoils in hours, °C; so long it may be. */
const DANGER_C = 4;
const DANGER_HOURS = 2;

/** Hours of a spell that were above 4 °C: all of it where its mean is, half where only its peak is. */
const dangerHours = (spell: Spell, now: string): number =>
	hoursOf(spell, now) * (spell.meanC > DANGER_C ? 1 : spell.peakC > DANGER_C ? 0.5 : 0);

/**
 * Says what is still good after a warm spell: what spoils goes after two hours above 4 °C; in a freezer that stayed
 * below, it is used soon; what keeps by itself (jams, hard goods, bread) is good. Public food-safety guidance; when in
 * doubt it goes.
 */
export function afterOutage(
	home: Home,
	cabinetId: string,
	kind: ColdKind,
	spell: Spell,
	now: string
): AfterOutage[] {
	const isDanger = dangerHours(spell, now) >= DANGER_HOURS;
	const thawed = kind === 'freezer' && spell.peakC > -5;
	return lotsInCold(home, cabinetId, kind, spell).flatMap((lot): AfterOutage[] => {
		const thing = home.things[lot.thingId];
		if (!thing) return [];
		const spoils = PERISHABLE.includes(thing.category) || thing.hazards.includes('raw-meat');
		const rest: OutageVerdict = thawed ? 'use-now' : 'good';
		const verdict = spoils && isDanger ? 'discard' : rest;
		return [{ lot, thing, verdict }];
	});
}

/** Finds what is noted of a spell: it began at the same time in the same part of the same cabinet. */
export const notedSpell = (
	home: Pick<Home, 'warmSpells'>,
	cabinetId: string,
	kind: ColdKind,
	from: string
): WarmSpell | undefined =>
	Object.values(home.warmSpells).find(
		(each) => each.cabinetId === cabinetId && each.kind === kind && each.from === from
	);

/**
 * Makes the edit that notes a warm spell of a fridge or freezer: what lay in it keeps less long. One that is noted
 * already is brought up to date, and takes only what it took more since; one that goes on is noted as far as it has come.
 */
export function recordWarm(
	cabinetId: string,
	kind: ColdKind,
	spell: Spell,
	newId: string,
	now: string
): Edit {
	return (draft) => {
		if (!draft.cabinets[cabinetId]) return;
		const known = notedSpell(draft as Home, cabinetId, kind, spell.from);
		const before = known ? lostDays(known, kind, now) : 0;
		const lost = Math.max(0, lostDays(spell, kind, now) - before);
		const id = known?.id ?? WarmSpellId.parse(newId);
		const to = spell.to ?? now;
		draft.warmSpells[id] = { id, cabinetId: CabinetId.parse(cabinetId), kind, ...spell, to };
		if (lost === 0) return;
		for (const { id: lotId } of lotsInCold(draft as Home, cabinetId, kind, spell)) {
			const lot = draft.lots[lotId]!;
			lot.lostDays = Math.round((lot.lostDays + lost) * 100) / 100;
		}
	};
}
