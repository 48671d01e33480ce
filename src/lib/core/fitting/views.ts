import type { ContainerRole } from '../model';

/** Trays are for what is seen from above, steps and turntables for what is seen from the front. */
const FROM_ABOVE: ReadonlySet<ContainerRole> = new Set(['divider']);
const FROM_FRONT: ReadonlySet<ContainerRole> = new Set([
	'riser',
	'turntable',
	'cradle',
	'slide',
	'level'
]);
/** Whether a form suits how one looks into a place; where no form of a thing does, any of them may. */
export function suitsView(
	role: ContainerRole,
	roles: readonly ContainerRole[],
	seenFromAbove: boolean
): boolean {
	// Nothing is taken from under it from above.
	if (role === 'level' && seenFromAbove) return false;
	const wrong = seenFromAbove ? FROM_FRONT : FROM_ABOVE;
	return !wrong.has(role) || roles.every((other) => wrong.has(other));
}
