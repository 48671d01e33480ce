import {
	searchAssignment,
	type AssignmentProblem,
	type SearchResult,
	type SearchTask
} from '../core/solvers/assignment';
import type { Handled } from './job.protocol';

/** What the place worker sends to its helper; both are made here, so that nothing is parsed. */
export interface SearchPayload {
	readonly problem: AssignmentProblem;
	readonly task: SearchTask;
}

/** Runs one search from one side. */
export function handleSearch(payload: unknown): Handled<SearchResult> {
	const { problem, task } = payload as SearchPayload;
	return { ok: true, result: searchAssignment(problem, task) };
}
