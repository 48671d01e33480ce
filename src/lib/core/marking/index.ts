export { hazardOf, markedContainers, markedPlaces, type Marked, type MarkHazard } from './contents';
export { bareOnes, learnedWords, proposeContainerWords, proposePlaceWords } from './words';
export { containerLabels, isUnprinted, placeLabels, type LabelText } from './propose';
export {
	labelledSections,
	lidLabels,
	lotLabels,
	plainContents,
	sectionLabel,
	zoneLabels,
	type SectionLabel
} from './more-sets';
export { leaveBare, nameLabel, notePrinted } from './name-label';
export { fieldsOf, LABEL_FIELDS, type FieldLine, type LabelField } from './fields';
export { fitText, type FittedText, type TextBox } from './fit-text';
export {
	DEFAULT_IMPOSE,
	imposeLabels,
	LABEL_SHEETS,
	sheetIssue,
	type ImposeOptions,
	type LabelPage,
	type LabelPrint,
	type LaidLabel
} from './sheets';
