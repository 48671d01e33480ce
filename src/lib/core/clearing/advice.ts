import { dayOf, decisionsOn, type Decision, type Home, type Verdict } from '../model';
import { STATE_RULES, type Advice, type AdviceContext, type Rule } from './advice-rules';
import {
	childReach,
	gasApart,
	notInTheCold,
	notInTheDamp,
	notInTheHeat,
	petReach
} from './standing-rules';

/** Equals come in this order: what the thing is, then where it stands. */
const RULES: readonly Rule[] = [
	...STATE_RULES,
	childReach,
	petReach,
	gasApart,
	notInTheCold,
	notInTheHeat,
	notInTheDamp
];

/** Finds the last decision on a lot that went against advice of a code. */
function overrulingOf(home: Home, lotId: string, code: string): Decision | undefined {
	return decisionsOn(home, lotId)
		.filter(({ advised, verdict }) => advised?.code === code && advised.verdict !== verdict)
		.sort((a, b) => (a.at < b.at ? 1 : -1))[0];
}

/**
 * Gathers all advice on a lot: what was overruled before comes last, then the strongest first (safety, quality,
 * tidiness), and equals keep the order of the rules. Safety is never put back by an old decision. The first is what
 * the program would do; an empty list means keep.
 * @example adviseLot({ home, lot: bulgingCan, thing, today })[0].code // 'can-unsafe'
 */
export function adviseLot(context: AdviceContext): Advice[] {
	const rank = (advice: Advice) => (advice.overruled ? 0 : advice.strength);
	return RULES.map((rule) => rule(context))
		.filter((advice) => advice !== null)
		.map((advice) => {
			const past =
				advice.strength < 3 ? overrulingOf(context.home, context.lot.id, advice.code) : undefined;
			return past
				? {
						...advice,
						overruled: { verdict: past.verdict, reason: past.reason, on: dayOf(past.at) }
					}
				: advice;
		})
		.sort((a, b) => rank(b) - rank(a));
}

/** What the advice on a lot comes to: that of its first piece, unless it was overruled before; else to keep it. */
export const advisedVerdict = (advice: readonly Advice[]): Verdict =>
	advice[0] && !advice[0].overruled ? advice[0].verdict : 'keep';
