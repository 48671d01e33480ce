export { fitText, textWidthMm, unprintable, type FittedText, type TextBox } from './fit-text';
export { nameLabel } from './name-label';
export { proposeLabels, type LabelText } from './propose';
export {
	DEFAULT_IMPOSE,
	imposeLabels,
	LABEL_SHEETS,
	TAG_MM,
	type ImposeOptions,
	type LabelSheet,
	type PlacedLabel,
	type SheetPage
} from './sheets';
export { linesOf, sheetSvg, type TextLine } from './sheet-svg';
