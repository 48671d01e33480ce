import { DecisionId, UseEventId, type Edit, type NookId, type Verdict } from '../model';
import type { Advice } from './advice';

export interface Decide {
	readonly lotId: string;
	readonly verdict: Verdict;
	readonly advice: Advice | null;
	/** Puts it on the shopping list in the same gesture. */
	readonly wantAgain: boolean;
	/** Where it goes, for `move`. */
	readonly toNookId: NookId | null;
	readonly ids: { readonly decision: string; readonly event: string };
	/** ISO instant. */
	readonly now: string;
}

/** Verdicts after which the goods are out of the home. */
export const LEAVING: ReadonlySet<Verdict> = new Set([
	'give',
	'return',
	'recycle',
	'discard',
	'hazardous'
]);

/** One letter a verdict, for the keyboard. */
export const VERDICT_KEYS: Readonly<Record<string, Verdict>> = {
	k: 'keep',
	b: 'back-stock',
	u: 'use-first',
	m: 'move',
	h: 'hold',
	g: 'give',
	r: 'return',
	c: 'recycle',
	d: 'discard',
	z: 'hazardous'
};

/** Makes the edit that records a decision; what leaves is taken out of stock and logged. */
export function decide(choice: Decide): Edit {
	return (draft) => {
		const lot = draft.lots[choice.lotId];
		if (!lot) return;
		const id = DecisionId.parse(choice.ids.decision);
		draft.decisions[id] = {
			id,
			lotId: lot.id,
			thingId: lot.thingId,
			nookId: lot.nookId,
			count: lot.count,
			verdict: choice.verdict,
			advised: choice.advice ? { verdict: choice.advice.verdict, code: choice.advice.code } : null,
			wantAgain: choice.wantAgain,
			at: choice.now
		};
		if (LEAVING.has(choice.verdict)) {
			const event = UseEventId.parse(choice.ids.event);
			draft.useEvents[event] = {
				id: event,
				lotId: lot.id,
				thingId: lot.thingId,
				at: choice.now,
				count: lot.count,
				kind: 'discard'
			};
			lot.count = 0;
		} else if (choice.verdict === 'move') lot.nookId = choice.toNookId;
	};
}

/**
 * Finds what is still to be decided in a nook: stock without a decision since `since` (ISO instant).
 * With null it looks on the table, where what was moved without a place still waits for one.
 */
export function undecidedLots(
	home: Parameters<Edit>[0],
	nookId: string | null,
	since: string
): string[] {
	const done = new Set(
		Object.values(home.decisions)
			.filter(
				(decision) => decision.at >= since && (nookId !== null || decision.verdict !== 'move')
			)
			.map((decision) => decision.lotId as string)
	);
	return Object.values(home.lots)
		.filter((lot) => lot.nookId === nookId && lot.count > 0 && !done.has(lot.id))
		.map((lot) => lot.id as string);
}
