import { z } from 'zod';

/** An ISO calendar date without time, `2027-03-31`; the day must exist. */
export const IsoDate = z.iso.date();
/** An ISO instant in UTC. */
export const Instant = z.iso.datetime();
/** Money in minor units (cents, pence), whole, zero or more. */
export const Minor = z.int().min(0);
