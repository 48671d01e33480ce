export {
	CAP_SHARE,
	cutText,
	LINE_SHARE,
	PRINT_FAMILY,
	textWidthMm,
	unprintable,
	wrapText,
	type Face
} from './measure';
export { INK, PAPERS, RULE, SOFT, type Paper, type PrintItem, type PrintPage } from './page';
export { DASH_MM, pageSvg, type PrintFonts } from './svg';
