import type { GroupReason } from '../model';
import { filled, kinship, type Bucket } from './buckets';
import { nameOf } from './names';

/** Puts the smaller of two buckets into the larger, or into the one that is held by hand; says so in its reasons. */
export function join(
	buckets: Bucket[],
	small: Bucket,
	into: Bucket,
	code: 'sliver' | 'few-nooks'
): void {
	buckets.splice(buckets.indexOf(small), 1);
	const what = { code, words: [small.name] } satisfies GroupReason;
	const sameCategory = kinship(small, into) === 0;
	Object.assign(into, filled([...into.cards, ...small.cards]));
	into.why = [...into.why, what].slice(0, 8);
	if (!sameCategory) into.name = nameOf(into);
}

/** The bucket that a small one had best join: the nearest of kin, then the smallest, then by key; null: none. */
export function nearestKin(
	buckets: readonly Bucket[],
	small: Bucket,
	mayJoin: (one: Bucket, two: Bucket) => boolean = () => true
): Bucket | null {
	let best: { bucket: Bucket; kin: number } | null = null;
	for (const bucket of buckets) {
		const kin = bucket === small ? null : kinship(small, bucket);
		if (kin === null || !mayJoin(small, bucket)) continue;
		const better =
			!best ||
			kin < best.kin ||
			(kin === best.kin && bucket.volumeMl < best.bucket.volumeMl - 1e-9);
		if (better) best = { bucket, kin };
	}
	return best?.bucket ?? null;
}
