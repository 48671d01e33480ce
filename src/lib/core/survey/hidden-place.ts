import rows from '../../../../data/hidden-storage.json';
import type { HiddenKind, Nook } from '../model';

interface HiddenRow {
	readonly kind: HiddenKind;
	readonly needs: string;
	readonly costMinor: number;
	readonly needsHole: boolean;
	readonly loadG: number;
	readonly source: string;
}
export const HIDDEN_ROWS = rows as readonly HiddenRow[];
/** What a kind of found place needs and costs. */
export const rowOf = (kind: HiddenKind): HiddenRow => HIDDEN_ROWS.find((row) => row.kind === kind)!;

/** Where an accepted place is made. */
export type HiddenMake =
	| { readonly as: 'nook'; readonly cabinetId: string; readonly nook: HiddenNook }
	| { readonly as: 'shelf'; readonly nookId: string; readonly clearMm: number }
	| { readonly as: 'carousel'; readonly nookId: string }
	| {
			readonly as: 'trolley';
			readonly runId: string;
			readonly offsetMm: number;
			readonly widthMm: number;
	  }
	| { readonly as: 'under-bed'; readonly roomId: string; readonly obstacleId: string };
export type HiddenNook = Pick<Nook, 'name' | 'kind' | 'at'> & {
	readonly inside: {
		readonly widthMm: number;
		readonly depthMm: number;
		readonly heightMm: number;
	};
};

export interface HiddenPlace {
	readonly key: string;
	readonly kind: HiddenKind;
	/** Where it is, in the words of the survey. */
	readonly where: string;
	/** A nook to show it at; null where the place is no nook's. */
	readonly nookId: string | null;
	readonly runId: string | null;
	/** Litres gained that could not be used before. */
	readonly gainMl: number;
	readonly needs: string;
	readonly costMinor: number;
	readonly needsHole: boolean;
	/** Whether the place, or the home, forbids what it needs. */
	readonly allowed: boolean;
	/** What it may carry, g. */
	readonly loadG: number;
	/** Adhesive fixings carry by the rating on their pack, which is asked and not guessed. */
	readonly asksRating: boolean;
	readonly damp: boolean;
	/** What was checked of the load: `shelf-above` hangs on a board that carries other things already. */
	readonly loadCheck: 'own-feet' | 'shelf-above' | 'hinges' | 'fixing' | 'unknown-shelf';
	readonly make: HiddenMake;
}
