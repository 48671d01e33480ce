import { parentPort } from 'node:worker_threads';
import { searchAssignment, type AssignmentProblem } from '../src/lib/core/solvers/assignment';
import type { SearchTask } from '../src/lib/core/solvers/assignment';

/** The second side of a search: a problem with a task comes in, what was found goes back. */
parentPort!.on('message', ({ problem, task }: { problem: AssignmentProblem; task: SearchTask }) =>
	parentPort!.postMessage(searchAssignment(problem, task))
);
parentPort!.postMessage('ready');
