import { z } from 'zod';
import branches from '../../../../data/branches.json';
import rows from '../../../../data/categories.json';
import { Hazard, Need, Trait, UseClass } from './goods';
import { Mm, StationKind } from './places';
import { CONTAINER_ROLES } from './container-roles';

/** A branch of the category tree: what a thing of this kind usually is, before anybody measured it. */
export const Category = z.strictObject({
	code: z.string().regex(/^(food|kitchen|bathroom|home)\.[a-z-]+$/),
	name: z.string(),
	area: z.enum(['food', 'kitchen', 'bathroom', 'home']),
	needs: z.array(Need),
	hazards: z.array(Hazard),
	/** Where it is usually used; shares sum to 1. */
	stations: z.array(z.strictObject({ kind: StationKind, share: z.number() })),
	lifeKey: z.string().nullable(),
	/** How often it is usually used, until a person says otherwise. */
	use: UseClass,
	/** Usual size of one pack or piece. */
	piece: z.strictObject({ widthMm: Mm, depthMm: Mm, heightMm: Mm }),
	massG: z.int(),
	/** Whether one may lay it down or stand it on edge; what spills or breaks so stays upright. */
	lies: z.boolean(),
	/** Kinds of container that suit it, best first; empty: stands free. */
	holders: z.array(z.enum(CONTAINER_ROLES)),
	traits: z.array(Trait),
	/** Its branch of the tree: categories of one branch are siblings, joined before others. */
	branch: z.enum(Object.keys(branches) as (keyof typeof branches)[]),
	/** Good to look at, better out of sight, or neither. */
	look: z.enum(['show', 'hide', 'either'])
});
export type Category = z.infer<typeof Category>;

export const CATEGORIES: readonly Category[] = z.array(Category).parse(rows);
/** The name of each branch of the tree, by its code. */
export const BRANCH_NAMES: Readonly<Record<Category['branch'], string>> = branches;

const byCode = new Map(CATEGORIES.map((row) => [row.code, row]));
/** What nobody has said the kind of yet: kept from food, from children, and from every other family. */
export const UNKNOWN_KIND = 'home.unknown';
const FALLBACK = byCode.get(UNKNOWN_KIND)!;

/** Gives the category of a code; one that is not known (from a later file, say) counts as of unknown kind. */
export function categoryOf(code: string): Category {
	return byCode.get(code) ?? FALLBACK;
}
