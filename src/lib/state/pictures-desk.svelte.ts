import { IdText, NookId, type Home, type Picture } from '../core/model';
import { picturePair, picturePairs, type PicturePair } from '../core/upkeep';
import type { HomeStore } from './home-store.svelte';
import { keepPhoto, type KeepPhotoDeps } from './keep-photo';

export interface PicturesDeps extends KeepPhotoDeps {
	readonly store: () => HomeStore;
	/** ISO date. */
	readonly today: () => string;
}

/** Pictures of places before and after the work. */
export class PicturesDesk {
	readonly #deps: PicturesDeps;
	/** The place that pictures are taken of; empty: none was chosen. */
	chosen = $state('');
	/** Why the last picture was not kept. */
	wrong = $state('');

	constructor(deps: PicturesDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	pairs = $derived.by((): readonly PicturePair[] => picturePairs(this.home));
	/** The place that was chosen, and those with pictures, the latest first. */
	shown = $derived.by((): readonly string[] => [
		...new Set([this.chosen, ...this.pairs.map(({ nookId }) => nookId)].filter(Boolean))
	]);
	pairOf(nookId: string): PicturePair {
		return picturePair(this.home, nookId);
	}
	/** Keeps a picture of a place as it is today. */
	async take(nookId: string, when: Picture['when'], file: File): Promise<void> {
		this.wrong = '';
		const { store, newId, today } = this.#deps;
		const kept = await keepPhoto(this.#deps, this.home.id, file);
		if (!kept.ok) {
			this.wrong = kept.wrong;
			return;
		}
		const picture = {
			nookId: NookId.parse(nookId),
			photoId: IdText.parse(kept.id),
			on: today(),
			when
		};
		const name = this.home.nooks[nookId]?.name ?? 'the place';
		store().run(`picture of ${name}, ${when}`, 'addPicture', picture, newId());
	}
	remove({ id, nookId }: Picture): void {
		const name = this.home.nooks[nookId]?.name ?? 'the place';
		this.#deps.store().run(`picture of ${name} taken away`, 'removePicture', id);
	}
}
