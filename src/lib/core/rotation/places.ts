import type { Home, Nook, Thing } from '../model';
import { climateOf, nooksInOrder } from '../survey';
import { isColdPlace } from './cold';
import { frozenTwin } from './frozen';
import { homeOf } from './shopping';

/** Freezer places of a home, in the order they are walked. */
export const freezerPlaces = (home: Home): Nook[] =>
	nooksInOrder(home).flatMap(({ nook }) => (climateOf(nook) === 'frozen' ? nook : []));
/** Fridge shelves, the lowest first: what thaws drips on nothing there. */
export const thawPlaces = (home: Home): Nook[] =>
	nooksInOrder(home)
		.flatMap(({ nook }) => (nook.kind === 'fridge-shelf' ? nook : []))
		.sort((a, b) => a.at.zMm - b.at.zMm);

/** The place of the freezer that goods are put into when they are frozen: where the like lies already, else the first. */
export function freezeInto(home: Home, thing: Thing): string | null {
	const known = homeOf(home, frozenTwin(home.things, thing)?.id ?? thing.id);
	return isColdPlace(home, known) ? known : (freezerPlaces(home)[0]?.id ?? null);
}
