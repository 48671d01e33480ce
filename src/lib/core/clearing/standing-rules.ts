import { categoryOf, lotsIn, type Hazard, type Home, type Nook, type Thing } from '../model';
import { climateOf, climateTags, isBathroom, placeOfNook, type NookPlace } from '../survey';
import { guardLacking, hangsOverHeat, hasToddler, petCouldTake } from '../zoning';
import { advise, type Rule } from './advice-rules';

/** What is looked at of one thing as of a group of it alone. */
const figuresOf = (thing: Thing) => ({ things: [thing], hazards: new Set<Hazard>(thing.hazards) });
const placeOf = (home: Home, nookId: string | null): NookPlace | null =>
	nookId ? placeOfNook(home, nookId) : null;

const isFood = (thing: Thing) => categoryOf(thing.category).area === 'food';
const has = (thing: Thing, ...hazards: Hazard[]) =>
	hazards.some((one) => thing.hazards.includes(one));
const isStrong = (thing: Thing) => has(thing, 'cleaner', 'medicine', 'bleach', 'acid');

/** Within the reach of a small child who lives here or visits: it goes up, or its place is locked. */
export const childReach: Rule = ({ home, lot, thing }) => {
	const place = placeOf(home, lot.nookId);
	if (!place || !hasToddler(home)) return null;
	const lacking = guardLacking(figuresOf(thing), place);
	return lacking && advise('move', 3, 'child-reach', { lacking });
};

/** Within the reach of a pet that it poisons. */
export const petReach: Rule = ({ home, lot, thing }) => {
	const place = placeOf(home, lot.nookId);
	return place && petCouldTake(home, figuresOf(thing), place)
		? advise('move', 3, 'pet-reach')
		: null;
};

/** Bleach and an acid in one cabinet give off poisonous gas when they leak: the acid moves. */
export const gasApart: Rule = ({ home, lot, thing }) => {
	const nook = lot.nookId && home.nooks[lot.nookId];
	if (!nook || !has(thing, 'acid') || has(thing, 'bleach')) return null;
	const beside = inCabinet(home, nook).find((mate) => has(mate, 'bleach'));
	return beside ? advise('move', 3, 'gas-apart', { beside: beside.name }) : null;
};
const inCabinet = (home: Home, { cabinetId }: Nook): Thing[] =>
	Object.values(home.nooks)
		.filter((other) => other.cabinetId === cabinetId)
		.flatMap(({ id }) => lotsIn(home, id))
		.flatMap(({ thingId }) => home.things[thingId] ?? []);

/** Cleaners and medicines in a fridge or freezer, where one looks for food, and where the cold spoils them. */
export const notInTheCold: Rule = ({ home, lot, thing }) => {
	const place = placeOf(home, lot.nookId);
	if (!place || climateOf(place.nook) === 'room') return null;
	const isMeant = thing.needs.includes('chilled') || thing.needs.includes('frozen');
	return !isMeant && (isStrong(thing) || has(thing, 'flammable', 'unknown'))
		? advise('move', 3, 'not-in-the-cold')
		: null;
};

/** Sprays, fuels, cleaners and medicines where it gets hot: some burst or burn, the others lose their strength. */
export const notInTheHeat: Rule = ({ home, lot, thing }) => {
	const place = placeOf(home, lot.nookId);
	if (!place || climateOf(place.nook) !== 'room') return null;
	if (!climateTags(place).includes('heat') && !hangsOverHeat(home, place)) return null;
	if (isStrong(thing) || has(thing, 'flammable')) return advise('move', 3, 'not-in-the-heat');
	const suffers = isFood(thing) && (thing.needs.includes('cool') || thing.needs.includes('dark'));
	return suffers ? advise('move', 1, 'spoils-in-heat') : null;
};

/** Dry food and medicines where it is damp or drips: in a bathroom, under a sink. */
export const notInTheDamp: Rule = ({ home, lot, thing }) => {
	const place = placeOf(home, lot.nookId);
	if (!place || climateOf(place.nook) !== 'room') return null;
	const isWet = place.nook.kind === 'undersink' || climateTags(place).includes('damp');
	if (isFood(thing)) return isWet || isBathroom(place) ? advise('move', 2, 'spoils-in-damp') : null;
	const isPill = thing.hazards.includes('medicine') && thing.needs.includes('dry');
	return isPill && (isWet || isBathroom(place)) ? advise('move', 1, 'medicine-in-damp') : null;
};
