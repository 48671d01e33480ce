import { memoOn, stock, type Home } from '../model';
import { isFrozenLot, sectionsIn, type DateSection } from '../rotation';
import { nooksInOrder } from '../survey';
import { sideOf, type Marked } from './contents';
import { containerLabels, labelsOf, LABEL_KEYS, type LabelHome, type LabelText } from './propose';
import { proposeContainerWords } from './words';

/** Lists the blocks of a place where goods stand without a container: zones inside a drawer or on a shelf. */
export function markedZones(home: Home): Marked[] {
	return Object.values(home.fitPlans).flatMap((plan) => {
		const nook = home.nooks[plan.nookId];
		if (!nook) return [];
		return plan.standing.flatMap((block): Marked[] => {
			const group = home.groups[block.groupId];
			if (!group) return [];
			const things = block.holds.flatMap(({ thingId }) => home.things[thingId] ?? []);
			return [
				{
					id: `${nook.id}/${block.id}`,
					nook,
					placementId: block.id,
					kind: null,
					groups: [group],
					things: things.sort((a, b) => a.name.localeCompare(b.name, 'en')),
					side: sideOf(nook)
				}
			];
		});
	});
}

/** Proposes a label for each zone inside a place; words by hand win. */
export const zoneLabels = memoOn(LABEL_KEYS, (home: LabelHome): readonly LabelText[] => {
	const all = markedZones(home as Home);
	return labelsOf(home as Home, all, proposeContainerWords(all));
});

/** Makes a label for the lid of each container that has one: off the box, it is known again. Its words follow the box. */
export const lidLabels = memoOn(LABEL_KEYS, (home: LabelHome): readonly LabelText[] => {
	const hasLid = new Set(
		Object.values(home.fitPlans).flatMap(({ nookId, placements }) =>
			placements.flatMap(({ id, kindId }) =>
				home.containerKinds[kindId]?.lid ? [`${nookId}/${id}`] : []
			)
		)
	);
	return containerLabels(home)
		.filter(({ id, bare }) => hasLid.has(id) && !bare)
		.map((label) => ({
			...label,
			id: `${label.id}/lid`,
			title: `Lid of ${label.title}`,
			proposed: `Lid of ${label.title}`,
			side: 'top',
			byHand: false,
			lookAt: false,
			isFixed: true
		}));
});

/** What every label of one thing or section has, that hangs on no group and no container. */
const plain = (nookId: string, note: string) => ({
	nookId,
	placementId: null,
	note,
	hazard: null,
	byHand: false,
	bare: false,
	lookAt: false,
	isFixed: true
});

/**
 * Makes a label for each lot that is known by its own label: frozen, or made at home. With its code it is taken down by
 * a scan. The place by place order of the walk; without a place last.
 */
export const lotLabels = memoOn(LABEL_KEYS, (home: LabelHome): readonly LabelText[] =>
	stock(home).flatMap((lot): LabelText[] => {
		const thing = home.things[lot.thingId];
		if (!thing || !(isFrozenLot(home, lot) || lot.dates.madeOn)) return [];
		const group = thing.groupId ? home.groups[thing.groupId] : undefined;
		const nook = lot.nookId ? home.nooks[lot.nookId] : undefined;
		// On a pack out of the freezer the word says nothing, and makes the letters small.
		const words = thing.name.replace(/^frozen +/i, '');
		const title = words.charAt(0).toUpperCase() + words.slice(1);
		return [
			{
				...plain(nook?.id ?? '', nook?.name ?? 'on the table'),
				id: `lot/${lot.id}`,
				groupId: group?.id ?? null,
				title,
				proposed: title,
				code: group?.tag.code ?? '',
				hue: group?.tag.hue ?? 0,
				side: 'top',
				hazard: null,
				thingIds: [thing.id],
				lotId: lot.id
			}
		];
	})
);

/** A section of a shelf that gets a label of its own. */
export interface SectionLabel {
	readonly nookId: string;
	readonly place: string;
	readonly side: LabelText['side'];
	readonly section: DateSection;
}

/** Lists the sections of shelves by what stands there, in the order of the walk; none where dates are kept of each pack. */
export function labelledSections(home: Home): SectionLabel[] {
	const school = home.schools.dates;
	if (school === 'packs') return [];
	return nooksInOrder(home).flatMap(({ nook }) =>
		sectionsIn(home, nook.id, school).map((section) => ({
			nookId: nook.id,
			place: nook.name,
			side: sideOf(nook),
			section
		}))
	);
}
/** Makes the label of a section, its words as they are said. */
export const sectionLabel = (
	{ nookId, place, side, section }: SectionLabel,
	title: string
): LabelText => ({
	...plain(nookId, place),
	id: `${nookId}/${section.key}`,
	groupId: null,
	title,
	proposed: title,
	code: '',
	hue: 0,
	side,
	hazard: null,
	thingIds: []
});

/** What is in a place or container, in plain words, for a code that any phone reads without this program. */
export function plainContents(home: Home, label: LabelText, mostLetters = 300): string {
	const names = label.thingIds.flatMap((id) => home.things[id]?.name ?? []);
	const all = `${label.title}. ${home.nooks[label.nookId]?.name ?? ''}${names.length ? `: ${names.join(', ')}` : ''}`;
	return all.length <= mostLetters ? all : `${all.slice(0, mostLetters - 1)}…`;
}
