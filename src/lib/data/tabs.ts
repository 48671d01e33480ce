import type { Patch } from '../core/model';

export interface TabMessage {
	readonly homeId: string;
	readonly revision: number;
	readonly cursor: number;
	readonly patches: readonly Patch[];
}

/** Keeps tabs in step: what one writes, the others hear. */
export interface Tabs {
	send(message: TabMessage): void;
	close(): void;
}

/** Opens the channel between tabs; a browser without one works alone. */
export function openTabs(onMessage: (message: TabMessage) => void): Tabs {
	if (typeof BroadcastChannel === 'undefined') return { send: () => {}, close: () => {} };
	const channel = new BroadcastChannel('keepnook');
	channel.onmessage = (event: MessageEvent<TabMessage>) => onMessage(event.data);
	return { send: (message) => channel.postMessage(message), close: () => channel.close() };
}
