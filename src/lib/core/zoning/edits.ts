import {
	GroupId,
	NookId,
	pieceVolumeMl,
	type Edit,
	type Pin,
	type PlaceRank,
	type Spot,
	type ThingId,
	type ZonePlan
} from '../model';

/** Makes the edit that keeps a plan and makes it the one in force; earlier plans stay until `keep` are held. */
export function adoptPlan(plan: ZonePlan, keep = 4): Edit {
	return (draft) => {
		draft.zonePlans[plan.id] = plan;
		draft.activePlanId = plan.id;
		const old = Object.values(draft.zonePlans).sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
		for (const { id } of old.slice(keep)) if (id !== plan.id) delete draft.zonePlans[id];
	};
}

/**
 * Makes the edit that moves by hand what a group has in one nook to another, in the plan in force; `fromId` null moves
 * what has no place. What comes to another part of its group joins it; the parts elsewhere stay.
 */
export function movePart(groupId: string, fromId: string | null, nookId: string): Edit {
	return (draft) => {
		const plan = draft.activePlanId ? draft.zonePlans[draft.activePlanId] : undefined;
		if (!plan || fromId === nookId) return;
		const own = plan.assignments.filter((assignment) => assignment.groupId === groupId);
		const placed = own.reduce((sum, { share }) => sum + share, 0);
		const moved = fromId
			? (own.find((assignment) => assignment.nookId === fromId)?.share ?? 0)
			: Math.max(0, 1 - placed);
		if (moved < 1e-6) return;
		const listed = new Set(own.flatMap(({ thingIds = [] }) => thingIds));
		// What has no place yet is whatever of the group no place names.
		const thingIds = fromId
			? own.find((assignment) => assignment.nookId === fromId)?.thingIds
			: listed.size
				? Object.values(draft.things)
						.filter((thing) => thing.groupId === groupId && !listed.has(thing.id))
						.map(({ id }) => id)
				: undefined;
		plan.assignments = plan.assignments.filter(
			(assignment) => assignment.groupId !== groupId || assignment.nookId !== fromId
		);
		put(plan, groupId, nookId, moved, thingIds);
		if (!fromId) plan.overflow = plan.overflow.filter((id) => id !== groupId);
	};
}

/**
 * Puts a share of a group into a nook of a plan. What comes to another part of its group joins it; all of a group in one
 * place is the group.
 */
function put(
	plan: Pick<ZonePlan, 'assignments'>,
	groupId: string,
	nookId: string,
	share: number,
	thingIds: readonly ThingId[] | undefined
): void {
	const there = plan.assignments.find((one) => one.groupId === groupId && one.nookId === nookId);
	if (!there) {
		plan.assignments.push({
			groupId: GroupId.parse(groupId),
			nookId: NookId.parse(nookId),
			share,
			...(thingIds?.length && { thingIds: [...thingIds] })
		});
		return;
	}
	there.share = Math.min(1, Math.round((there.share + share) * 1e6) / 1e6);
	if (there.share > 1 - 1e-6 || !thingIds || !there.thingIds) delete there.thingIds;
	else there.thingIds = [...new Set([...there.thingIds, ...thingIds])];
}

/**
 * Makes the edit that moves one thing of a group from one nook of the plan in force to another; the rest of its group
 * stays. Where shares do not say which things they are, nothing is changed, nor where the nook does not hold it.
 */
export function moveThing(thingId: string, fromId: string, nookId: string): Edit {
	return (draft) => {
		const plan = draft.activePlanId ? draft.zonePlans[draft.activePlanId] : undefined;
		const thing = draft.things[thingId];
		if (!plan || !thing?.groupId || fromId === nookId || !draft.nooks[nookId]) return;
		const { groupId } = thing;
		const own = plan.assignments.filter((one) => one.groupId === groupId);
		const row = own.find((one) => one.nookId === fromId);
		// A whole group is all its things; a share of everything is nothing that one could move.
		const isWhole = own.length === 1;
		const here = isWhole
			? Object.values(draft.things).filter((one) => one.groupId === groupId)
			: (row?.thingIds ?? []).flatMap((id) => draft.things[id] ?? []);
		if (!row || !here.some(({ id }) => id === thing.id)) return;
		if (own.some((one) => one.nookId === nookId && !one.thingIds)) return;
		const rest = here.filter(({ id }) => id !== thing.id);
		const litres = here.reduce((sum, one) => sum + pieceVolumeMl(one), 0) || 1;
		const share = rest.length ? (row.share * pieceVolumeMl(thing)) / litres : row.share;
		if (rest.length) {
			row.share -= share;
			row.thingIds = rest.map(({ id }) => id);
		} else plan.assignments = plan.assignments.filter((one) => one !== row);
		put(plan, groupId, nookId, share, [thing.id]);
	};
}

/** Makes the edit that adds a pin or a ban, or takes it away when it stands already. */
export function togglePin(groupId: string, nookId: string, kind: Pin['kind']): Edit {
	return (draft) => {
		const at = draft.pins.findIndex(
			(pin) => pin.groupId === groupId && pin.nookId === nookId && pin.kind === kind
		);
		if (at >= 0) draft.pins.splice(at, 1);
		else {
			const plan = draft.activePlanId ? draft.zonePlans[draft.activePlanId] : undefined;
			const here = plan?.assignments.find(
				(one) => one.groupId === groupId && one.nookId === nookId
			);
			draft.pins.push({
				groupId: GroupId.parse(groupId),
				nookId: NookId.parse(nookId),
				kind,
				// The part that stands there is the one that is meant.
				...(here?.thingIds && { thingIds: [...here.thingIds] })
			});
		}
	};
}

/** Makes the edit that says how a kind stands in a kind of place in this home; null: as it usually does. */
export function setBelongs(kind: string, spot: Spot, standing: PlaceRank | null): Edit {
	return (draft) => {
		draft.belongs = draft.belongs.filter((row) => row.kind !== kind || row.spot !== spot);
		if (standing) draft.belongs.push({ kind, spot, standing });
	};
}

/** Makes the edit that says until when the household still learns the places of a plan; null: not said. */
export function learnUntil(planId: string, until: string | null): Edit {
	return (draft) => {
		const plan = draft.zonePlans[planId];
		if (plan) plan.learnUntil = until;
	};
}
