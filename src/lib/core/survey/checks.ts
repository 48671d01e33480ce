import { memoOn, type Cabinet, type HomePart, type Nook } from '../model';
import { checkCabinets } from './check-cabinets';
import { overlapMm, stackedIn } from './restack';
import type { SurveyIssue } from './survey-issue';
import { nooksInOrder, type NookPlace } from './place';

/** The way in may be larger than the inside by this much before it is called impossible, mm. */
const OPENING_TOLERANCE_MM = 10;

/** What rises out of its cabinet by less is a matter of measuring, mm. */
const OUT_MM = 10;

const SIDES = [
	{ field: 'width', key: 'widthMm' },
	{ field: 'depth', key: 'depthMm' },
	{ field: 'height', key: 'heightMm' }
] as const;

/** Kinds that are meant to be flat or narrow. */
const SHALLOW: ReadonlySet<Nook['kind']> = new Set(['door', 'hooks', 'rail', 'side-panel']);

/** Checks one side; the unit slips looked for are mm typed for cm (÷10), inches read as mm (×25.4). */
function checkSide(nook: Nook, cabinet: Cabinet, side: (typeof SIDES)[number]): SurveyIssue | null {
	const insideMm = nook.inside[side.key];
	const at = { nookId: nook.id, field: side.field } as const;
	if (insideMm === null) return { ...at, code: 'size-missing' };
	if (insideMm === 0) return { ...at, code: 'size-zero' };
	const outsideMm = cabinet[side.key];
	if (nook.kind === 'top' && side.field === 'height') return null;
	if (insideMm <= outsideMm) {
		// A tenth of the body or less: centimetres typed as millimetres.
		const slip = insideMm * 10 <= outsideMm && !SHALLOW.has(nook.kind) && side.field !== 'height';
		return slip ? { ...at, code: 'unit-slip', insideMm, outsideMm, likelyMm: insideMm * 10 } : null;
	}
	if (insideMm >= outsideMm * 4)
		return { ...at, code: 'unit-slip', insideMm, outsideMm, likelyMm: Math.round(insideMm / 10) };
	return { ...at, code: 'larger-than-cabinet', insideMm, outsideMm };
}

function checkOpening(nook: Nook): SurveyIssue | null {
	if (!nook.opening) return null;
	for (const key of ['widthMm', 'heightMm'] as const) {
		const insideMm = nook.inside[key];
		const openingMm = nook.opening[key];
		if (insideMm && openingMm > insideMm + OPENING_TOLERANCE_MM)
			return { nookId: nook.id, field: 'opening', code: 'opening-larger', openingMm, insideMm };
	}
	return null;
}

function checkObstructions(nook: Nook): SurveyIssue[] {
	const { widthMm, depthMm, heightMm } = nook.inside;
	if (!widthMm || !depthMm || !heightMm) return [];
	return nook.obstructions.flatMap((o, index) =>
		o.xMm + o.widthMm > widthMm || o.yMm + o.depthMm > depthMm || o.zMm + o.heightMm > heightMm
			? [
					{
						nookId: nook.id,
						field: 'obstruction' as const,
						code: 'obstruction-outside' as const,
						index
					}
				]
			: []
	);
}

/** Lists what cannot be about one nook in its cabinet, the most basic first. */
export function checkNook(nook: Nook, cabinet: Cabinet): SurveyIssue[] {
	const sides = SIDES.map((side) => checkSide(nook, cabinet, side));
	return [...sides, checkOpening(nook), ...checkObstructions(nook)].filter(
		(issue) => issue !== null
	);
}

/** Shelves that stand over each other must not be taller, together, than their cabinet. */
function checkStacks(places: readonly NookPlace[]): SurveyIssue[] {
	const stacks = new Map<string, NookPlace[]>();
	for (const place of places) {
		if (
			!['shelf', 'drawer', 'undersink', 'fridge-shelf', 'freezer-drawer'].includes(place.nook.kind)
		)
			continue;
		const key = `${place.cabinet.id}/${place.nook.at.xMm}`;
		stacks.set(key, [...(stacks.get(key) ?? []), place]);
	}
	return [...stacks.values()].flatMap((stack) => {
		const { nook, cabinet } = stack[0]!;
		const heights = stack.reduce((sum, { nook }) => sum + (nook.inside.heightMm ?? 0), 0);
		const topMm = Math.max(
			...stack.map((each) => each.nook.at.zMm + (each.nook.inside.heightMm ?? 0))
		);
		// What rises out of the body is too tall with its boards, though the places alone might do.
		const sumMm = topMm > cabinet.heightMm + OUT_MM ? topMm : heights;
		return sumMm > cabinet.heightMm
			? [
					{
						nookId: nook.id,
						field: 'cabinet' as const,
						code: 'shelves-too-tall' as const,
						sumMm,
						cabinetMm: cabinet.heightMm
					}
				]
			: [];
	});
}

/** Places of one cabinet that lie over each other, though they cannot be: each names the one below it. */
function checkOverlaps(places: readonly NookPlace[], home: HomePart<'nooks'>): SurveyIssue[] {
	return [...new Set(places.map(({ cabinet }) => cabinet.id))].flatMap((id) => {
		const own = stackedIn(home, id);
		return own.flatMap((nook, i) => {
			const other = own.slice(0, i).find((one) => overlapMm(one, nook) > 0);
			return other
				? [
						{
							nookId: nook.id,
							field: 'cabinet' as const,
							code: 'places-overlap' as const,
							other: other.name,
							byMm: overlapMm(other, nook)
						}
					]
				: [];
		});
	});
}

/** Lists every doubtful measurement of a home, in walking order. */
export const checkSurvey = memoOn(
	['nooks', 'cabinets', 'runs', 'rooms'],
	(home): readonly SurveyIssue[] => {
		const places = nooksInOrder(home);
		return [
			...places.flatMap(({ nook, cabinet }) => checkNook(nook, cabinet)),
			...checkStacks(places),
			...checkOverlaps(places, home),
			...checkCabinets(home)
		];
	}
);

export interface TapeItem {
	readonly place: NookPlace;
	readonly missing: readonly ('width' | 'depth' | 'height')[];
}

/** Lists what is still to be measured, in walking order. */
export const tapeList = memoOn(
	['nooks', 'cabinets', 'runs', 'rooms'],
	(home): readonly TapeItem[] =>
		nooksInOrder(home)
			.map((place) => ({
				place,
				missing: SIDES.filter((side) => !place.nook.inside[side.key]).map((side) => side.field)
			}))
			.filter((item) => item.missing.length > 0)
);
