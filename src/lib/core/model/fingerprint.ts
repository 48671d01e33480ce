/**
 * Hashes plain data into 16 hex digits; equal data gives equal digits whatever the order of its keys.
 * Not for secrets: it only tells whether a derived result is stale. (FNV-1a, two 32-bit lanes.)
 * @example fingerprint({ a: 1, b: 2 }) === fingerprint({ b: 2, a: 1 }) // true
 */
export function fingerprint(data: unknown): string {
	const text = canonical(data);
	let low = 0x811c9dc5;
	let high = 0x1b873593;
	for (let i = 0; i < text.length; i++) {
		const code = text.charCodeAt(i);
		low = Math.imul(low ^ code, 0x01000193);
		high = Math.imul(high ^ (code + i), 0x85ebca6b);
	}
	return [low, high].map((lane) => (lane >>> 0).toString(16).padStart(8, '0')).join('');
}

function canonical(data: unknown): string {
	if (Array.isArray(data)) return `[${data.map(canonical).join()}]`;
	if (data && typeof data === 'object') {
		const keys = Object.keys(data).sort();
		const row = data as Record<string, unknown>;
		return `{${keys.map((key) => `${key}:${canonical(row[key])}`).join()}}`;
	}
	return JSON.stringify(data) ?? 'undefined';
}
