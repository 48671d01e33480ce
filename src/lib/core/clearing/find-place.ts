import type { Home, NookId } from '../model';
import { nooksInOrder } from '../survey';
import type { IntakeIssue } from './parse-intake';

export type PlaceResult =
	| { readonly ok: true; readonly nookId: NookId }
	| { readonly ok: false; readonly issue: IntakeIssue };

const plain = (text: string) =>
	text
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, ' ')
		.trim();
const SHOWN = 4;

/**
 * Finds the place that a typed name means: the very name or id, else the only one whose words begin so.
 * @example findPlace(home, 'larder 3') // { ok: true, nookId: 'larder-3' }
 */
export function findPlace(home: Home, text: string): PlaceResult {
	const wanted = plain(text);
	const places = nooksInOrder(home).map(({ nook }) => nook);
	const same = places.filter((nook) => plain(nook.name) === wanted || plain(nook.id) === wanted);
	const asked = wanted.split(' ');
	const like = same.length
		? same
		: places.filter((nook) => {
				const words = plain(nook.name).split(' ');
				return asked.every((word) => words.some((own) => own.startsWith(word)));
			});
	if (like.length === 1) return { ok: true, nookId: like[0]!.id };
	return {
		ok: false,
		issue: like.length
			? { code: 'place-ambiguous', text, names: like.slice(0, SHOWN).map((nook) => nook.name) }
			: { code: 'place-unknown', text }
	};
}
