import type { Face } from './measure';

/** What stands on a page; all mm, y from the top of the page. Colours are hex. */
export type PrintItem =
	| {
			readonly kind: 'text';
			readonly text: string;
			/** Where the base line begins, or its middle, or its end. */
			readonly xMm: number;
			readonly yMm: number;
			readonly sizeMm: number;
			readonly face: Face;
			readonly ink?: string;
			readonly align?: 'left' | 'middle' | 'right';
	  }
	| {
			readonly kind: 'box';
			readonly xMm: number;
			readonly yMm: number;
			readonly widthMm: number;
			readonly heightMm: number;
			readonly fill?: string;
			readonly line?: string;
			readonly lineMm?: number;
			readonly radiusMm?: number;
			readonly dashed?: boolean;
	  }
	| {
			readonly kind: 'line';
			readonly fromMm: readonly [number, number];
			readonly toMm: readonly [number, number];
			readonly line: string;
			readonly lineMm: number;
			readonly dashed?: boolean;
	  }
	| {
			readonly kind: 'round';
			readonly xMm: number;
			readonly yMm: number;
			readonly rMm: number;
			readonly fill?: string;
			readonly line?: string;
			readonly lineMm?: number;
	  }
	| {
			readonly kind: 'shape';
			readonly points: readonly (readonly [number, number])[];
			readonly fill?: string;
			readonly line?: string;
			readonly lineMm?: number;
	  };

/** A page of a print, drawn into PDF and SVG alike. */
export interface PrintPage {
	readonly widthMm: number;
	readonly heightMm: number;
	/** For the page of contents; pages that only go on have none. */
	readonly title: string;
	readonly items: readonly PrintItem[];
}

export const INK = '#111111';
export const SOFT = '#555555';
export const RULE = '#999999';
/** Paper sizes, mm. */
export const PAPERS = {
	A4: { widthMm: 210, heightMm: 297 },
	Letter: { widthMm: 215.9, heightMm: 279.4 }
} as const;
export type Paper = keyof typeof PAPERS;
