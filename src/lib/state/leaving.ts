/** Tells whether something would be lost if the tab were closed now. */
type Ask = () => boolean;
const asks = new Set<Ask>();

/** Adds a question that is asked before the tab is closed. */
export const askBeforeLeaving = (ask: Ask): void => void asks.add(ask);

/** Warns when the tab is closed with something that is not stored yet. */
export function guardLeaving(event: BeforeUnloadEvent): void {
	if ([...asks].some((ask) => ask())) event.preventDefault();
}

const lastActs = new Set<() => void>();
/** Adds what is done at once when the page goes out of sight, which may be for good. */
export const whenPageGoes = (act: () => void): void => void lastActs.add(act);
/** The page is left, closed or put into the background. */
export const pageGoes = (): void => lastActs.forEach((act) => act());
