import { decideStanding, packInOrder, type Decision } from '../solvers/packing';
import { packFloor } from './floor';
import { inInside, type Laid } from './lay-out';
import { shelfOf } from './tidy';

/** Settlings looked at before it stays open whether things can stand together. */
const DECIDE_STEPS = 1500;
/** The same for what is only begun. */
const BEGUN_STEPS = 300;
/** More than so many are never decided within that. */
const DECIDE_UP_TO = 14;
export const isLarge = ({ items }: Laid): boolean => items.length > DECIDE_UP_TO;

/** Whether what is laid out stands on its floor, decided in truth where it is little enough. */
function decided(laid: Laid, seenFromAbove: boolean, steps: number): Decision {
	if (isLarge(laid)) return { status: 'open' };
	const { floor } = laid;
	const { pieces, width, depth } = shelfOf(laid, seenFromAbove);
	const decision = decideStanding({ width, depth, pieces }, steps);
	return decision.status === 'stands'
		? { status: 'stands', places: decision.places.map((place) => inInside(floor, place)) }
		: decision;
}

/** Whether the first ways of a mix can stand at all. */
export const begunStands = (laid: Laid, seenFromAbove: boolean): Decision =>
	decided(laid, seenFromAbove, BEGUN_STEPS);

/** Places looked at first where it is decided in truth, or order by order, afterwards. */
const SOON_TRIES = 30;
/** Orders looked at for what is too much to decide. */
const LARGE_ORDERS = 60;

function inSomeOrder(laid: Laid, seenFromAbove: boolean): Decision {
	const found = packInOrder(shelfOf(laid, seenFromAbove), {
		looks: LARGE_ORDERS,
		runs: 1,
		enough: Infinity
	});
	if (!found) return { status: 'open' };
	return { status: 'stands', places: found.places.map((place) => inInside(laid.floor, place)) };
}

/** Whether it all stands with what is daily in front: looked for place by place, then decided in truth. */
export function allStands(laid: Laid, seenFromAbove: boolean): Decision {
	const places = packFloor(laid.floor, laid.items, { seenFromAbove, tries: SOON_TRIES });
	if (places) return { status: 'stands', places };
	return isLarge(laid)
		? inSomeOrder(laid, seenFromAbove)
		: decided(laid, seenFromAbove, DECIDE_STEPS);
}
