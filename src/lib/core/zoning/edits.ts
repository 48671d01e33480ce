import { GroupId, NookId, type Edit, type Pin, type ZonePlan } from '../model';

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
		const there = own.find((assignment) => assignment.nookId === nookId);
		if (there) there.share = Math.round((there.share + moved) * 1e6) / 1e6;
		plan.assignments = plan.assignments.filter(
			(assignment) => assignment.groupId !== groupId || assignment.nookId !== fromId
		);
		if (!there)
			plan.assignments.push({
				groupId: GroupId.parse(groupId),
				nookId: NookId.parse(nookId),
				share: moved
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
		else draft.pins.push({ groupId: GroupId.parse(groupId), nookId: NookId.parse(nookId), kind });
	};
}

/** Makes the edit that says until when the household still learns the places of a plan; null: not said. */
export function learnUntil(planId: string, until: string | null): Edit {
	return (draft) => {
		const plan = draft.zonePlans[planId];
		if (plan) plan.learnUntil = until;
	};
}
