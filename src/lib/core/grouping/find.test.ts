import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { NOW } from '../fixtures/tiny-home';
import { groupMeant, parseFigure, thingsAbout } from '.';

const demo = demoHome(NOW);
const groups = Object.values(demo.groups);
const things = Object.values(demo.things);

describe('the group that is meant', () => {
	it.each([
		['SN', 'Snacks'],
		['sn', 'Snacks'],
		[' snacks ', 'Snacks'],
		['knive', 'Knives']
	])('%s is %s', (text, name) => expect(groupMeant(groups, text)?.name).toBe(name));
	it.each(['', '  ', 'nowhere', 'Frozen'])('“%s” is none, or more than one', (text) =>
		expect(groupMeant(groups, text)).toBeUndefined()
	);
});

describe('things about something', () => {
	const names = (text: string) => thingsAbout(demo, things, text).map(({ name }) => name);
	it('hold every word, in name, category, group or tag', () => {
		expect(names('sesame oil')).toEqual(['sesame oil']);
		expect(names('hot drinks')).toContain('ground coffee');
		expect(names('HD coffee')).toContain('ground coffee');
		expect(names('no such thing')).toEqual([]);
	});
	it('are all of them without a word', () => expect(thingsAbout(demo, things, ' ')).toBe(things));
});

describe('a figure that is typed', () => {
	it.each([
		['volumeMl', '25', 25_000],
		['volumeMl', '1.5 l', 1500],
		['volumeMl', '2 kg', null],
		['massG', '2 kg', 2000],
		['heaviestG', '2 l', null],
		['usesPerWeek', '3,5', 3.5],
		['usesPerWeek', '-1', null],
		['usesPerWeek', '2000', null],
		['usesPerWeek', '', null],
		['tallestMm', '30 cm', 300],
		['tallestMm', 'tall', null]
	] as const)('%s “%s” is %s', (figure, text, value) =>
		expect(parseFigure(figure, text, 'mm')).toBe(value)
	);
});
