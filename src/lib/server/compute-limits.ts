/** What the server computes, each as the worker of the same name does. */
export type ComputationName = 'place' | 'fit' | 'prove' | 'forecast';

/** The answer, ready to be sent. */
export interface ComputeAnswer {
	readonly status: 200 | 400;
	readonly text: string;
}

/** No request may take longer, whatever it asks for, ms. */
export const MOST_MS = 30_000;
/** What reading, checking and answering may take besides the budget, ms. */
export const GRACE_MS = 3000;
