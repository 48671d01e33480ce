import fc from 'fast-check';
import type { Happening, Step } from './store-model';

const happening: fc.Arbitrary<Happening> = fc.oneof(
	{ weight: 6, arbitrary: fc.constant<Happening>({ kind: 'person' }) },
	{ weight: 4, arbitrary: fc.constant<Happening>({ kind: 'use' }) },
	{ weight: 4, arbitrary: fc.constantFrom<Happening>({ kind: 'undo' }, { kind: 'redo' }) },
	{ weight: 2, arbitrary: fc.constantFrom<Happening>({ kind: 'remove' }, { kind: 'put' }) },
	{ weight: 2, arbitrary: fc.record({ kind: fc.constant('rename' as const), to: fc.nat(3) }) },
	{
		weight: 2,
		arbitrary: fc.record({
			kind: fc.constant('size' as const),
			nook: fc.nat(9),
			mm: fc.integer({ min: 100, max: 104 })
		})
	},
	{
		weight: 2,
		arbitrary: fc.record({
			kind: fc.constant('fail' as const),
			fault: fc.constantFrom(
				'full' as const,
				'closed' as const,
				'middle' as const,
				'unheard' as const
			)
		})
	},
	{
		weight: 5,
		arbitrary: fc.record({
			kind: fc.constant('wait' as const),
			turns: fc.integer({ min: 1, max: 12 })
		})
	},
	{ weight: 1, arbitrary: fc.constantFrom<Happening>({ kind: 'kill' }, { kind: 'reload' }) },
	{ weight: 2, arbitrary: fc.constant<Happening>({ kind: 'leave' }) },
	{ weight: 1, arbitrary: fc.record({ kind: fc.constant('deaf' as const), on: fc.boolean() }) }
);

/** Stories of what happens in three tabs, at most `most` things each. */
export const stories = (most: number): fc.Arbitrary<Step[]> =>
	fc.array(fc.record({ tab: fc.nat(2), what: happening }), {
		minLength: 1,
		maxLength: most,
		size: 'max'
	});
