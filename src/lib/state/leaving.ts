/** Tells whether something would be lost if the tab were closed now. */
type Ask = () => boolean;
const asks = new Set<Ask>();

/** Adds a question that is asked before the tab is closed. */
export const askBeforeLeaving = (ask: Ask): void => void asks.add(ask);

/** Warns when the tab is closed with something that is not stored yet. */
export function guardLeaving(event: BeforeUnloadEvent): void {
	if ([...asks].some((ask) => ask())) event.preventDefault();
}
