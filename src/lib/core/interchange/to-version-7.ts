import type { Row } from './with-more';

/** Carries a home from version 6 to 7: people who sit, and where kinds belong here. */
export function toVersion7(home: unknown): unknown {
	const from = home as Row;
	return {
		belongs: [],
		...from,
		people: Object.fromEntries(
			Object.entries((from.people ?? {}) as Record<string, Row>).map(([id, person]) => [
				id,
				{ ...person, limits: { seated: null, ...(person.limits as Row | undefined) } }
			])
		)
	};
}
