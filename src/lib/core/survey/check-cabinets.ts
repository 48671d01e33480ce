import type { Cabinet, HomePart, Run } from '../model';
import type { SurveyIssue } from './survey-issue';
import { cabinetsOn } from './walls';

/** Bodies may touch, and boards are not exact: less than this is no overlap, mm. */
const TOUCH_MM = 20;
/** What no body in a home is smaller or larger than, mm. */
const LIMITS = {
	width: { key: 'widthMm', least: 50, most: 4000 },
	depth: { key: 'depthMm', least: 20, most: 2500 },
	height: { key: 'heightMm', least: 20, most: 3500 }
} as const;

const common = (a: number, aSize: number, b: number, bSize: number) =>
	Math.min(a + aSize, b + bSize) - Math.max(a, b);

function overlapOf(a: Cabinet, b: Cabinet): number {
	const across = common(a.offsetMm, a.widthMm, b.offsetMm, b.widthMm);
	const upright = common(a.baseMm, a.heightMm, b.baseMm, b.heightMm);
	return across > TOUCH_MM && upright > TOUCH_MM ? across : 0;
}

const lengthOf = ({ from, to }: Run) => Math.hypot(to.x - from.x, to.y - from.y);

/**
 * Lists what cannot be about the bodies along the walls: two in one spot, one beyond the end of its wall, sizes that no
 * body has. A door rack hangs on its cabinet and is no body.
 */
export function checkCabinets(
	home: HomePart<'nooks' | 'cabinets' | 'runs'>
): readonly SurveyIssue[] {
	const placeOf = new Map(Object.values(home.nooks).map(({ id, cabinetId }) => [cabinetId, id]));
	const at = (cabinet: Cabinet) => ({
		nookId: placeOf.get(cabinet.id) ?? cabinet.id,
		cabinetId: cabinet.id,
		field: 'cabinet' as const
	});
	const issues: SurveyIssue[] = [];
	for (const run of Object.values(home.runs)) {
		const bodies = cabinetsOn(home, run.id).filter(
			({ form }) => form !== 'door-rack' && form !== 'under-bed'
		);
		for (const [i, cabinet] of bodies.entries()) {
			for (const [side, { key, least, most }] of Object.entries(LIMITS)) {
				const mm = cabinet[key];
				if (mm < least || mm > most)
					issues.push({ ...at(cabinet), code: 'cabinet-size', side: side as 'width', mm });
			}
			const byMm = Math.round(cabinet.offsetMm + cabinet.widthMm - lengthOf(run));
			if (byMm > TOUCH_MM) issues.push({ ...at(cabinet), code: 'beyond-wall', byMm });
			const other = bodies.slice(0, i).find((before) => overlapOf(before, cabinet) > 0);
			if (other)
				issues.push({
					...at(cabinet),
					code: 'cabinets-overlap',
					other: other.name,
					byMm: overlapOf(other, cabinet)
				});
		}
	}
	return issues;
}
