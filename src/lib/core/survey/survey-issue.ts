/** What cannot be, or is missing, about a place or a cabinet. */
export type SurveyIssue = {
	/** A place that it is about; of a cabinet without any, its own id. */
	readonly nookId: string;
	/** Set where it is about the cabinet itself. */
	readonly cabinetId?: string;
	readonly field: 'width' | 'depth' | 'height' | 'opening' | 'obstruction' | 'cabinet';
} & (
	| { readonly code: 'size-missing' }
	| { readonly code: 'size-zero' }
	| { readonly code: 'larger-than-cabinet'; readonly insideMm: number; readonly outsideMm: number }
	| {
			readonly code: 'unit-slip';
			readonly insideMm: number;
			readonly outsideMm: number;
			readonly likelyMm: number;
	  }
	| { readonly code: 'opening-larger'; readonly openingMm: number; readonly insideMm: number }
	| { readonly code: 'obstruction-outside'; readonly index: number }
	| { readonly code: 'cabinets-overlap'; readonly other: string; readonly byMm: number }
	| { readonly code: 'beyond-wall'; readonly byMm: number }
	| {
			readonly code: 'cabinet-size';
			readonly side: 'width' | 'depth' | 'height';
			readonly mm: number;
	  }
	| { readonly code: 'places-overlap'; readonly other: string; readonly byMm: number }
	| { readonly code: 'shelves-too-tall'; readonly sumMm: number; readonly cabinetMm: number }
);
