/** Why a device gave nothing: it did not answer in time, it is not there, or it answered what nobody understands. */
export type DeviceIssue =
	| { readonly code: 'device-silent'; readonly device: string; readonly waitedMs: number }
	| { readonly code: 'device-away'; readonly device: string }
	| { readonly code: 'device-garbled'; readonly device: string };
export type MeterIssue = DeviceIssue | { readonly code: 'out-of-range' | 'weak-echo' };

export type MeterReading =
	{ readonly ok: true; readonly mm: number } | { readonly ok: false; readonly issue: MeterIssue };
/** What any device that measures a distance has to do; a real one needs no more than this. */
export interface DistanceMeter {
	/** Takes one reading now. */
	measure(): Promise<MeterReading>;
	/** Takes readings that the device sends on its own, until the given function is called. */
	listen(onReading: (reading: MeterReading) => void): () => void;
}

export type ScanResult =
	| {
			readonly ok: true;
			readonly text: string;
			/** Read by a stand-in: there is no such pack. */
			readonly invented?: boolean;
	  }
	| { readonly ok: false; readonly issue: DeviceIssue | { readonly code: 'scan-stopped' } };
/** What any scanner of codes has to do. */
export interface CodeScanner {
	scan(): Promise<ScanResult>;
}

/** Readings of one fridge or freezer, the oldest first. */
export type ThermometerResult =
	| { readonly ok: true; readonly readings: readonly { readonly at: string; readonly c: number }[] }
	| { readonly ok: false; readonly issue: DeviceIssue };
/** What any thermometer that keeps its readings has to do. */
export interface Thermometer {
	/** Gives what it has read since an ISO instant. */
	readSince(since: string): Promise<ThermometerResult>;
}

export interface KnownProduct {
	readonly name: string;
	/** As on the pack: `400g`. */
	readonly size: string;
}
export type LookUp =
	| { readonly ok: true; readonly product: KnownProduct | null }
	| { readonly ok: false; readonly issue: DeviceIssue };
/** What any directory of products has to do. */
export interface ProductDirectory {
	/** Looks a number up, 8 to 14 digits; null: not known there. */
	find(gtin: string): Promise<LookUp>;
}
