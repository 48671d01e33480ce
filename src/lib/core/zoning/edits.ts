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

/** Makes the edit that moves a group by hand to one nook in the plan in force. */
export function moveGroup(groupId: string, nookId: string): Edit {
	return (draft) => {
		const plan = draft.activePlanId ? draft.zonePlans[draft.activePlanId] : undefined;
		if (!plan) return;
		const id = GroupId.parse(groupId);
		plan.assignments = [
			...plan.assignments.filter((assignment) => assignment.groupId !== id),
			{ groupId: id, nookId: NookId.parse(nookId), share: 1 }
		];
		plan.overflow = plan.overflow.filter((other) => other !== id);
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
