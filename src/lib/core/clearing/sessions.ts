import { SessionId, type ClearingSession, type Edit, type Home, type NookId } from '../model';

const MINUTE_MS = 60_000;
const between = (from: string, to: string) =>
	Math.max(0, (Date.parse(to) - Date.parse(from)) / MINUTE_MS);

/** Minutes worked in a session up to `now` (ISO instant), without the pauses. */
export function workedMinutes(session: ClearingSession, now: string): number {
	return (
		session.workedMin + (session.runningSince === null ? 0 : between(session.runningSince, now))
	);
}

/** Finds the session of a place that is not finished; the latest when there are several. */
export function openSession(home: Home, nookId: string | null): ClearingSession | null {
	return (
		Object.values(home.sessions)
			.filter((session) => session.nookId === nookId && session.endedAt === null)
			.sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1))[0] ?? null
	);
}

/** Lists the places that were begun and not finished, the oldest first. */
export const halfDone = (home: Home): ClearingSession[] =>
	Object.values(home.sessions)
		.filter((session) => session.endedAt === null)
		.sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));

export interface StartSession {
	readonly id: string;
	readonly nookId: NookId;
	readonly plannedMin: number;
	/** ISO instant. */
	readonly now: string;
}

/** Makes the edit that starts the clock on a place. One that runs elsewhere is stopped first: one place at a time. */
export function startSession({ id, nookId, plannedMin, now }: StartSession): Edit {
	return (draft) => {
		for (const session of Object.values(draft.sessions)) pause(session, now);
		const sessionId = SessionId.parse(id);
		draft.sessions[sessionId] = {
			id: sessionId,
			nookId,
			startedAt: now,
			endedAt: null,
			plannedMin,
			workedMin: 0,
			runningSince: now,
			things: 0,
			strays: []
		};
	};
}

function pause(session: ClearingSession, now: string): void {
	if (session.runningSince === null) return;
	session.workedMin = workedMinutes(session, now);
	session.runningSince = null;
}

/** Makes the edit that stops the clock; the place stays half done and safe. */
export function stopSession(id: string, now: string): Edit {
	return (draft) => {
		const session = draft.sessions[id];
		if (session) pause(session, now);
	};
}

/** Makes the edit that takes a stopped session up again. */
export function resumeSession(id: string, now: string): Edit {
	return (draft) => {
		for (const session of Object.values(draft.sessions)) pause(session, now);
		const session = draft.sessions[id];
		if (session && session.endedAt === null) session.runningSince = now;
	};
}

/** Makes the edit that finishes a session; `things` were looked at. */
export function endSession(id: string, things: number, now: string): Edit {
	return (draft) => {
		const session = draft.sessions[id];
		if (!session || session.endedAt !== null) return;
		pause(session, now);
		session.endedAt = now;
		session.things = things;
	};
}

/** Makes the edit that ticks off, or back on, a kind of stray that was looked for. */
export function tickStray(id: string, key: string): Edit {
	return (draft) => {
		const session = draft.sessions[id];
		if (!session) return;
		session.strays = session.strays.includes(key)
			? session.strays.filter((known) => known !== key)
			: [...session.strays, key];
	};
}
