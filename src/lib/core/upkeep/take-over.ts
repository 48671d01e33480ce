import { containerLabels, placeLabels } from '../marking';
import type { ContainerKind, Edit, Home, HomeHead, Person, Pet, Settings } from '../model';

/** What can be taken from one home to another. */
export const TAKE_OVER = ['people', 'ways', 'containers', 'words'] as const;
export type TakeOverPart = (typeof TAKE_OVER)[number];

/** What is taken over, as plain data; a part that is left out stays as it is. */
export interface TakenOver {
	readonly people?: readonly Person[];
	readonly pets?: readonly Pet[];
	readonly schools?: HomeHead['schools'];
	readonly settings?: Settings;
	readonly belongs?: HomeHead['belongs'];
	readonly containers?: readonly ContainerKind[];
	/** Words that were said in the place of proposed ones. */
	readonly words?: Readonly<Record<string, string>>;
}

/** The household's own words of labels, by the words that were proposed. */
export function ownWords(home: Home): Record<string, string> {
	const said = [...containerLabels(home), ...placeLabels(home)].filter(
		({ byHand, title, proposed }) => byHand && title !== proposed
	);
	return {
		...home.labelWords,
		...Object.fromEntries(said.map(({ proposed, title }) => [proposed, title]))
	};
}

/** Gives the parts of a home that are asked for, ready to be taken over. */
export function partsToTake(home: Home, parts: readonly TakeOverPart[]): TakenOver {
	const has = (part: TakeOverPart) => parts.includes(part);
	return {
		...(has('people') && { people: Object.values(home.people), pets: Object.values(home.pets) }),
		...(has('ways') && {
			schools: home.schools,
			settings: home.settings,
			belongs: home.belongs
		}),
		...(has('containers') && { containers: Object.values(home.containerKinds) }),
		...(has('words') && { words: ownWords(home) })
	};
}

const isThere = (records: Readonly<Record<string, { name: string }>>, name: string): boolean =>
	Object.values(records).some(
		(each) => each.name.trim().toLowerCase() === name.trim().toLowerCase()
	);

/**
 * Makes the edit that takes parts of another home over: people, pets and kinds of container of names that are not here
 * come along, none of them owned; ways of working and words take the place of those here. Nothing is taken away.
 */
export function takeOver(taken: TakenOver, newId: () => string): Edit {
	return (draft) => {
		const add = <Row extends { id: string; name: string }>(
			records: Record<string, Row>,
			rows: readonly Row[],
			change: (row: Row) => Row = (row) => row
		) => {
			for (const row of rows) {
				if (isThere(records, row.name)) continue;
				const id = (records[row.id] ? newId() : row.id) as Row['id'];
				records[id] = { ...change(row), id };
			}
		};
		add(draft.people as Record<string, Person>, taken.people ?? []);
		add(draft.pets as Record<string, Pet>, taken.pets ?? []);
		add(draft.containerKinds as Record<string, ContainerKind>, taken.containers ?? [], (kind) => ({
			...kind,
			owned: 0
		}));
		if (taken.schools) draft.schools = structuredClone(taken.schools);
		if (taken.settings) draft.settings = structuredClone(taken.settings);
		if (taken.belongs) draft.belongs = structuredClone(taken.belongs) as HomeHead['belongs'];
		Object.assign(draft.labelWords, taken.words);
	};
}
