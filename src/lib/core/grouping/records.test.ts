import { expect, it } from 'vitest';
import { apply, tinyHome } from '../fixtures/tiny-home';
import { RoutineId, type Home } from '../model';
import { removeGroup } from './records';

it('takes a group out of routines with its steps, or leads them to its heir', () => {
	const [gone, heir] = Object.values(tinyHome().groups).map(({ id }) => id);
	const home = apply(tinyHome(), (draft) => {
		const id = RoutineId.parse('r');
		draft.routines[id] = {
			id,
			name: 'Supper',
			timesPerWeek: 5,
			steps: [
				{ groupId: gone!, station: null },
				{ groupId: null, station: 'hob' },
				{ groupId: heir!, station: null }
			]
		};
	});
	const steps = (to: typeof heir | null) =>
		apply(home, (draft) => removeGroup(draft as Home, gone!, to ?? null)).routines['r']!.steps;
	expect(steps(null)).toEqual([
		{ groupId: null, station: 'hob' },
		{ groupId: heir, station: null }
	]);
	expect(steps(heir).map(({ groupId }) => groupId)).toEqual([heir, null, heir]);
});
