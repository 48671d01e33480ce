import { z } from 'zod';
import type { CodeScanner, ProductDirectory } from '../../core/devices';
import { ask } from './ask';

const Scan = z.object({ text: z.string().max(400) });
const Product = z.object({ name: z.string().max(200), size: z.string().max(40) });

/** The stand-in for a hand scanner that the server ships. */
export const standInScanner: CodeScanner = {
	async scan() {
		const device = 'The scanner';
		const asked = await ask(device, '/api/v1/stand-ins/scanner');
		if (!asked.ok) return asked;
		const answer = Scan.safeParse(asked.body);
		return answer.success
			? { ok: true, text: answer.data.text }
			: { ok: false, issue: { code: 'device-garbled', device } };
	}
};

/** The stand-in for a directory of products that the server ships: a few hundred invented ones. */
export const standInDirectory: ProductDirectory = {
	async find(gtin) {
		const device = 'The product directory';
		const asked = await ask(device, `/api/v1/stand-ins/products/${encodeURIComponent(gtin)}`);
		if (!asked.ok) return asked;
		if (asked.status === 404) return { ok: true, product: null };
		const answer = Product.safeParse(asked.body);
		return answer.success
			? { ok: true, product: answer.data }
			: { ok: false, issue: { code: 'device-garbled', device } };
	}
};
