import { memoOn, type Home, type Mark } from '../model';
import { hazardOf, markedContainers, markedPlaces, type Marked, type MarkHazard } from './contents';
import { bareOnes, learnedWords, proposeContainerWords, proposePlaceWords } from './words';

/** The words of one label, ready to be laid on a sheet. */
export interface LabelText {
	/** Of the container it is on with its nook, or of the nook: unique in the home. */
	readonly id: string;
	readonly nookId: string;
	/** null: it is on the place itself. */
	readonly placementId: string | null;
	readonly groupId: string | null;
	readonly title: string;
	/** What the program would say by itself. */
	readonly proposed: string;
	/** A smaller second line: where it lives. */
	readonly note: string;
	/** Two letters of the group's tag. */
	readonly code: string;
	readonly hue: number;
	/** Seen from above in drawers and chests, else from the front. */
	readonly side: 'front' | 'top';
	readonly hazard: MarkHazard | null;
	/** The words were said by hand. */
	readonly byHand: boolean;
	/** It stays without a label. */
	readonly bare: boolean;
	/** What is in it has changed since its words were said. */
	readonly lookAt: boolean;
	/** Ids of what is in it. */
	readonly thingIds: readonly string[];
	/** The one lot it is on; left out: it is on a place or a container. */
	readonly lotId?: string;
	/** Its words follow something else, and are not changed by themselves. */
	readonly isFixed?: boolean;
}

const markOf = (marks: readonly Mark[], { nook, placementId }: Marked): Mark | undefined =>
	marks.find((mark) => mark.nookId === nook.id && mark.placementId === placementId);

const isSame = (a: readonly string[], b: readonly string[]) =>
	a.length === b.length && [...a].sort().join() === [...b].sort().join();

/** What labels hang on. */
export const LABEL_KEYS = [
	'marks',
	'labelWords',
	'fitPlans',
	'nooks',
	'groups',
	'containerKinds',
	'things',
	'lots',
	'zonePlans',
	'activePlanId'
] as const;
export type LabelHome = Pick<Home, (typeof LABEL_KEYS)[number]>;

export function labelsOf(
	home: Home,
	all: readonly Marked[],
	proposed: ReadonlyMap<string, string>
) {
	const marks = Object.values(home.marks);
	const learned = learnedWords(home, proposed);
	const bare = bareOnes(all.filter(({ placementId }) => placementId));
	return all.map((marked): LabelText => {
		const own = markOf(marks, marked);
		const words = proposed.get(marked.id)!;
		const said = learned.get(words);
		const [group] = marked.groups;
		const thingIds = marked.things.map(({ id }) => id as string);
		return {
			id: marked.id,
			nookId: marked.nook.id,
			placementId: marked.placementId,
			groupId: group?.id ?? null,
			title: own?.text || (said && said.nookId !== marked.nook.id ? said.text : words),
			proposed: words,
			note: own?.note || marked.nook.name,
			code: group?.tag.code ?? '',
			hue: group?.tag.hue ?? 0,
			side: marked.side,
			hazard: hazardOf(home, marked),
			byHand: !!own?.text,
			bare: own?.bare ?? bare.has(marked.id),
			lookAt: !!own?.text && own.thingIds.length > 0 && !isSame(own.thingIds, thingIds),
			thingIds
		};
	});
}

/** Proposes a label for every container of the kept fits; words by hand win, and hold for what is alike. */
export const containerLabels = memoOn(LABEL_KEYS, (home: LabelHome): readonly LabelText[] => {
	const all = markedContainers(home as Home);
	return labelsOf(home as Home, all, proposeContainerWords(all));
});

/** Whether a label is not on its bin yet: never printed, or with other words. */
export const isUnprinted = (home: Pick<Home, 'printed'>, { id, title, bare }: LabelText): boolean =>
	!bare && home.printed[id] !== title;

/** Proposes a label for every place that the plan gives to groups: shelf edges, drawers, doors. */
export const placeLabels = memoOn(LABEL_KEYS, (home: LabelHome): readonly LabelText[] => {
	const all = markedPlaces(home as Home);
	return labelsOf(
		home as Home,
		all,
		new Map(all.map((each) => [each.id, proposePlaceWords(each)]))
	);
});
