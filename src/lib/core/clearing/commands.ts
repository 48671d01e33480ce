import { idsFrom, type Edit } from '../model';
import { changeLot, deleteLot, renameLot, tellKind } from './correct';
import { decide } from './decide';
import { changeLeaving, markGone } from './leaving';
import { applyCut } from './place-cut';
import { endSession, resumeSession, startSession, stopSession, tickStray } from './sessions';
import { bringStock } from './stock-table';
import { takeIn } from './take-in';

/** Every change that a clear-out makes to a home. */
export const CLEARING_COMMANDS = {
	applyCut: (out: readonly (readonly [lotId: string, pieces: number])[], stem: string): Edit =>
		applyCut(new Map(out), idsFrom(stem)),
	changeLeaving,
	changeLot,
	decide,
	deleteLot,
	endSession,
	markGone,
	renameLot,
	resumeSession,
	startSession,
	stopSession,
	bringStock,
	takeIn,
	tellKind,
	tickStray
} as const;
