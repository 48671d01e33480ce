import type { StartFitHelper } from './fit-side-by-side';
import { asManyAsSuit, startHelper } from './helper';

const startFitHelper: StartFitHelper = () =>
	startHelper(
		() => new Worker(new URL('./fit-place.worker.ts', import.meta.url), { type: 'module' })
	);

/** What starts the helpers that fit places, as many as suit this machine. */
export const fitHelpers = (): StartFitHelper[] =>
	asManyAsSuit(startFitHelper, navigator.hardwareConcurrency);
