import type { Mend } from '../core/interchange';
import type { StoreNotice, Trouble, TroubleCode } from '../core/commands/notices';

/** What the browser's storage did, and what to do now. */
export function troubleText({ code, said }: Trouble): string {
	const words: Record<TroubleCode, string> = {
		full: 'The browser has no space left. Free some space: empty the bin, remove pictures, or delete a home you no longer need.',
		'newer-layout': 'A newer Keep Nook is open in another tab. Reload this page to use it.',
		blocked: 'Another Keep Nook tab holds the storage. Close the other tabs, then try again.',
		'no-answer':
			'The browser’s storage does not answer. Close other Keep Nook tabs, or restart the browser, then try again.',
		refused:
			'This browser does not let the page store anything. Leave private mode, or allow storage for this site.',
		closed: 'The browser closed its storage.',
		unknown: `The browser’s storage gave an error: ${said}.`
	};
	return words[code];
}

/** What a person is told about storing; null: nothing worth an interruption. */
export function storeNoticeText(notice: StoreNotice): string {
	switch (notice.code) {
		case 'not-stored':
			return `Your last changes are on screen but not saved yet. ${troubleText(notice.trouble)} Keep Nook keeps trying; to be safe, export the home.`;
		case 'gone':
			return notice.why === 'deleted'
				? 'This home was deleted in another tab. What you see is still complete.'
				: 'This browser’s storage was cleared, and this home with it. What you see is still complete.';
		case 'mended':
			return `“${notice.label}” was kept, but what it pointed to was removed in another tab. Check where it is now.`;
		case 'lost':
			switch (notice.lost.code) {
				case 'not-last':
					return `Not undone: another tab has changed this home since. Undo that first, or change it by hand.`;
				case 'still-needed':
					return `“${notice.label}” was not done: something else still depends on it.`;
				case 'no-effect':
				case 'no-longer-fits':
					return `“${notice.label}” could not be kept: what it changes was removed or changed meanwhile. Check it and do it again.`;
			}
	}
}

const KIND_WORDS: Readonly<Record<string, string>> = {
	people: 'person',
	pets: 'pet',
	rooms: 'room',
	runs: 'run',
	stations: 'station',
	cabinets: 'cabinet',
	nooks: 'place',
	things: 'thing',
	lots: 'stock of',
	decisions: 'decision',
	groups: 'group',
	containerKinds: 'container kind',
	zonePlans: 'plan',
	fitPlans: 'arrangement',
	marks: 'label',
	meals: 'meal',
	routines: 'routine',
	sessions: 'clear-out',
	resets: 'reset',
	useEvents: 'note of use'
};

/** Names what a mend is about: `place shelf-2`. */
function mendedPart(path: string): string {
	const [collection = '', id = '', ...rest] = path.split('.');
	const kind = KIND_WORDS[collection];
	if (!kind) return `the setting “${path}”`;
	return `${kind} ${id}${rest.length ? ` (${rest.join(' ')})` : ''}`;
}

/** Says what was mended in a damaged home. */
export function mendText(mend: Mend): string {
	const part = mendedPart(mend.path);
	switch (mend.code) {
		case 'setting-reset':
			return `${part} could not be read and has its usual value again.`;
		case 'record-left-out':
			return `${part} could not be read and was left out.`;
		case 'part-left-out':
			return `${part} could not be read; the rest of it was kept.`;
		case 'link-mended':
			return `${part} pointed to “${mend.missing}”, which is not there.`;
	}
}
