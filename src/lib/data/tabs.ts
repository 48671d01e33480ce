import type { ChangeRow } from './database';

export type TabMessage =
	/** Something was written, in this order. */
	| {
			readonly kind: 'changed';
			readonly homeId: string;
			readonly changes: readonly ChangeRow[];
	  }
	/** The whole home is another one now: imported, put away, or brought back. */
	| { readonly kind: 'replaced'; readonly homeId: string };

/** Keeps tabs in step: what one writes, the others hear. */
export interface Tabs {
	send(message: TabMessage): void;
	close(): void;
}

/** Opens the channel between tabs; a browser without one works alone. */
export function openTabs(onMessage: (message: TabMessage) => void): Tabs {
	if (typeof BroadcastChannel === 'undefined') return { send: () => {}, close: () => {} };
	const channel = new BroadcastChannel('keepnook-2');
	channel.onmessage = (event: MessageEvent<TabMessage>) => onMessage(event.data);
	return { send: (message) => channel.postMessage(message), close: () => channel.close() };
}

/** Tells every tab, this one too, that a whole home is another one now. */
export function tellReplaced(homeId: string): void {
	const tabs = openTabs(() => {});
	tabs.send({ kind: 'replaced', homeId });
	tabs.close();
}
