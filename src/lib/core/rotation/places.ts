import type { Home, Nook, Thing } from '../model';
import { nooksInOrder } from '../survey';
import { keptFrozen } from './hold';
import { homeOf } from './shopping';

const FREEZER_KINDS: ReadonlySet<Nook['kind']> = new Set([
	'freezer-drawer',
	'chest-layer',
	'chest-basket'
]);
const FRIDGE_KINDS: ReadonlySet<Nook['kind']> = new Set(['fridge-shelf', 'crisper', 'fridge-door']);

export const isFreezer = (nook: Pick<Nook, 'kind'>): boolean => FREEZER_KINDS.has(nook.kind);
export const isFridge = (nook: Pick<Nook, 'kind'>): boolean => FRIDGE_KINDS.has(nook.kind);

/** Freezer places of a home, in the order they are walked. */
export const freezerPlaces = (home: Home): Nook[] =>
	nooksInOrder(home).flatMap(({ nook }) => (isFreezer(nook) ? nook : []));
/** Fridge shelves, the lowest first: what thaws drips on nothing there. */
export const thawPlaces = (home: Home): Nook[] =>
	nooksInOrder(home)
		.flatMap(({ nook }) => (nook.kind === 'fridge-shelf' ? nook : []))
		.sort((a, b) => a.at.zMm - b.at.zMm);

/** The place of the freezer that goods are put into when they are frozen: where the like lies already, else the first. */
export function freezeInto(home: Home, thing: Thing): string | null {
	const known = homeOf(home, thing.id);
	if (known && keptFrozen(thing)) return known;
	return freezerPlaces(home)[0]?.id ?? null;
}
