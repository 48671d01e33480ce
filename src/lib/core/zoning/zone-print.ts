import { allergensOf } from '../grouping';
import { fingerprint, mayLie, memoOn, type Home } from '../model';
import { stacksByTwo } from '../standing';
import { harmWords } from './pet-dangers';

// Keyed by id, since the order of records is not part of a home; names, prices and dates do not move a plan.
const printOfThings = memoOn(['things'], (home) =>
	fingerprint(
		Object.fromEntries(
			Object.values(home.things).map((thing) => [
				thing.id,
				{
					...thing,
					// Of a name only what it says of lying, of piling and of harm to pets.
					name: [mayLie(thing), stacksByTwo(thing.name), harmWords(thing.name)],
					lifeKey: null,
					hold: null,
					packUses: null,
					priceMinor: null,
					avoid: false,
					groupByHand: false,
					allergens: allergensOf(thing)
				}
			])
		)
	)
);
const printOfStock = memoOn(['lots'], (home) =>
	fingerprint(
		Object.fromEntries(
			Object.values(home.lots).map((lot) => [
				lot.id,
				[lot.thingId, Math.ceil(lot.count), lot.nookId]
			])
		)
	)
);
const printOfGroups = memoOn(['groups'], (home) =>
	fingerprint(
		Object.fromEntries(
			Object.values(home.groups).map(({ id, overrides, partners, stockOf }) => [
				id,
				{ overrides, stockOf, partners: partners.map(({ groupId, weight }) => [groupId, weight]) }
			])
		)
	)
);
const printOfPlaces = memoOn(
	['nooks', 'cabinets', 'runs', 'rooms', 'stations'],
	({ nooks, cabinets, runs, rooms, stations }) =>
		fingerprint([nooks, cabinets, runs, rooms, stations])
);

/** Fingerprint of everything a zone plan is computed from; plans with another one are stale. */
export function zoneFingerprint(home: Home): string {
	const { schools, pins, people, pets, belongs } = home;
	// How one shops and prints moves no plan.
	const settings = { ...home.settings, shop: null, labels: null };
	const routines = Object.values(home.routines)
		.map(({ id, steps, timesPerWeek }) => [id, timesPerWeek, steps] as const)
		.sort(([a], [b]) => (a < b ? -1 : 1));
	const parts = [printOfThings(home), printOfStock(home), printOfPlaces(home), printOfGroups(home)];
	return fingerprint([settings, schools, pins, people, pets, belongs, routines, parts]);
}
