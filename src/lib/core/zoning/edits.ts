import {
	GroupId,
	NookId,
	type Edit,
	type Pin,
	type PlaceRank,
	type Spot,
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
		const there = own.find((assignment) => assignment.nookId === nookId);
		if (there) {
			there.share = Math.min(1, Math.round((there.share + moved) * 1e6) / 1e6);
			// All of a group in one place is the group.
			if (there.share > 1 - 1e-6 || !thingIds || !there.thingIds) delete there.thingIds;
			else there.thingIds = [...new Set([...there.thingIds, ...thingIds])];
		}
		plan.assignments = plan.assignments.filter(
			(assignment) => assignment.groupId !== groupId || assignment.nookId !== fromId
		);
		if (!there)
			plan.assignments.push({
				groupId: GroupId.parse(groupId),
				nookId: NookId.parse(nookId),
				share: moved,
				...(thingIds?.length && { thingIds })
			});
		if (!fromId) plan.overflow = plan.overflow.filter((id) => id !== groupId);
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
