import { PersonId, type Edit, type Thing } from '../model';

/** What is known of a thing and may be set by hand. */
export type ThingChange = Partial<
	Pick<
		Thing,
		| 'name'
		| 'cooking'
		| 'hold'
		| 'packUses'
		| 'allergens'
		| 'rim'
		| 'priceMinor'
		| 'avoid'
		| 'piece'
		| 'massG'
	>
> & { readonly useClass?: Thing['use']['class'] };

/** Makes the edit that changes what is known of a thing; what is not named stays. */
export function changeThing(thingId: string, { useClass, ...change }: ThingChange): Edit {
	return (draft) => {
		const thing = draft.things[thingId];
		if (!thing) return;
		Object.assign(thing, change);
		if (useClass) thing.use.class = useClass;
	};
}

/** Makes the edit that says whether a person uses a thing. */
export function setUser(thingId: string, personId: string, uses: boolean): Edit {
	return (draft) => {
		const thing = draft.things[thingId];
		const person = draft.people[personId];
		if (!thing || !person) return;
		const others = thing.userIds.filter((id) => id !== personId);
		thing.userIds = uses ? [...others, PersonId.parse(personId)] : others;
	};
}
