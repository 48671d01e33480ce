import {
	formatLength,
	type ClimateTag,
	type Fixings,
	type HiddenKind,
	type Home,
	type LengthIssue,
	type LengthUnit
} from '../core/model';
import {
	partOf,
	type HiddenPlace,
	type PlanItem,
	type ReachBand,
	type SurveyIssue,
	type TriangleIssue
} from '../core/survey';

/** Says what is wrong with a typed length, and how to write it. */
export function lengthIssueText(issue: LengthIssue): string {
	switch (issue.code) {
		case 'length-empty':
			return 'No size typed. Write a number such as 598, 59.8 cm or 23 1/2".';
		case 'length-unreadable':
			return `“${issue.text}” is not a size. Write a number such as 598, 59.8 cm or 23 1/2".`;
		case 'length-negative':
			return `“${issue.text}” is below zero. Measure again from side to side.`;
		case 'length-too-large':
			return `“${issue.text}” is over 100 m. Check the unit.`;
	}
}

const SIDE_WORDS = { width: 'width', depth: 'depth', height: 'height' } as const;
const sideWord = (field: SurveyIssue['field']) =>
	field in SIDE_WORDS ? SIDE_WORDS[field as keyof typeof SIDE_WORDS] : field;

/** Says what cannot be about a nook, and the way out. */
export function surveyIssueText(issue: SurveyIssue, unit: LengthUnit): string {
	const length = (mm: number) => formatLength(mm, unit);
	switch (issue.code) {
		case 'size-missing':
			return `The ${sideWord(issue.field)} is not measured yet.`;
		case 'size-zero':
			return `The ${sideWord(issue.field)} is zero. Measure the inside again.`;
		case 'larger-than-cabinet':
			return `The ${sideWord(issue.field)} of ${length(issue.insideMm)} is more than the cabinet's own ${length(issue.outsideMm)}. Measure one of them again.`;
		case 'unit-slip':
			return `The ${sideWord(issue.field)} of ${length(issue.insideMm)} does not go with a cabinet of ${length(issue.outsideMm)}. Did you mean ${length(issue.likelyMm)}?`;
		case 'opening-larger':
			return `The way in (${length(issue.openingMm)}) is larger than the inside (${length(issue.insideMm)}). Measure one of them again.`;
		case 'obstruction-outside':
			return `Obstruction ${issue.index + 1} sticks out of the place. Check where it starts and how big it is.`;
		case 'cabinets-overlap':
			return `It stands ${length(issue.byMm)} into ${issue.other}. Change where one of them begins, or its width.`;
		case 'beyond-wall':
			return `It ends ${length(issue.byMm)} beyond its wall. Move it, or measure the wall again.`;
		case 'cabinet-size':
			return `An outer ${issue.side} of ${length(issue.mm)} cannot be. Check the unit and measure it again.`;
		case 'places-overlap':
			return `It overlaps “${issue.other}” by ${length(issue.byMm)}. Measure both again, or the cabinet.`;
		case 'shelves-too-tall':
			return `The shelves add up to ${length(issue.sumMm)}, but the cabinet is only ${length(issue.cabinetMm)} high.`;
	}
}

export const BAND_WORDS: Readonly<Record<ReachBand, string>> = {
	easy: 'easy, hip to shoulder',
	good: 'good, knee to hip or up to the eyes',
	bend: 'bend, below the knee',
	stretch: 'stretch, above the eyes',
	stool: 'needs a step stool'
};

/** Says what is wrong with the work triangle, and what helps. */
export function triangleIssueText(issue: TriangleIssue, unit: LengthUnit): string {
	const length = (mm: number) => formatLength(mm, unit);
	switch (issue.code) {
		case 'side-short':
			return `From ${issue.side.from.name} to ${issue.side.to.name} is ${length(issue.side.mm)}, under ${length(issue.limitMm)}: there is nowhere to put anything down in between.`;
		case 'side-long':
			return `From ${issue.side.from.name} to ${issue.side.to.name} is ${length(issue.side.mm)}, over ${length(issue.limitMm)}: you walk that many times for every meal.`;
		case 'sum-long':
			return `The three sides are ${length(issue.sumMm)} together, over ${length(issue.limitMm)}.`;
		case 'no-way':
			return `You cannot walk from ${issue.from.name} to ${issue.to.name}. Check the doorways, the obstacles and where the stations are.`;
		case 'path-crosses':
			return `The way from ${issue.from} to ${issue.to} cuts through the triangle, so people walk through while somebody cooks.`;
	}
}

