import { describe, expect, it } from 'vitest';
import { demoHome } from '../data/demo';
import { NOW, TODAY } from '../core/fixtures/tiny-home';
import { adviseLot } from '../core/clearing';
import { groupChanges, proposePartners } from '../core/grouping';
import { GROUP_REASONS } from '../core/model';
import { HARD_CODES, SOFT_CODES } from '../core/zoning';
import { nextSteps } from '../core/upkeep';
import { adviceText, dateText, daysText, intakeIssueText } from './clearing';
import { fileIssueText } from './files';
import { lengthIssueText, surveyIssueText } from './survey';
import { stepText } from './steps';
import { changeText, partnerText, reasonText, tripsText, usesText } from './sorting';
import { hardText, softText } from './rules';
import { wishText } from './zoning';

const isSentence = (text: string) => {
	expect(text).toMatch(/[.?!]$/);
	expect(text).not.toMatch(/undefined|NaN|\[object/);
};

describe('words', () => {
	it('stand for every rule', () => {
		HARD_CODES.forEach((code) => isSentence(hardText(code)));
		SOFT_CODES.forEach((code) => expect(softText(code).length).toBeGreaterThan(5));
	});
	it('stand for every advice of the demo home', () => {
		const home = demoHome(NOW);
		const codes = new Set<string>();
		for (const lot of Object.values(home.lots))
			for (const advice of adviseLot({
				home,
				lot,
				thing: home.things[lot.thingId]!,
				today: TODAY
			})) {
				codes.add(advice.code);
				isSentence(adviceText(advice));
			}
		// The usual troubles are all there.
		for (const code of [
			'use-by-past',
			'can-unsafe',
			'best-before-past',
			'medicine-expired',
			'can-dent',
			'freezer-burn',
			'lone-lid-or-box',
			'more-than-used',
			'unused-long',
			'food-apart'
		])
			expect([...codes]).toContain(code);
	});
	it('stand for every reason of a group, and for every change that is proposed', () => {
		const home = demoHome(NOW);
		for (const code of GROUP_REASONS) isSentence(reasonText({ code, words: ['Cans'] }));
		for (const change of groupChanges(home)) {
			expect(changeText(change, home)).toMatch(/^(Make|Add) /);
			change.why.forEach((reason) => isSentence(reasonText(reason)));
		}
		for (const pair of proposePartners(home)) expect(partnerText(pair)).not.toBe('');
		expect(tripsText(1)).toBe('1 trip a week');
		expect(usesText(0.5)).toBe('0.50');
		expect(usesText(57.2)).toBe('57');
	});
	it('say what a wish costs, and what is not known', () => {
		isSentence(wishText(null));
		expect(wishText({ extra: 0, atMost: 0 })).toContain('nothing');
		expect(wishText({ extra: 0, atMost: 20 })).toContain('20 m a week at most');
		expect(wishText({ extra: 1551, atMost: 1600 })).toBe(
			'It costs 1,551 m of effort a week, at most 1,600 m.'
		);
	});
	it('stand for every next step of the demo home', () => {
		for (const step of nextSteps(demoHome(NOW), TODAY)) {
			expect(stepText(step).title).not.toMatch(/undefined/);
			isSentence(stepText(step).why);
		}
	});
	it('name the thing, the value and the way out', () => {
		expect(lengthIssueText({ code: 'length-unreadable', text: 'wide' })).toContain('“wide”');
		expect(
			surveyIssueText(
				{
					nookId: 'n',
					field: 'width',
					code: 'unit-slip',
					insideMm: 60,
					outsideMm: 600,
					likelyMm: 600
				},
				'cm'
			)
		).toBe('The width of 6 cm does not go with a cabinet of 60 cm. Did you mean 60 cm?');
		expect(intakeIssueText({ code: 'date-does-not-exist', text: '31/02/27', ok: false })).toContain(
			'31/02/27'
		);
		expect(fileIssueText({ code: 'file-too-large', bytes: 50e6, limit: 25e6 })).toContain('50 MB');
		expect(fileIssueText({ code: 'file-newer', version: 3, known: 1 })).toContain('newer');
	});
	it('write days as one says them', () => {
		expect([0, 1, -1, 5, -90, 900].map(daysText)).toEqual([
			'today',
			'tomorrow',
			'yesterday',
			'in 5 days',
			'3 months ago',
			'in 2 years'
		]);
		expect(dateText('2027-03-31')).toBe('31 Mar 2027');
	});
});
