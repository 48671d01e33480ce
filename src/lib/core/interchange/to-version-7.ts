import { inEach, withMore, type Row } from './with-more';

/** Kinds of the usual catalogue whose role has a name of its own now. */
const ROLES: Readonly<Record<string, string>> = { 'rack-tray': 'upright', 'rack-bottle': 'cradle' };

const listOf = (value: unknown): Row[] => (Array.isArray(value) ? value : []);

/**
 * Carries a home from version 6 to 7: people who sit, where kinds belong here, what stands in which container, a
 * budget, densities weighed by hand, and packs or jars group by group.
 */
export function toVersion7(home: unknown): unknown {
	const from = home as Row;
	return {
		belongs: [],
		...from,
		settings: { budgetMinor: null, ...(from.settings as Row | undefined) },
		people: inEach(from.people, (person) => ({
			limits: { seated: null, ...(person.limits as Row | undefined) }
		})),
		things: withMore(from.things, () => ({ densityGPerMl: null })),
		groups: withMore(from.groups, () => ({ boxes: null })),
		containerKinds: inEach(from.containerKinds, ({ id, role }) => ({
			role: ROLES[String(id)] ?? role
		})),
		fitPlans: inEach(from.fitPlans, (plan) => ({
			placements: listOf(plan.placements).map((row) => ({ holds: [], ...row })),
			standing: listOf(plan.standing).map((row) => ({ holds: [], ...row })),
			leftOver: listOf(plan.leftOver).map((row) => ({ thingId: null, pieces: 0, ...row }))
		}))
	};
}
