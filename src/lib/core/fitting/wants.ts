import { categoryOf, type ContainerRole, type Group, type Home, type Thing } from '../model';
import { densityOf } from '../kinds';
import { goodsOf, roomOf, type Good } from '../standing';
import { placesOfLots } from '../zoning';
import { suitsView } from './views';
import { withLidsOn } from './rim-pairs';

/** Things of one group that want the same holders in one nook. */
export interface Want {
	readonly groupId: string;
	readonly usesPerWeek: number;
	/** Kinds of container that suit it, best first; empty: it stands free. */
	readonly roles: readonly ContainerRole[];
	readonly goods: readonly Good[];
	/** The household said what holds it: then it is held so, whatever it costs. */
	readonly isChosen: boolean;
	/** The household pours these into jars: each of them has one, wherever a jar goes in. */
	readonly asksJars: boolean;
}

/** Whether what a group holds is poured into jars here. */
export const isDecanted = (home: Home, group: Group | undefined): boolean =>
	(group?.boxes ?? home.schools.boxes) === 'decant';

/** Dry goods that are poured whatever they are called; of other kinds only what is known to pour. */
const ALL_POURED = /^food\.(?:grains|pulses|breakfast)$/;
/** Whether a thing has a jar of its own where one decants: its kind goes into jars, and it pours. */
export const isPoured = ({ category, name, densityGPerMl }: Thing): boolean =>
	categoryOf(category).holders.includes('jar') &&
	(ALL_POURED.test(category) || densityGPerMl !== null || densityOf(name) !== undefined);

/** Wine may lie; other drinks stand. */
const LIES_IN_A_CRADLE = /\b(?:wine|sparkling)\b/i;

/** What a thing does to others when both leak: bleach and drain cleaners give off gas with acids. */
const reactionOf = ({ hazards }: Pick<Thing, 'hazards'>): 'acid' | 'bleach' | '' =>
	hazards.includes('bleach') ? 'bleach' : hazards.includes('acid') ? 'acid' : '';

/** Whether some of these things may never meet in one container. */
const mustPart = (things: readonly Thing[]): boolean => {
	const found = new Set(things.map(reactionOf));
	return found.has('acid') && found.has('bleach');
};

/** Raw meat and fish, unfrozen. */
export const isRaw = ({ hazards }: Pick<Thing, 'hazards'>): boolean => hazards.includes('raw-meat');

/** Holders that suit a thing, best first; what was said of its group goes first, but raw food never goes without. */
function rolesOf(thing: Thing, decants: boolean, holder: Group['holder']): ContainerRole[] {
	if (holder && holder !== 'none') return [holder];
	if (holder && !isRaw(thing)) return [];
	return categoryOf(thing.category).holders.filter(
		(role) =>
			(role !== 'jar' || decants) && (role !== 'cradle' || LIES_IN_A_CRADLE.test(thing.name))
	);
}

/**
 * Lists what the groups of a zone plan want from one nook, the most used first; ties by id, then by holders. What wants
 * other holders is another want: bottles and packets of one group do not share a bin. Boxes and pots have their lids on
 * where that was said, unless they are asked for `apart`.
 */
export function wantsOf(home: Home, nookId: string, lids: 'as-said' | 'apart' = 'as-said'): Want[] {
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	const assignments = plan?.assignments ?? [];
	const groupIds = new Set(
		assignments.filter((a) => a.nookId === nookId).map(({ groupId }) => groupId as string)
	);
	const wants: Want[] = [];
	for (const groupId of groupIds) {
		const group = home.groups[groupId];
		const decants = isDecanted(home, group);
		const byRoles = new Map<string, { roles: ContainerRole[]; goods: Good[]; asksJars: boolean }>();
		const shares = placesOfLots(home, groupId, assignments).filter((s) => s.nookId === nookId);
		const goods = goodsOf(shares);
		const isClosed = lids === 'as-said' && group?.lids === 'on';
		const isApart = mustPart(goods.map(({ thing }) => thing));
		for (const good of isClosed ? withLidsOn(goods) : goods) {
			const own = rolesOf(good.thing, decants, group?.holder ?? null);
			const asksJars = decants && own.includes('jar') && isPoured(good.thing);
			const roles = asksJars ? ['jar' as const, ...own.filter((role) => role !== 'jar')] : own;
			const key = `${asksJars ? 'jars:' : ''}${roles.join(',')}${isApart ? `/${reactionOf(good.thing)}` : ''}`;
			const known = byRoles.get(key);
			if (known) known.goods.push(good);
			else byRoles.set(key, { roles, goods: [good], asksJars });
		}
		for (const { roles, goods, asksJars } of byRoles.values())
			wants.push({
				groupId,
				roles,
				goods,
				isChosen: !!group?.holder && group.holder !== 'none',
				asksJars,
				usesPerWeek: Math.max(...goods.map((good) => good.usesPerWeek))
			});
	}
	return wants.sort(
		(a, b) =>
			b.usesPerWeek - a.usesPerWeek ||
			(a.groupId < b.groupId ? -1 : a.groupId > b.groupId ? 1 : 0) ||
			(a.roles.join() < b.roles.join() ? -1 : 1)
	);
}

/** Lists what usually holds the things of a group in one place, best first; empty: it stands free. */
export function holdersOf(home: Home, groupId: string, nookId: string): ContainerRole[] {
	const group = home.groups[groupId];
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	const shares = placesOfLots(home, groupId, plan?.assignments ?? []);
	const decants = isDecanted(home, group);
	const here = shares.filter((share) => share.nookId === nookId);
	const isAbove = roomOf(home, nookId)?.seenFromAbove ?? false;
	const roles = new Set(
		here.flatMap(({ thing }) => {
			const own = rolesOf(thing, decants, null);
			return own.filter((role) => suitsView(role, own, isAbove));
		})
	);
	return [...roles];
}
