import { z } from 'zod';
import { Home, IsoDate } from '../core/model';
import { outlookOfHome, type HomeOutlook } from '../core/rotation';
import { issuesOf, type Handled } from './job.protocol';

export const ForecastPayload = z.object({ home: Home, options: z.object({ today: IsoDate }) });

export interface ForecastProgress {
	readonly done: number;
	readonly of: number;
}

/** Foretells the stock of a home; the same for the worker, the route and the tests. */
export function handleForecast(
	payload: unknown,
	onProgress?: (progress: ForecastProgress) => void
): Handled<HomeOutlook> {
	const parsed = ForecastPayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, options } = parsed.data;
	return {
		ok: true,
		result: outlookOfHome(home, options.today, (done, of) => {
			if (done % 20 === 0 || done === of) onProgress?.({ done, of });
		})
	};
}
