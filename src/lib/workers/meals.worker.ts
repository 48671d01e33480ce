import { z } from 'zod';
import { loadIntegerSolver } from './integer-solver';
import { serveJobs } from './job-worker';
import { handleMeals } from './meals.protocol';

/** Where the page says that the binary of the solver is served. */
const Served = z.object({ wasmUrl: z.string() });

serveJobs(self as unknown as Parameters<typeof serveJobs>[0], (payload) =>
	handleMeals(payload, () => loadIntegerSolver(Served.parse(payload).wasmUrl))
);
