/** Id under which the demo home is kept. Apart from the demo itself, whose rows are loaded only when asked for. */
export const DEMO_ID = 'demo';
