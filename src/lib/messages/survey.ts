import { formatLength, type LengthIssue, type LengthUnit } from '../core/model';
import type { ReachBand, SurveyIssue } from '../core/survey';

/** Says what is wrong with a typed length, and how to write it. */
export function lengthIssueText(issue: LengthIssue): string {
	switch (issue.code) {
		case 'length-empty':
			return 'No size typed. Write a number such as 598, 59.8 cm or 23 1/2".';
		case 'length-unreadable':
			return `“${issue.text}” is not a size. Write a number such as 598, 59.8 cm or 23 1/2".`;
		case 'length-negative':
			return `“${issue.text}” is below zero. Measure again from wall to wall.`;
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
			return `Obstruction ${issue.index + 1} reaches out of the nook. Check where it begins and how large it is.`;
		case 'shelves-too-tall':
			return `The shelves together are ${length(issue.sumMm)} high, the cabinet only ${length(issue.cabinetMm)}.`;
	}
}

export const BAND_WORDS: Readonly<Record<ReachBand, string>> = {
	easy: 'easy, hip to shoulder',
	good: 'good, knee to hip or up to the eyes',
	bend: 'bend, below the knee',
	stretch: 'stretch, above the eyes',
	stool: 'needs a step stool'
};
