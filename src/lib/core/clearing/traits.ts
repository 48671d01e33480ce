import { categoryOf, UNKNOWN_KIND, type Thing } from '../model';
import { warnedOf } from '../kinds';
import { kindFor } from './parse-intake';

/**
 * What a name brings with it once its category is settled: the hazards and the usual size of the thing itself where the
 * lexicon has it, else those of the category. Without a category it is of unknown kind, with every hazard its words hint at.
 */
export function traitsOf(
	name: string,
	countWord: string,
	category: string | null
): Pick<Thing, 'category' | 'piece' | 'massG' | 'needs' | 'hazards' | 'lifeKey'> {
	const row = categoryOf(category ?? UNKNOWN_KIND);
	const kind = kindFor(name, countWord);
	const isRead = kind.category === row.code;
	const warned = row.code === UNKNOWN_KIND ? kind.hazards : warnedOf(name);
	return {
		category: row.code,
		piece: { ...(isRead ? kind.piece : row.piece) },
		massG: isRead ? kind.massG : row.massG,
		needs: [...row.needs],
		hazards: [...new Set([...(isRead ? kind.hazards : row.hazards), ...warned])],
		lifeKey: row.lifeKey
	};
}
