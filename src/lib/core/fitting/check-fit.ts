import type { ContainerKind, Home, Placement } from '../model';
import { roomOf } from '../standing';
import { overlaps, type Rect } from './floor';
import { outerOf, standingKind } from './kind-sizes';

export type FitViolation = {
	readonly code:
		| 'unknown-kind'
		| 'outside'
		| 'overlap'
		| 'obstructed'
		| 'too-high'
		| 'cannot-enter'
		| 'not-stackable'
		| 'turned';
	readonly index: number;
};

/** Floor rectangle of a placement, without play, mm. */
export function rectOf(placement: Placement, kind: ContainerKind): Rect {
	const outer = outerOf(kind);
	const [w, d] = placement.turned ? [outer.depthMm, outer.widthMm] : [outer.widthMm, outer.depthMm];
	return { x: placement.xMm, y: placement.yMm, w, d };
}

/**
 * Checks placements against the nook, one by one: the rules that no plan may break, computed apart from the solver.
 * An empty list means that everything fits. A nook that is not measured has nothing to check against and throws.
 */
export function checkFit(
	home: Home,
	nookId: string,
	placements: readonly Placement[]
): FitViolation[] {
	const found = roomOf(home, nookId);
	if (!found) throw new Error(`Nook ${nookId} is not measured; measure it before checking a fit.`);
	const { room, boxes, inLayers } = found;
	const violations: FitViolation[] = [];
	const add = (code: FitViolation['code'], index: number) => violations.push({ code, index });
	placements.forEach((placement, index) => {
		const kind = standingKind(home, placement);
		if (!kind) return add('unknown-kind', index);
		const rect = rectOf(placement, kind);
		const top = placement.zMm + kind.heightMm;
		if (
			rect.x < 0 ||
			rect.y < 0 ||
			rect.x + rect.w > room.widthMm ||
			rect.y + rect.d > room.depthMm
		)
			add('outside', index);
		if (top + room.aboveMm > Math.min(room.heightMm, room.passHeightMm)) add('too-high', index);
		if (Math.min(rect.w, rect.d) > room.passWidthMm) add('cannot-enter', index);
		if (placement.turned && !kind.turn) add('turned', index);
		const isPiled = (kind.stack && kind.lid) || (inLayers && kind.role === 'basket');
		if (placement.zMm > 0 && !isPiled) add('not-stackable', index);
		if (boxes.some((box) => box.z < top && box.z + box.h > placement.zMm && overlaps(rect, box)))
			add('obstructed', index);
		placements.slice(0, index).forEach((other) => {
			const otherKind = standingKind(home, other);
			if (!otherKind) return;
			const apart = other.zMm + otherKind.heightMm <= placement.zMm || top <= other.zMm;
			if (!apart && overlaps(rect, rectOf(other, otherKind))) add('overlap', index);
		});
	});
	return violations;
}
