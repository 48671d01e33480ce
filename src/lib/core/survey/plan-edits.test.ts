import { describe, expect, it } from 'vitest';
import { apply, bareKitchen } from '../fixtures/tiny-home';
import { moveCabinet } from './plan-edits';

describe('a cabinet that is moved', () => {
	const home = bareKitchen();
	const fridge = Object.values(home.cabinets).find(({ form }) => form === 'fridge')!;
	const at = (kind: string) => Object.values(home.stations).find((one) => one.kind === kind)!.at;
	const after = (kind: string, by: number) =>
		Object.values(apply(home, moveCabinet(fridge.id, fridge.offsetMm + by)).stations).find(
			(one) => one.kind === kind
		)!.at;
	it('takes the station along that it is', () => {
		expect(after('fridge', 300)).toEqual({ x: at('fridge').x + 300, y: at('fridge').y });
		expect(after('fridge', -450)).toEqual({ x: at('fridge').x - 450, y: at('fridge').y });
	});
	it('leaves the stations of other cabinets where they are', () =>
		expect(after('sink', 300)).toEqual(at('sink')));
});
