import { familyOf, mayShare } from '../grouping';
import { readingKey, usualUse } from '../kinds';
import {
	categoryOf,
	NookId,
	ThingId,
	UNKNOWN_KIND,
	type Edit,
	type Home,
	type Lot,
	type Thing
} from '../model';
import { traitsOf } from './traits';

const sameSize = (a: Thing['piece'], b: Thing['piece']) =>
	a.widthMm === b.widthMm && a.depthMm === b.depthMm && a.heightMm === b.heightMm;

/** Gives a thing the kind it is said to be; its size stays where somebody has measured it. */
function becomeKind(thing: Thing, category: string): void {
	const before = categoryOf(thing.category);
	const traits = traitsOf(thing.name, '', category);
	if (sameSize(thing.piece, before.piece)) thing.piece = traits.piece;
	if (thing.massG === before.massG) thing.massG = traits.massG;
	if (thing.use.class === usualUse(thing.name, before.code))
		thing.use.class = usualUse(thing.name, category);
	// Frozen at home stays frozen, whatever it is.
	const isFrozen = thing.needs.includes('frozen');
	thing.needs = isFrozen
		? [...new Set([...traits.needs.filter((need) => need !== 'chilled'), 'frozen' as const])]
		: traits.needs;
	thing.category = traits.category;
	thing.hazards = traits.hazards;
	thing.lifeKey = traits.lifeKey;
}

/**
 * Makes the edit that says of what kind a thing is. The home remembers it for the name, and things of the same name whose
 * kind nobody has said become so too. A thing that leaves its family leaves its group.
 */
export function tellKind(thingId: string, category: string): Edit {
	return (draft) => {
		const thing = draft.things[thingId];
		if (!thing || categoryOf(category).code !== category) return;
		const key = readingKey(thing.name);
		if (category === UNKNOWN_KIND) delete draft.readings[key];
		else draft.readings[key] = category;
		const alike = Object.values(draft.things).filter(
			(other) =>
				other === thing || (other.category === UNKNOWN_KIND && readingKey(other.name) === key)
		);
		for (const one of alike) {
			const before = familyOf(one as Thing);
			becomeKind(one as Thing, category);
			if (!mayShare(before, familyOf(one as Thing)))
				Object.assign(one, { groupId: null, groupByHand: false });
		}
	};
}

/** What may be put right of a lot; what is not named stays. */
export type LotChange = Partial<Pick<Lot, 'count' | 'states' | 'owner' | 'batch'>> & {
	readonly dates?: Partial<Lot['dates']>;
	/** Place; null: the table. */
	readonly nookId?: string | null;
};

/** Makes the edit that puts right what is known of a lot. */
export function changeLot(lotId: string, { dates, nookId, ...change }: LotChange): Edit {
	return (draft) => {
		const lot = draft.lots[lotId];
		if (!lot) return;
		Object.assign(lot, change);
		if (dates) Object.assign(lot.dates, dates);
		if (nookId !== undefined) lot.nookId = nookId === null ? null : NookId.parse(nookId);
	};
}

const sameName = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * Makes the edit that gives only one lot another name: it becomes a thing of its own, like the one it was, or joins the
 * thing that is called so already.
 */
export function renameLot(lotId: string, name: string, newThingId: string): Edit {
	return (draft) => {
		const lot = draft.lots[lotId];
		const from = lot && draft.things[lot.thingId];
		if (!lot || !from || !name.trim()) return;
		const known = Object.values(draft.things).find((thing) => sameName(thing.name, name));
		if (!known) {
			const id = ThingId.parse(newThingId);
			draft.things[id] = {
				...(structuredClone(asPlain(from)) as Thing),
				id,
				name: name.trim().slice(0, 200),
				code: null
			};
		}
		lot.thingId = known?.id ?? ThingId.parse(newThingId);
	};
}
const asPlain = (thing: Thing): unknown => JSON.parse(JSON.stringify(thing));

/** Makes the edit that takes a lot away that was never there; its thing goes with its last lot. */
export function deleteLot(lotId: string): Edit {
	return (draft) => {
		const lot = draft.lots[lotId];
		if (!lot) return;
		delete draft.lots[lotId];
		const isLast = !Object.values(draft.lots).some(({ thingId }) => thingId === lot.thingId);
		if (isLast && !isNeeded(draft as Home, lot.thingId)) delete draft.things[lot.thingId];
	};
}

/** Whether anything else speaks of a thing: a meal, or what is to be bought again. */
const isNeeded = (home: Home, thingId: string): boolean =>
	(home.things[thingId]?.hold?.amount ?? 0) > 0 ||
	Object.values(home.meals).some(({ ingredients }) =>
		ingredients.some((ingredient) => ingredient.thingId === thingId)
	);
