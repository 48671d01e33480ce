import {
	contentsMl,
	type HomeFit,
	type LeftOver,
	type ShelfMove,
	type ShelfSetting
} from '../core/fitting';
import {
	formatLength,
	formatMass,
	formatMoney,
	formatVolume,
	type Held,
	type Home
} from '../core/model';
import { countText } from './numbers';

/** What is in a container or in a row, the most first. @example '6 chopped tomatoes, 4 white beans' */
export const holdsText = (home: Home, holds: readonly Held[]): string =>
	[...holds]
		.sort((a, b) => b.pieces - a.pieces)
		.map(({ thingId, pieces }) => `${pieces} ${home.things[thingId]?.name ?? ''}`.trim())
		.join(', ');

/** What a container weighs with what is in it. */
export const filledText = (home: Home, massG: number, holds: readonly Held[]): string =>
	formatMass(
		holds.reduce(
			(sum, { thingId, pieces }) => sum + (home.things[thingId]?.massG ?? 0) * pieces,
			massG
		)
	);

/** Says what did not go in and why. @example '2 × wok: 14 mm too tall here.' */
export function overText(
	home: Home,
	over: {
		readonly groupId: string;
		readonly thingId: string | null;
		readonly pieces: number;
		readonly volumeMl: number;
		readonly tooLarge?: LeftOver['tooLarge'];
	}
): string {
	const thing = over.thingId ? home.things[over.thingId] : undefined;
	if (!thing)
		return `${home.groups[over.groupId]?.name ?? ''}: ${formatVolume(over.volumeMl)} over.`;
	const what = `${over.pieces} × ${thing.name}`;
	if (!over.tooLarge) return `${what}: no floor left.`;
	const short = formatLength(over.tooLarge.shortMm, home.units);
	return `${what}: ${short} too ${over.tooLarge.side === 'height' ? 'tall' : 'large'} here.`;
}

/** Says how far one shelf moves. @example 'Larder shelf 3: up by 6 holes (192 mm)' */
export const shelfMoveText = (home: Home, { nookId, holes, byMm }: ShelfMove): string =>
	`${home.nooks[nookId]?.name ?? ''}: ${holes > 0 ? 'up' : 'down'} by ${countText(Math.abs(holes), 'hole')} (${formatLength(Math.abs(byMm), home.units)})`;

const namesOf = (home: Home, groupIds: readonly string[]) =>
	groupIds.map((id) => home.groups[id]?.name ?? '').join(', ');

/** Says what other shelf heights would bring. */
export function shelvesText(home: Home, { gains, out, isProven }: ShelfSetting): string {
	const more = gains.length
		? `Then these stand whole on one shelf: ${namesOf(home, gains)}.`
		: 'Then more of it stands whole on one shelf.';
	const still = out.length ? ` Still not: ${namesOf(home, out)}.` : '';
	return `${more}${still}${isProven ? ' No other heights hold more.' : ''}`;
}

/** Says how much room the contents of a pack take. @example 'plain flour: a pack fills 4.5 L' */
export const jarText = (home: Home, thingId: string): string => {
	const thing = home.things[thingId];
	return thing ? `${thing.name}: a pack fills ${formatVolume(contentsMl(thing))}` : '';
};

/** What has to come from the pack onto a jar, and how it is filled. */
export const JAR_CARE =
	'Copy from the pack onto the jar: how to cook it, allergens, best-before date, batch. Use up, wash, dry, then refill: never pour a new pack onto an old one. Medicines, cleaners, baby formula and whatever needs its pack stay in it.';

/** A gap of less than this is no gap to speak of, minor units. */
const NO_GAP = 1;

/** Says what fitting several places together came to. */
export function togetherText(
	home: Home,
	together: {
		readonly fitted: number;
		readonly not: number;
		readonly purchase: HomeFit['purchase'] | null;
	}
): string {
	const { fitted, not, purchase } = together;
	if (purchase?.status === 'too-dear')
		return 'Nothing fits this budget without buying more. Raise it, or fit places one by one with what the house has.';
	const done = `${countText(fitted, 'place')} fitted${not ? `, ${not} not` : ''}.`;
	if (!purchase) return done;
	const bought = purchase.lines.reduce((sum, { count }) => sum + count, 0);
	const buy = bought
		? ` ${countText(bought, 'container')} to buy for ${formatMoney(purchase.costMinor, home.currency)}.`
		: ' Nothing to buy: what the house has will do.';
	const gap = purchase.objective - purchase.bound;
	const proof =
		purchase.status === 'proven' || gap < NO_GAP
			? ' Of the ways tried no choice for the whole home is better.'
			: ` No choice of the ways tried is better by more than ${formatMoney(Math.ceil(gap), home.currency)} worth.`;
	return `${done}${buy}${proof}`;
}
