import type { Home, Thing } from '../model';
import {
	base,
	familyOf,
	isCold,
	SHOULDER_MM,
	type Objection,
	type ReviewCode,
	type Standing
} from './review-standing';

/** A larder of which so many places hold dry food is in use, whatever stands elsewhere. */
const FULL_SHARE = 0.6;
/** What a larder is for; what one cooks or brews with may stand nearer. */
const LARDER_KINDS = /^food\.(?:baking|grains|pulses|breakfast|cans-|soups|snacks|drinks)/;
const isLarderFood = ({ category }: Thing) => LARDER_KINDS.test(category);
/** Whether the larder holds food while food stands in places that are worse for it. */
export function reviewLarder(all: readonly Standing[]): Objection[] {
	const isLarder = ({ place }: Standing) =>
		/larder|pantry/i.test(`${place.room.name} ${place.cabinet.name}`);
	const larder = all.filter((one) => isLarder(one) && !isCold(one.place));
	if (!larder.length) return [];
	const full = larder.filter(({ groups }) =>
		groups.some(({ things }) => things.some(isLarderFood))
	);
	const elsewhere = all.filter(
		(one) =>
			!isLarder(one) &&
			!isCold(one.place) &&
			one.groups.some(({ things }) => things.some(isLarderFood))
	);
	if (elsewhere.length <= full.length || full.length / larder.length >= FULL_SHARE) return [];
	return [
		{
			code: 'larder-idle',
			grade: 1,
			nookId: larder[0]!.place.nook.id,
			groupIds: elsewhere.flatMap(({ groups }) =>
				groups.filter(({ things }) => things.some(isLarderFood)).map(({ id }) => id)
			)
		}
	];
}

/** Used less often than this a week. */
const SELDOM = 1;
/** Two cabinets so near each other are one place to look in, mm. */
const TWO_STEPS_MM = 1500;
/** Middle of a cabinet on the plan. */
function centreOf({ place: { run, cabinet } }: Standing): { x: number; y: number } {
	const long = Math.hypot(run.to.x - run.from.x, run.to.y - run.from.y) || 1;
	const share = (cabinet.offsetMm + cabinet.widthMm / 2) / long;
	return {
		x: run.from.x + share * (run.to.x - run.from.x),
		y: run.from.y + share * (run.to.y - run.from.y)
	};
}

/** Groups that are spread over cabinets further apart than two steps. */
export function reviewSplits(all: readonly Standing[]): Objection[] {
	const cabinets = new Map<string, Set<string>>();
	for (const { place, groups } of all)
		for (const { id, uses } of groups)
			// What of it is seldom used may well stand further off.
			if (uses >= SELDOM) cabinets.set(id, (cabinets.get(id) ?? new Set()).add(place.cabinet.id));
	const isFar = (at: ReadonlySet<string>) => {
		const spots = [...at].map((id) => centreOf(all.find(({ place }) => place.cabinet.id === id)!));
		return spots.some((a) => spots.some((b) => Math.hypot(a.x - b.x, a.y - b.y) > TWO_STEPS_MM));
	};
	return [...cabinets]
		.filter(([, at]) => at.size > 1 && isFar(at))
		.map(([id]) => ({
			code: 'group-scattered' as const,
			grade: 1 as const,
			nookId: all.find(({ groups }) => groups.some((group) => group.id === id))!.place.nook.id,
			groupIds: [id]
		}));
}

/** What one cooks with at the hob. */
const FOR_THE_HOB = /^kitchen\.(?:pots|lids|tools)$/;
const OFTEN = 3;
/** Three steps, mm. */
const THREE_STEPS_MM = 2300;
const isOutsider = (thing: Thing) =>
	['rest', 'pets', 'body', 'medicine'].includes(familyOf(thing)) ||
	/^(?:home|bathroom)\./.test(thing.category);

/** Pans far from where one cooks, and places by the hob that are taken by what has nothing to do with cooking. */
export function reviewHob(home: Home, all: readonly Standing[]): Objection[] {
	const hobs = Object.values(home.stations).filter(({ kind }) => kind === 'hob');
	if (!hobs.length) return [];
	/** Straight from the nearest hob to the middle of the cabinet; in another room it is no place by the hob. */
	const farMm = (one: Standing) => {
		const { x, y } = centreOf(one);
		return Math.min(
			...hobs.map(({ at, roomId }) =>
				roomId === one.place.room.id ? Math.hypot(at.x - x, at.y - y) : Infinity
			)
		);
	};
	return all.flatMap((one): Objection[] => {
		const mm = farMm(one);
		const says = (code: ReviewCode, groups: Standing['groups']): Objection[] =>
			groups.length
				? [{ code, grade: 1, nookId: one.place.nook.id, groupIds: groups.map(({ id }) => id) }]
				: [];
		if (mm > THREE_STEPS_MM)
			return says(
				'far-from-work',
				one.groups.filter(
					({ uses, things }) =>
						uses >= OFTEN && things.some(({ category }) => FOR_THE_HOB.test(category))
				)
			);
		if (mm > TWO_STEPS_MM || base(one.place) > SHOULDER_MM) return [];
		return says(
			'outsider-by-hob',
			one.groups.filter(({ things }) => things.length > 0 && things.every(isOutsider))
		);
	});
}

/** Lower than this one bends down, mm. */
const KNEE_MM = 480;
const PRODUCE = /^food\.(?:onions|potatoes|fruit)$/;
/** Forks for which one bends down, and what makes each other sprout or rot side by side. */
export function reviewTrifles({ place, groups }: Standing): Objection[] {
	const holding = (kinds: RegExp) =>
		groups.filter(({ things }) => things.some(({ category }) => kinds.test(category)));
	const says = (code: ReviewCode, of: Standing['groups']): Objection => ({
		code,
		grade: 1,
		nookId: place.nook.id,
		groupIds: of.map(({ id }) => id)
	});
	const cutlery = holding(/^kitchen\.cutlery$/);
	const produce = holding(PRODUCE);
	const kinds = new Set(
		produce.flatMap(({ things }) =>
			things.map(({ category }) => category).filter((category) => PRODUCE.test(category))
		)
	);
	return [
		...(cutlery.length && base(place) < KNEE_MM ? [says('cutlery-low', cutlery)] : []),
		...(kinds.size > 1 ? [says('produce-together', produce)] : [])
	];
}
