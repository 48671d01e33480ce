import type { Row } from './with-more';

/** Carries a home from version 10 to 11: liners, hooks and dividers that places are to get. */
export const toVersion11 = (home: unknown): unknown => ({ smallParts: {}, ...(home as Row) });
