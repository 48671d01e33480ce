import { PersonId, PetId, type Edit, type Person } from '../model';

/** Stature of an adult until it is measured, mm. */
const USUAL_STATURE_MM = 1700;

/** Between which heights somebody who sits usually takes things, mm. */
export const SEATED = { lowMm: 400, highMm: 1200 } as const;

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
			limits: { maxLiftG: null, noClimb: false, noAboveShoulder: false, seated: null },
			diets: [],
			allergies: []
		};
	};
}

export type PersonChange = Partial<Omit<Person, 'id' | 'limits'>> & {
	readonly limits?: Partial<Person['limits']>;
};

/** Makes the edit that changes some of what is known of a person; limits that are not named stay. */
export function changePerson(id: string, { limits, ...change }: PersonChange): Edit {
	return (draft) => {
		const person = draft.people[id];
		if (!person) return;
		Object.assign(person, change);
		Object.assign(person.limits, limits);
	};
}

/** Makes the edit that takes a person away; what was theirs alone is then everybody's. */
export function removePerson(id: string): Edit {
	return (draft) => void delete draft.people[id];
}

/** Makes the edit that adds a pet. */
export function addPet(id: string, name: string): Edit {
	return (draft) => {
		const petId = PetId.parse(id);
		draft.pets[petId] = { id: petId, name, kind: 'pet' };
	};
}

/** Makes the edit that says what kind of animal a pet is: what harms it, and what it gets at, go by that. */
export function changePet(id: string, kind: string): Edit {
	return (draft) => {
		const pet = draft.pets[id];
		if (pet) pet.kind = kind;
	};
}

/** Makes the edit that takes a pet away. */
export function removePet(id: string): Edit {
	return (draft) => void delete draft.pets[id];
}
