import { expect, it } from 'vitest';
import { apply, bareKitchen, NOW, TODAY, withLines } from '../fixtures/tiny-home';
import { nextSteps } from '../upkeep';
import { decide, pastByPlace } from './decide';

const kitchen = bareKitchen();
const nookId = Object.keys(kitchen.nooks)[0]!;
const decided = (line: string, verdict: 'keep' | 'use-first', now = NOW) => {
	const home = withLines(kitchen, [line], nookId);
	const lotId = Object.keys(home.lots)[0]!;
	return apply(
		home,
		decide({
			lotId,
			verdict,
			advice: null,
			wantAgain: false,
			toNookId: null,
			ids: { decision: 'd', event: 'e' },
			now
		})
	);
};
const past = (home: ReturnType<typeof decided>) => pastByPlace(home, TODAY).get(nookId) ?? 0;
const nagged = (home: ReturnType<typeof decided>) =>
	nextSteps(home, TODAY).some(({ code }) => code === 'decide-past');

it('what was looked at after its date and stays is not asked about again', () => {
	const before = withLines(kitchen, ['honey bb 01/01/26'], nookId);
	expect([past(before), nagged(before)]).toEqual([1, true]);
	const settled = decided('honey bb 01/01/26', 'keep');
	expect([past(settled), nagged(settled)]).toEqual([0, false]);
});
it('a decision of before its date settles nothing', () =>
	expect(past(decided('honey bb 01/01/26', 'keep', '2025-12-01T09:00:00.000Z'))).toBe(1));
it.each(['milk ub 01/02/26', 'milk opened 01/02/26', 'paracetamol bb 01/01/26'])(
	'no decision settles what is a matter of safety: %s',
	(line) => {
		const home = decided(line, 'use-first');
		expect([past(home), nagged(home)]).toEqual([1, true]);
	}
);
