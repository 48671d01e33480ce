import {
	FitPlanId,
	GroupId,
	idsFrom,
	NookId,
	PartId,
	ThingId,
	type Edit,
	type FitPlan,
	type Group,
	type Home,
	type Placement
} from '../model';
import type { Arrangement, FitResult } from './fit';

/** What is kept of an arrangement; the figures that come with it are not. */
export interface KeptArrangement extends Pick<
	Arrangement,
	'placements' | 'standing' | 'costMinor'
> {
	readonly leftOver: readonly (Omit<FitPlan['leftOver'][number], 'groupId' | 'thingId'> & {
		readonly groupId: string;
		readonly thingId: string | null;
	})[];
}

/** The part of an arrangement that is kept. */
export const keptOf = ({
	placements,
	standing,
	leftOver,
	costMinor
}: Arrangement): KeptArrangement => ({ placements, standing, leftOver, costMinor });

/**
 * Gives each container its id: one of the same kind for the same group goes on as the one it was, with its label; any
 * other is a new one, and no old label comes to stand on it.
 */
function carryIds(
	placements: readonly Placement[],
	before: readonly Placement[],
	newId: () => string
): Placement[] {
	const left = [...before];
	const known = new Set(placements.map(({ id }) => id));
	return placements.map((placement) => {
		const isLike = ({ kindId, groupId }: Placement) =>
			kindId === placement.kindId && groupId === placement.groupId;
		// What was moved by hand is itself; else the first like one that no other claims.
		const own = left.findIndex((one) => one.id === placement.id && isLike(one));
		const at = own >= 0 ? own : left.findIndex((one) => isLike(one) && !known.has(one.id));
		const id = at >= 0 ? left.splice(at, 1)[0]!.id : PartId.parse(newId());
		return { ...placement, id };
	});
}

/** An arrangement that is to be kept for a place. */
export interface KeptFit {
	readonly nookId: string;
	readonly kept: KeptArrangement;
	readonly fingerprint: string;
}

/** The first arrangement of each place that was fitted, as it is to be kept. */
export const keptFits = (results: readonly FitResult[]): KeptFit[] =>
	results.flatMap((result) =>
		'arrangements' in result
			? [
					{
						nookId: result.nookId,
						kept: keptOf(result.arrangements[0]!),
						fingerprint: result.fingerprint
					}
				]
			: []
	);

/** Makes the edit that keeps the arrangements of several places at once. Of all places that have one, it settles the purchase. */
export function keepArrangements(fits: readonly KeptFit[], now: string, stem: string): Edit {
	return (draft) => {
		fits.forEach(({ nookId, kept, fingerprint }, i) =>
			keepArrangement(nookId, kept, fingerprint, now, `${stem}-${i}`)(draft)
		);
		const fitted = new Set(fits.map(({ nookId }) => nookId));
		if (Object.values(draft.fitPlans).every(({ nookId }) => fitted.has(nookId)))
			draft.settings.purchaseOpen = false;
	};
}

/**
 * Notes that what is bought for the whole home may be another choice now: what was fitted goes by another budget, price
 * or stock. Where nothing is fitted yet there is nothing to choose again.
 */
export function openPurchase(draft: Pick<Home, 'settings' | 'fitPlans'>): void {
	if (Object.keys(draft.fitPlans).length) draft.settings.purchaseOpen = true;
}

/** Makes the edit that says what containers may cost in all, in minor units; null: no ceiling. */
export function setBudget(budgetMinor: number | null): Edit {
	return (draft) => {
		if (draft.settings.budgetMinor === budgetMinor) return;
		draft.settings.budgetMinor = budgetMinor;
		openPurchase(draft as Home);
	};
}

/** Makes the edit that says whether a group is poured into jars or kept in its packs; null: as the home does. */
export function setBoxes(groupId: string, boxes: 'decant' | 'packs' | null): Edit {
	return (draft) => {
		const group = draft.groups[groupId];
		if (group) group.boxes = boxes;
	};
}

/** Makes the edit that says whether a group's boxes and pots have their lids on; null: as usual, nested. */
export function setLids(groupId: string, lids: Group['lids']): Edit {
	return (draft) => {
		const group = draft.groups[groupId];
		if (group) group.lids = lids;
	};
}

/** Makes the edit that says what holds a group; `none`: it stands free; null: as its kinds of goods usually are. */
export function setHolder(groupId: string, holder: Group['holder']): Edit {
	return (draft) => {
		const group = draft.groups[groupId];
		if (group) group.holder = holder;
	};
}

/**
 * Makes the edit that keeps an arrangement as the fit plan of its nook; one plan a nook. Labels of containers that are
 * gone go with them. `now` is an ISO instant, `stem` begins the ids of new containers.
 */
export function keepArrangement(
	nookId: string,
	{ placements, standing, leftOver, costMinor }: KeptArrangement,
	fingerprint: string,
	now: string,
	stem: string
): Edit {
	return (draft) => {
		if (!draft.nooks[nookId]) return;
		const known = Object.values(draft.fitPlans).find((plan) => plan.nookId === nookId);
		// One plan a place: it goes by the place's own id.
		const id = known?.id ?? FitPlanId.parse(nookId);
		const plan: FitPlan = {
			id,
			nookId: NookId.parse(nookId),
			placements: carryIds(placements, known?.placements ?? [], idsFrom(stem)),
			standing: [...standing],
			leftOver: leftOver.map(({ groupId, thingId, pieces, volumeMl }) => ({
				groupId: GroupId.parse(groupId),
				thingId: thingId === null ? null : ThingId.parse(thingId),
				pieces,
				volumeMl
			})),
			costMinor,
			fingerprint,
			madeAt: now
		};
		draft.fitPlans[id] = plan;
		const kept = new Set(plan.placements.map((placement) => placement.id));
		for (const mark of Object.values(draft.marks))
			if (mark.nookId === nookId && mark.placementId && !kept.has(mark.placementId))
				delete draft.marks[mark.id];
	};
}
