import { parseLength, parseQuantity, type Home } from '../model';
import type { SummedFigure } from './aggregate';

/**
 * Reads a figure of a group as it is typed, in its own unit: uses a week, ml, mm or g. A bare number means litres of
 * what is measured in litres. Null: it is not one.
 * @example parseFigure('volumeMl', '25', 'mm') // 25000
 */
export function parseFigure(
	figure: SummedFigure,
	text: string,
	units: Home['units']
): number | null {
	switch (figure) {
		case 'usesPerWeek': {
			const value = text.trim() ? Number(text.replace(',', '.')) : NaN;
			return value >= 0 && value <= 1000 ? value : null;
		}
		case 'runMm':
		case 'tallestMm':
		case 'longestMm': {
			const length = parseLength(text, units);
			return length.ok ? length.mm : null;
		}
		case 'volumeMl':
		case 'massG':
		case 'heaviestG': {
			const isBare = figure === 'volumeMl' && /^[\d.,]+$/.test(text.trim());
			const amount = parseQuantity(isBare ? `${text} l` : text);
			const unit = figure === 'volumeMl' ? 'ml' : 'g';
			return amount.ok && amount.quantity.unit === unit ? amount.quantity.value : null;
		}
	}
}
