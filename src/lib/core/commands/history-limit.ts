/** How many steps of history are kept for undo, in the store and at hand. */
export const HISTORY_LIMIT = 200;
