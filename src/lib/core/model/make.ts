import { DEFAULT_SETTINGS } from './settings';
import { COLLECTION_NAMES, type Home, type HomeHead } from './home';
import type { Decision, Group, GroupOverrides, Thing } from './goods';
import { HomeId } from './ids';
import type { Reset } from './keeping';
import type { Nook } from './places';

export interface MakeHomeOptions {
	readonly id: string;
	readonly name: string;
	/** ISO instant. */
	readonly now: string;
	readonly units?: HomeHead['units'];
	readonly currency?: string;
}

/**
 * Makes a home with no records and every setting at its default.
 * @example makeHome({ id: 'h1', name: 'Flat', now: '2026-03-02T09:00:00.000Z' }).units // 'mm'
 */
export function makeHome({ id, name, now, units = 'mm', currency = 'EUR' }: MakeHomeOptions): Home {
	const head: HomeHead = {
		id: HomeId.parse(id),
		name,
		createdAt: now,
		units,
		currency,
		dateOrder: null,
		rented: false,
		schools: {
			near: 'use',
			change: 'some',
			room: 'slack',
			tops: false,
			boxes: 'packs',
			clear: 'place-at-a-time',
			dates: 'packs'
		},
		customs: { region: null, paper: 'A4', weekStart: 'monday' },
		note: '',
		clearDay: null,
		settings: structuredClone(DEFAULT_SETTINGS),
		belongs: [],
		pins: [],
		labelWords: {},
		printed: {},
		readings: {},
		activePlanId: null
	};
	const collections = Object.fromEntries(
		COLLECTION_NAMES.map((name) => [name, Object.create(null)])
	);
	return { ...head, ...collections } as Home;
}

/** Splits a home into its head and nothing else. */
export function headOf(home: Home): HomeHead {
	const head: Record<string, unknown> = { ...home };
	for (const name of COLLECTION_NAMES) delete head[name];
	return head as HomeHead;
}

/** What a new nook has until more is known of it. */
export const blankNook = () =>
	({
		opening: null,
		readings: { widthMm: [], depthMm: [], heightMm: [] },
		obstructions: [],
		loadG: null,
		tags: [],
		climate: [],
		temperatureC: null,
		locked: false,
		childCatch: false,
		fixings: null,
		photoId: null,
		found: null,
		pictured: null
	}) satisfies Partial<Nook>;

/** What a new reset has until something is said of it. */
export const blankReset = () =>
	({
		name: '',
		nookIds: [],
		lastDoneOn: null,
		foundShare: null,
		personId: null,
		begunAt: null,
		postponedTo: null,
		log: [],
		swap: null
	}) satisfies Partial<Reset>;

/** What a new decision has until something is said of it. */
export const blankDecision = () =>
	({ reason: '', to: '', dueOn: null, doneOn: null }) satisfies Partial<Decision>;

/** Nothing set by hand: every figure of a group is computed. */
export const noOverrides = (): GroupOverrides => ({
	usesPerWeek: null,
	volumeMl: null,
	runMm: null,
	massG: null,
	heaviestG: null,
	tallestMm: null,
	longestMm: null,
	stations: null,
	userIds: null,
	needs: null,
	hazards: null,
	traits: null,
	look: null
});

/** What a new group has until more is known of it. */
export const blankGroup = () =>
	({
		overrides: noOverrides(),
		partners: [],
		stockOf: null,
		boxes: null,
		holder: null,
		lids: null,
		why: [],
		byHand: false
	}) satisfies Partial<Group>;

/** What a new thing has until more is known of it. */
export const blankThing = () =>
	({
		groupId: null,
		groupByHand: false,
		allergens: null,
		hold: null,
		packUses: null,
		cooking: '',
		priceMinor: null,
		avoid: false,
		code: null,
		rim: null,
		densityGPerMl: null
	}) satisfies Partial<Thing>;