export const HIDDEN_WORDS: Readonly<Record<HiddenKind, string>> = {
	'second-shelf': 'A second shelf',
	'under-shelf-basket': 'A basket under the shelf',
	'door-rack': 'A rack on the door',
	'door-hooks': 'Hooks on the door',
	'wall-hooks': 'Hooks under the cabinet',
	'cabinet-top': 'The top of the cabinet',
	'slide-out': 'A slide-out beside the pipes',
	turntable: 'A turntable',
	trolley: 'A trolley in the gap',
	'side-panel': 'The side panel',
	'under-bed': 'The space under the bed',
	'unused-cupboard': 'An unused cupboard'
};

/** Says what was checked of the load of a found place, and the caution that belongs to it. */
export function loadCheckText({ loadCheck, damp }: HiddenPlace): string {
	switch (loadCheck) {
		case 'own-feet':
			return 'It stands on its own feet.';
		case 'shelf-above':
			return 'It hangs on the shelf above, which has this much to spare.';
		case 'unknown-shelf':
			return 'It hangs on the shelf above, and what that can carry is not known: check its pegs first.';
		case 'hinges':
			return 'It hangs on the door hinges: light things only, and make sure the door still closes.';
		case 'fixing':
			return damp
				? 'It hangs on its fixing: go by the rating on the pack, and by half of it here, because the place is damp.'
				: 'It hangs on its fixing: go by the rating on the pack. Before you drill, know what runs in the wall.';
	}
}

export const CLIMATE_WORDS: Readonly<Record<ClimateTag, string>> = {
	heat: 'warm: by an oven, boiler, dryer or exhaust',
	steam: 'steam: by a kettle, hob or dishwasher',
	sun: 'sunlit',
	damp: 'damp',
	unheated: 'unheated, or hot in summer',
	ventilated: 'ventilated'
};
/** A word each for the sums of space. */
export const CLIMATE_SHORT: Readonly<Record<string, string>> = {
	room: 'room air',
	chilled: 'chilled',
	frozen: 'frozen',
	heat: 'warm',
	steam: 'steam',
	sun: 'sunlit',
	damp: 'damp',
	unheated: 'unheated',
	ventilated: 'ventilated'
};

export const FIXING_WORDS: Readonly<Record<Fixings, string>> = {
	any: 'screws allowed',
	'no-holes': 'nothing that leaves a hole',
	none: 'nothing fixed to it'
};

/** Names a thing on the plan as one would point at it. */
export function planItemText(home: Home, item: PlanItem): string {
	const place = home.rooms[item.id];
	const room = place?.name ?? '';
	const nth = (parts: readonly { readonly id: string }[] | undefined) =>
		(parts?.findIndex(({ id }) => 'part' in item && id === item.part) ?? -1) + 1;
	switch (item.kind) {
		case 'room':
			return room;
		case 'corner':
			return `Corner ${nth(place?.outline)} of ${room}`;
		case 'wall':
			return `Wall ${nth(place?.outline)} of ${room}`;
		case 'door':
			return `Doorway ${nth(place?.doors)} of ${room}`;
		case 'obstacle':
			return partOf(place?.obstacles, item.part)?.name || 'Obstacle';
		case 'socket':
			return `Socket ${nth(place?.sockets)} of ${room}`;
		case 'station':
			return home.stations[item.id]?.name ?? 'Station';
		case 'cabinet':
			return home.cabinets[item.id]?.name ?? 'Cabinet';
		case 'run':
			return home.runs[item.id]?.name ?? 'Run';
		case 'run-end':
			return `${item.end === 'from' ? 'Left' : 'Right'} end of ${home.runs[item.id]?.name ?? 'the run'}`;
	}
}

/** Where each of the three readings of a side is taken. */
export const READING_SPOTS = {
	widthMm: ['at the bottom', 'halfway up', 'at the top'],
	depthMm: ['at the left', 'in the middle', 'at the right'],
	heightMm: ['at the left', 'in the middle', 'at the right']
} as const;
