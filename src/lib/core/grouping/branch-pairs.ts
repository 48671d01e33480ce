import { z } from 'zod';
import branchPairs from '../../../../data/branch-pairs.json';
import { BRANCH_NAMES, type Category } from '../model';

const Branch = z.enum(Object.keys(BRANCH_NAMES) as [Category['branch'], ...Category['branch'][]]);
/** Two branches, and what both together are called. */
const BranchPairs = z.array(z.tuple([Branch, Branch, z.string().min(1)]));
/** What one would look for under one name, by its branches: any other two stay apart, however little there is of them. */
export const PAIR_NAMES: ReadonlyMap<string, string> = new Map(
	BranchPairs.parse(branchPairs).flatMap(([one, two, name]) => [
		[`${one} ${two}`, name] as const,
		[`${two} ${one}`, name] as const
	])
);
