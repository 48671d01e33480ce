export interface Quantity {
	readonly value: number;
	readonly unit: 'g' | 'ml';
}
export type QuantityResult =
	| { readonly ok: true; readonly quantity: Quantity }
	| {
			readonly ok: false;
			readonly code: 'quantity-unreadable' | 'quantity-nonsense';
			readonly text: string;
	  };

/** Millilitres or grams in one of each unit; sources: the definitions of the units. */
export const QUANTITY_UNITS: Readonly<Record<string, readonly [number, Quantity['unit']]>> = {
	kg: [1000, 'g'],
	g: [1, 'g'],
	lb: [453.592, 'g'],
	oz: [28.3495, 'g'],
	l: [1000, 'ml'],
	dl: [100, 'ml'],
	cl: [10, 'ml'],
	ml: [1, 'ml'],
	'fl oz': [29.5735, 'ml'],
	cup: [236.588, 'ml'],
	pt: [568.261, 'ml'],
	qt: [946.353, 'ml']
};

/** Spellings of the units, for a pattern; longer ones first, so that `fl oz` is not read as `oz`. */
export const QUANTITY_UNIT_WORDS = String.raw`fl\.?\s?oz|kg|lbs?|oz|ml|cl|dl|cups?|pints?|pt|quarts?|qt|litres?|liters?|g|l`;

/** Gives the unit that a spelling means. @example unitOf('Pints') // 'pt' */
export function quantityUnit(word: string): string {
	const low = word.toLowerCase().replace(/[.\s]/g, '');
	if (low === 'floz') return 'fl oz';
	if (low.startsWith('lb')) return 'lb';
	if (low.startsWith('cup')) return 'cup';
	if (low.startsWith('p')) return 'pt';
	if (low.startsWith('q')) return 'qt';
	return low.startsWith('lit') ? 'l' : low;
}

const MOST = 1_000_000;
const WHOLE = new RegExp(
	String.raw`^\s*(\d+(?:[.,]\d+)?|\d+\s*/\s*\d+|\d+\s+\d+\s*/\s*\d+)\s*(${QUANTITY_UNIT_WORDS})\s*$`,
	'i'
);

function readNumber(text: string): number {
	const parts = text.trim().split(/\s+(?=\d+\s*\/)/);
	return parts.reduce((sum, part) => {
		const [top = '', bottom] = part.split('/');
		return sum + Number(top.replace(',', '.')) / (bottom === undefined ? 1 : Number(bottom));
	}, 0);
}

/**
 * Reads a mass or a volume with its unit, rounded to whole grams or millilitres. Zero and more than a tonne are
 * nonsense for a household.
 * @example parseQuantity('1 1/2 cups') // { ok: true, quantity: { value: 355, unit: 'ml' } }
 */
export function parseQuantity(text: string): QuantityResult {
	const found = WHOLE.exec(text);
	if (!found) return { ok: false, code: 'quantity-unreadable', text };
	const [times, unit] = QUANTITY_UNITS[quantityUnit(found[2]!)]!;
	const value = Math.round(readNumber(found[1]!) * times);
	return value > 0 && value <= MOST
		? { ok: true, quantity: { value, unit } }
		: { ok: false, code: 'quantity-nonsense', text };
}

const short = (value: number, digits: number) => String(Number(value.toFixed(digits)));

/** Writes a quantity so that `parseQuantity` reads the same back. @example formatQuantity({ value: 1500, unit: 'g' }) // '1.5 kg' */
export function formatQuantity({ value, unit }: Quantity): string {
	if (value < 1000) return `${value} ${unit}`;
	return `${short(value / 1000, 3)} ${unit === 'g' ? 'kg' : 'l'}`;
}

/** Writes a volume the four ways in which recipes and labels count. @example volumeWays(1000).cups // '4.2 cups' */
export function volumeWays(
	ml: number
): Readonly<Record<'metric' | 'cups' | 'flOz' | 'quarts', string>> {
	const per = (unit: string) => ml / QUANTITY_UNITS[unit]![0];
	return {
		metric: formatQuantity({ value: Math.round(ml), unit: 'ml' }),
		cups: `${short(per('cup'), 1)} cups`,
		flOz: `${short(per('fl oz'), 0)} fl oz`,
		quarts: `${short(per('qt'), 2)} qt`
	};
}
