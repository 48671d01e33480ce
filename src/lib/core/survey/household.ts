import { PersonId, PetId, type Edit, type Person } from '../model';

/** Stature of an adult until it is measured, mm. */
const USUAL_STATURE_MM = 1700;

/** Makes the edit that adds a person of usual stature without limits. */
export function addPerson(id: string, name: string): Edit {
	return (draft) => {
		const personId = PersonId.parse(id);
		draft.people[personId] = {
			id: personId,
			name,
			statureMm: USUAL_STATURE_MM,
			ageBand: 'adult',
			visits: false,
			limits: { maxLiftG: null, noClimb: false, noAboveShoulder: false },
			diets: [],
			allergies: []
		};
	};
}

/** Makes the edit that changes some of what is known of a person. */
export function changePerson(id: string, change: Partial<Omit<Person, 'id'>>): Edit {
	return (draft) => {
		const person = draft.people[id];
		if (person) Object.assign(person, change);
	};
}

/** Makes the edit that takes a person away; what was theirs alone is then everybody's. */
export function removePerson(id: string): Edit {
	return (draft) => {
		for (const thing of Object.values(draft.things))
			if (thing.userIds.includes(id as PersonId))
				thing.userIds = thing.userIds.filter((user) => user !== id);
		delete draft.people[id];
	};
}

/** Makes the edit that adds a pet. */
export function addPet(id: string, name: string): Edit {
	return (draft) => {
		const petId = PetId.parse(id);
		draft.pets[petId] = { id: petId, name, kind: 'pet' };
	};
}

/** Makes the edit that takes a pet away. */
export function removePet(id: string): Edit {
	return (draft) => void delete draft.pets[id];
}
