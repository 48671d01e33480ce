import { nanoid } from 'nanoid';

/** Makes a new id that no other record has. */
export const newId = (): string => nanoid(12);
