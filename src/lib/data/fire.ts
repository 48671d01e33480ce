/**
 * Sets off a request of a transaction without waiting for it: whether it went through is said by the transaction's own
 * `done`, which fails with it.
 */
export const fire = (request: Promise<unknown>): void => void request.catch(() => undefined);
