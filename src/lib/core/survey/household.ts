import { byAge } from './growth';
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

/** Makes the edit that adds a pet; what kind of animal it is may be said later. */
export function addPet(id: string, name: string, kind = 'pet'): Edit {
	return (draft) => {
		const petId = PetId.parse(id);
		draft.pets[petId] = { id: petId, name, kind };
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

/** Who a household usually has, to begin with: each with what places must not ask of them. */
export const USUAL_PEOPLE = [
	{ key: 'adult', name: 'Adult', statureMm: USUAL_STATURE_MM, ageBand: 'adult' },
	{ key: 'older', name: 'Older person', statureMm: 1630, ageBand: 'older', noClimb: true },
	{ key: 'seated', name: 'Person who sits', statureMm: 1680, ageBand: 'adult', seated: true },
	{ key: 'child', name: 'Child', ...byAge(8) },
	{ key: 'toddler', name: 'Toddler', ...byAge(2) }
] as const satisfies readonly {
	readonly key: string;
	readonly name: string;
	readonly statureMm: number;
	readonly ageBand: Person['ageBand'];
	readonly noClimb?: true;
	readonly seated?: true;
}[];
export type UsualPerson = (typeof USUAL_PEOPLE)[number]['key'];

/** Makes the edit that adds one of the usual people, told apart by a number where there is one like it. */
export function addUsualPerson(id: string, key: UsualPerson): Edit {
	const usual = USUAL_PEOPLE.find((each) => each.key === key);
	return (draft) => {
		if (!usual) return;
		const { name, statureMm, ageBand } = usual;
		const same = Object.values(draft.people).filter((person) =>
			person.name.startsWith(name)
		).length;
		addPerson(id, same ? `${name} ${same + 1}` : name)(draft);
		const noClimb = 'noClimb' in usual || 'seated' in usual || ageBand === 'toddler';
		const limits = { noClimb, seated: 'seated' in usual ? { ...SEATED } : null };
		changePerson(id, { statureMm, ageBand, limits })(draft);
	};
}
