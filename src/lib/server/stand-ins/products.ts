import rows from '../../../../data/products.json';
import { checkDigit } from '../../core/clearing';

export interface Product {
	/** 13 digits, in the range that is kept for use within one store. */
	readonly code: string;
	readonly name: string;
	readonly size: string;
}
export const PRODUCTS: readonly Product[] = rows;

/** Finds an invented product by its number, 8 to 14 digits. */
export function productOf(code: string): Product | null {
	const plain = code.replace(/^0+/, '');
	return PRODUCTS.find((product) => product.code.replace(/^0+/, '') === plain) ?? null;
}

const two = (value: number) => String(value).padStart(2, '0');

/**
 * Gives what a scanner would send for some pack from the directory: mostly its plain number, at times a string of
 * fields with date and batch or an address, and now and then a misread digit.
 */
export function scan(random: () => number, today: string): string {
	const product = PRODUCTS[Math.floor(random() * PRODUCTS.length)]!;
	const kind = random();
	if (kind < 0.08) {
		const body = product.code.slice(0, -1);
		return body + String((checkDigit(body) + 1 + Math.floor(random() * 9)) % 10);
	}
	if (kind < 0.65) return product.code;
	const year = Number(today.slice(2, 4)) + (random() < 0.7 ? 1 : 0);
	const date = `${two(year)}${two(1 + Math.floor(random() * 12))}${two(1 + Math.floor(random() * 28))}`;
	const gtin = product.code.padStart(14, '0');
	const batch = `B${Math.floor(random() * 9000) + 1000}`;
	return kind < 0.85
		? `(01)${gtin}(15)${date}(10)${batch}`
		: `https://id.example/01/${gtin}/10/${batch}?15=${date}`;
}
