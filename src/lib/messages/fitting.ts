import {
	leastWidthMm,
	outerOf,
	type heightLeft,
	type Arrangement,
	type BuyFirst,
	type CupIssue,
	type HeightReason,
	type HomeFit,
	type KindField,
	type LidsChoice,
	type RowIssue,
	type LeftOver,
	type LookPrice,
	type Nearest,
	type NoJar,
	type PartFor,
	type ShelfMove,
	type ShelfSetting,
	type ShopCard,
	type ShopPlace,
	type StandIn,
	type Stood
} from '../core/fitting';
import {
	formatLength,
	formatMass,
	formatMoney,
	formatVolume,
	type ContainerRole,
	type Held,
	type Home,
	type LengthUnit,
	type Placement
} from '../core/model';
import { countText, fixedText } from './numbers';
import { partText } from './small-parts';

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

/** Compares lids on with nesting, in litres and movements. */
export function lidsText({ onMl, nestedMl, moreMoves }: LidsChoice): string {
	const more = Math.round(moreMoves);
	return `Lids on: ${formatVolume(onMl)}, one movement each time. Nested, with the lids upright beside them: ${formatVolume(nestedMl)}, one movement more each time${more > 0 ? ` (about ${more} more a week)` : ''}.`;
}
export const lidsAdvice = ({ advice, savedMl }: LidsChoice): string =>
	advice === 'nested'
		? `Nest them: that wins ${formatVolume(savedMl)}.`
		: 'Keep the lids on: they are used often, and the room is there.';

/** Names a form of container. */
export const ROLE_WORDS: Readonly<Record<ContainerRole, string>> = {
	bin: 'bin',
	jar: 'jar',
	turntable: 'turntable',
	riser: 'riser with steps',
	rack: 'rack',
	basket: 'basket',
	divider: 'drawer divider',
	upright: 'upright slots',
	cradle: 'bottle cradle',
	tray: 'drip tray',
	caddy: 'caddy',
	slide: 'slide-out',
	level: 'second level'
};

/** Why a form of container is taken for what it holds. */
export const ROLE_REASONS: Readonly<Record<ContainerRole, string>> = {
	bin: 'small packets stand in a row, and all come out at once',
	jar: 'airtight, and how much is left is seen',
	turntable: 'what is behind comes round to the front',
	riser: 'the back row is seen over the front one',
	rack: 'lids stand on edge, each by itself',
	basket: 'air gets to it, and it is lifted out whole',
	divider: 'each kind keeps to its own side of the drawer',
	upright: 'trays and boards come out without lifting others',
	cradle: 'bottles lie still',
	tray: 'what drips stays in it',
	caddy: 'it is carried to where it is used',
	slide: 'the back of a deep place comes out to you',
	level: 'the height over low things holds as much again'
};
const OVER_WORDS = { width: 'wide', depth: 'deep', height: 'tall' } as const;
/** Says why what was chosen holds a group nowhere in the place at hand, what comes nearest, and what to do. */
export function missingHolderText(home: Home, nearest: Nearest | null): string {
	const advice = 'Add its size under Containers, or choose another.';
	if (!nearest) return `No container of that form is known here. ${advice}`;
	if (nearest.why === 'from-above')
		return 'One looks in here from above: what stood under it could not be taken. Choose another.';
	const name = home.containerKinds[nearest.kindId]?.name ?? '';
	if (nearest.why === 'no-room')
		return `${name} would take it, but there is no room for it here, or it would be too heavy to lift. Choose another, or move something away in Place.`;
	const { shortMm, side } = nearest.over;
	const by = `${formatLength(Math.ceil(shortMm), home.units)} too ${OVER_WORDS[side]}`;
	return nearest.why === 'container'
		? `None goes in here. The nearest, ${name}, is ${by}. ${advice}`
		: `None takes it. ${home.things[nearest.thingId]?.name ?? ''} is ${by} for the nearest, ${name}. ${advice}`;
}
/** Says why a thing that was asked into a jar is in none, and what to do. */
export function noJarText(home: Home, reason: NoJar): string {
	const name = 'kindId' in reason ? (home.containerKinds[reason.kindId]?.name ?? 'jar') : '';
	switch (reason.why) {
		case 'none-known':
			return 'No jar: none is listed in this style. Add one under Containers.';
		case 'place':
			return `No jar goes in here. The nearest, ${name}, is ${formatLength(Math.ceil(reason.over.shortMm), home.units)} too ${OVER_WORDS[reason.over.side]}.`;
		case 'pack-larger':
			return `No jar is large enough: a pack fills ${formatVolume(reason.needsMl)}, ${name} holds ${formatVolume(reason.holdsMl)}.`;
		case 'pack-smaller':
			return `No jar is small enough: a pack fills ${formatVolume(reason.needsMl)}, ${name} holds ${formatVolume(reason.holdsMl)} and would stay mostly empty.`;
		case 'too-heavy':
			return `In a jar it would weigh ${formatMass(reason.massG)}; here you can lift ${formatMass(reason.liftG)}. Choose a lower place.`;
		case 'no-room':
			return 'A jar would take it, but there is no room left here, or no money in the budget.';
	}
}

/** Says what usually holds a group, and why the first of it does. */
export function holdersText(roles: readonly ContainerRole[]): string {
	const [first] = roles;
	if (!first) return 'Usually stands free.';
	if (first === 'level')
		return `Usually stands free; on a ${ROLE_WORDS.level} where floor is short: ${ROLE_REASONS.level}.`;
	return `Usually in a ${roles.map((role) => ROLE_WORDS[role]).join(', or a ')}: ${ROLE_REASONS[first]}.`;
}

/** Names a column of a table of containers. */
export const KIND_FIELD_WORDS: Readonly<Record<KindField, string>> = {
	name: 'Name',
	width: 'Width outside',
	depth: 'Depth outside',
	height: 'Height',
	innerWidth: 'Width inside',
	innerDepth: 'Depth inside',
	innerHeight: 'Height inside',
	baseWidth: 'Width at the base',
	baseDepth: 'Depth at the base',
	role: 'Form',
	price: 'Price',
	owned: 'How many you have',
	lid: 'Lid',
	stack: 'Stacks',
	nest: 'Nests when empty',
	clear: 'Seen through',
	airtight: 'Airtight',
	turn: 'May be turned',
	shape: 'Shape',
	mass: 'Mass, g',
	shop: 'Sold at',
	cells: 'Compartments',
	cutWidth: 'Cut to, width',
	cutDepth: 'Cut to, depth',
	look: 'Look',
	soldBy: 'Packs of'
};

/** Says what is wrong with a container, and what to do. */
export function kindIssueText(issue: RowIssue, units: LengthUnit): string {
	const length = (mm: number) => formatLength(mm, units);
	switch (issue.code) {
		case 'no-name':
			return 'It has no name. Give it one to know it by.';
		case 'missing':
			return `No ${issue.side}: measure it outside, 10 mm at least.`;
		case 'too-large':
			return `${length(issue.mm)} is no container. Check the unit.`;
		case 'inner-larger':
			return `The ${issue.side} inside, ${length(issue.innerMm)}, is more than outside, ${length(issue.outerMm)}. One of the two is wrong.`;
		case 'taper':
			return `The base, ${length(issue.baseMm)}, is larger than the top, ${length(issue.topMm)}. Swap them, or measure again.`;
		case 'cut':
			return `Cut down its ${issue.side} is ${length(issue.cutMm)}: that has to be between its inside, ${length(issue.innerMm)}, and its outside, ${length(issue.outerMm)}.`;
		case 'narrow-cells':
			return `${issue.cells} compartments are ${length(issue.eachMm)} wide each. Nothing lies in that: fewer, or a wider one.`;
		case 'stack-without-lid':
			return 'Only what has a lid can be stacked.';
		case 'unreadable':
			return `${KIND_FIELD_WORDS[issue.field]}: “${issue.text}” cannot be read.`;
	}
}

/** Says why a table cannot be read, and what to do. */
export function tableText(code: 'empty' | 'one-column' | 'too-large'): string {
	switch (code) {
		case 'empty':
			return 'There is nothing under the head of this table. It needs a head and a row for each container.';
		case 'one-column':
			return 'This table has one column. Save it as CSV, with commas or semicolons between the columns.';
		case 'too-large':
			return 'This table has more than 20,000 rows. Cut it to the containers you may buy or have.';
	}
}

/** Says what stands in the way of a move by hand. @example 'It stays where it was: Small open bin stands there.' */
export function handHitText(home: Home, { placements, standing }: Stood, hits: readonly string[]) {
	const [id] = hits;
	const what = () => {
		if (id === 'wall') return 'the side of the cabinet is';
		const container = placements.find((one) => one.id === id);
		if (container) return `${home.containerKinds[container.kindId]?.name ?? 'a container'} stands`;
		const row = standing.find((one) => one.id === id);
		return row ? `${row.names[0] ?? 'a row'} stands` : 'something fixed is';
	};
	return `It stays where it was: ${what()} there.`;
}

/** Says what did not go in and why. @example '2 × wok: 14 mm too tall here.' */
export function overText(
	home: Home,
	over: {
		readonly groupId: string;
		readonly thingId: string | null;
		readonly pieces: number;
		readonly volumeMl: number;
		readonly tooLarge?: LeftOver['tooLarge'];
	},
	/** Width that is still free here, mm; left out: not looked at. */
	gapMm?: number
): string {
	const thing = over.thingId ? home.things[over.thingId] : undefined;
	if (!thing)
		return `${home.groups[over.groupId]?.name ?? ''}: ${formatVolume(over.volumeMl)} over.`;
	const what = `${over.pieces} × ${thing.name}`;
	if (!over.tooLarge) {
		const needs = leastWidthMm(thing);
		if (gapMm === undefined) return `${what}: no floor left.`;
		const length = (mm: number) => formatLength(Math.round(mm), home.units);
		return gapMm < needs
			? `${what}: needs ${length(needs)} of width, and the widest gap is ${length(gapMm)}.`
			: `${what}: the gap of ${length(gapMm)} is wide enough, but something stands in its depth.`;
	}
	const short = formatLength(over.tooLarge.shortMm, home.units);
	return `${what}: ${short} too ${over.tooLarge.side === 'height' ? 'tall' : 'large'} here.`;
}

/** Says how far one shelf moves. @example 'Larder shelf 3: up by 6 holes (192 mm)' */
export const shelfMoveText = (home: Home, { nookId, holes, byMm }: ShelfMove): string =>
	`${home.nooks[nookId]?.name ?? ''}: ${holes > 0 ? 'up' : 'down'} by ${countText(Math.abs(holes), 'hole')} (${formatLength(Math.abs(byMm), home.units)})`;

const namesOf = (home: Home, groupIds: readonly string[]) =>
	groupIds.map((id) => home.groups[id]?.name ?? '').join(', ');

/** Says what other shelf heights would bring. */
export function shelvesText(home: Home, { gains, out, against, isProven }: ShelfSetting): string {
	const more = gains.length
		? `Then these stand whole on one shelf: ${namesOf(home, gains)}.`
		: 'Then more of it stands whole on one shelf.';
	const still = out.length ? ` Still not: ${namesOf(home, out)}.` : '';
	const proof = isProven ? ' No other heights hold more.' : '';
	const no = against.length
		? ` But that may not be: where it would stand, a hard rule is against ${namesOf(home, against)}. Move it in Place first.`
		: '';
	return `${more}${still}${proof}${no}`;
}

/** Says what is wrong with a cup that was weighed. */
export function cupText(issue: CupIssue): string {
	switch (issue.code) {
		case 'cup-empty':
			return 'Write the size of the cup, as 250 ml, and what is in it weighs, as 140 g, without the cup.';
		case 'cup-light':
			return `${fixedText(issue.gPerMl, 2)} g a millilitre is lighter than anything in a kitchen. Is the weight in grams?`;
		case 'cup-heavy':
			return `${fixedText(issue.gPerMl, 2)} g a millilitre is heavier than anything in a kitchen. Was the cup weighed with it?`;
	}
}

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
		return 'The budget is too low: even with what you own, some things need a container that costs more. Raise it, or let those things stand free.';
	const done = `${countText(fitted, 'place')} fitted${not ? `, ${not} not` : ''}.`;
	if (!purchase) return done;
	const bought = purchase.lines.reduce((sum, { count }) => sum + count, 0);
	if (!bought && !Object.keys(home.containerKinds).length)
		return `${done} All without containers: this home knows none yet. Add the usual ones under Containers, and fit again.`;
	const buy = bought
		? ` ${countText(bought, 'container')} to buy for ${formatMoney(purchase.costMinor, home.currency)}.`
		: ' Nothing to buy: what the house has will do.';
	const gap = purchase.objective - purchase.bound;
	const proof =
		purchase.status === 'proven' || gap < NO_GAP
			? ' No other of the ways tried is better for the whole home.'
			: ` At most ${formatMoney(Math.ceil(gap), home.currency)} from the best of the ways tried.`;
	return `${done}${buy}${proof}`;
}

/** Says what to buy for a place, and what all up to it costs. @example '2 × narrow bin, €7.60; so far €12.40' */
export const buyFirstText = (home: Home, { toBuy, costMinor, sumMinor }: BuyFirst): string =>
	`${toBuy.map(({ kindId, count }) => `${count} × ${home.containerKinds[kindId]?.name ?? ''}`).join(', ')}, ${formatMoney(costMinor, home.currency)}; so far ${formatMoney(sumMinor, home.currency)}`;

const groupsText = (home: Home, { groupIds }: ShopPlace) => namesOf(home, groupIds);

const sizeText = (home: Home, { widthMm, depthMm }: NonNullable<Placement['cut']>) =>
	`${formatLength(widthMm, home.units)} × ${formatLength(depthMm, home.units)}`;

/** Says what is to be done to a container, and where it stands among others. @example 'cut to 558 × 477 mm' */
export function standsText(
	home: Home,
	placement: Pick<Placement, 'id' | 'cut' | 'xMm' | 'yMm' | 'zMm'>,
	all: readonly Pick<Placement, 'id' | 'xMm' | 'yMm' | 'zMm'>[]
): string {
	const { cut, xMm, yMm, zMm } = placement;
	const pile = all.filter((other) => other.xMm === xMm && other.yMm === yMm);
	const under = pile.filter((other) => other.zMm < zMm).length;
	const layer =
		pile.length < 2 ? '' : under === 0 ? 'at the bottom' : under === pile.length - 1 ? 'on top' : `layer ${under + 1}`; // prettier-ignore
	return [cut ? `cut to ${sizeText(home, cut)}` : '', layer].filter(Boolean).join(', ');
}

/** Says what one look costs beside any. @example 'white: €41.20, €9.30 more than any; 1.2 l more stays out' */
export function lookPriceText(home: Home, price: LookPrice, any: LookPrice): string {
	const money = (minor: number) => formatMoney(minor, home.currency);
	const { look, costMinor, containers, leftOverMl } = price;
	const what = `${look || 'any, mixed'}: ${money(costMinor)} to buy, ${countText(containers, 'container')}`;
	if (price === any) return `${what}.`;
	const more = costMinor - any.costMinor;
	const cost =
		more === 0
			? 'no dearer than any'
			: `${money(Math.abs(more))} ${more > 0 ? 'more' : 'less'} than any`;
	const out = leftOverMl - any.leftOverMl;
	const left =
		Math.abs(out) < MENTIONED_ML
			? ''
			: `; ${formatVolume(Math.abs(out))} ${out > 0 ? 'more' : 'less'} stays out`;
	const bother = price.lacks - any.lacks;
	const held =
		Math.abs(bother) < MENTIONED_LACKS
			? ''
			: `; ${bother > 0 ? 'more' : 'less'} stands without what suits it`;
	return `${what}; ${cost}${left}${held}.`;
}
/** Less than this is not spoken of. */
const MENTIONED_ML = 50;
const MENTIONED_LACKS = 100;

const HEIGHT_REASONS: Readonly<Record<HeightReason, string>> = {
	'from-above': 'one looks in from above, and what stood on it would hide it',
	'second-level': 'the second level is as high as what stands under it needs',
	'shelf-moves': 'the shelf over it could come down: see the shelf heights below',
	'no-level-pays': 'a second level was tried, and takes more than it brings',
	'nothing-for-it': 'nothing here stands well on a second level'
};
/** Says how much height stays free, and why; empty: none to speak of. */
export function heightText(home: Home, left: ReturnType<typeof heightLeft>): string {
	if (!left) return '';
	return `${formatLength(left.overMm, home.units)} of height stays free: ${HEIGHT_REASONS[left.why]}.`;
}

/** Says how good an arrangement is proven to be; empty: nothing is known. */
export function proofText(
	home: Home,
	{ proof, hasDailyBehind }: Pick<Arrangement, 'proof' | 'hasDailyBehind'>
): string {
	switch (proof.status) {
		case 'proven':
			return 'Proven: none of the ways tried to hold this here does better for its money.';
		case 'none':
			return hasDailyBehind
				? 'Proven: none of the ways tried has all that you use daily in front.'
				: 'Proven: none of the ways tried has all of it in.';
		case 'open':
			return proof.gap < NO_GAP || !Number.isFinite(proof.gap)
				? ''
				: `Another of the ways may do better, by ${formatMoney(Math.ceil(proof.gap), home.currency)} of money and bother at most.`;
	}
}

/** Says for which place a container is, and what room it leaves. */
export function shopPlaceText(home: Home, place: ShopPlace): string {
	const { nookId, count, playMm, cut } = place;
	const length = (mm: number) => formatLength(Math.max(0, mm), home.units);
	return `${count} for ${home.nooks[nookId]?.name ?? ''} (${groupsText(home, place)})${cut ? `, cut to ${sizeText(home, cut)}` : ''}; leaves ${length(playMm.width)} across, ${length(playMm.depth)} deep, ${length(playMm.height)} above`;
}

/** Says what another container would do in one place. */
export function standInText(home: Home, place: StandIn): string {
	const name = home.nooks[place.nookId]?.name ?? '';
	if (place.status === 'does') return `${name}: it does; you need ${place.count}.`;
	if (place.status === 'too-big') return `${name}: it does not go in.`;
	return place.overMl > 0 && Number.isFinite(place.overMl)
		? `${name}: it goes in, but ${formatVolume(place.overMl)} more would stay over.`
		: `${name}: it goes in, but holds none of what it is for.`;
}

/**
 * The rows of a shop card as a table, the head first; sizes in mm, money as plain numbers. A small part that is bought for
 * several places has its count and price in the first row, and how much each place takes in words.
 */
export function shopCardRows(home: Home, { lines, parts }: ShopCard): (string | number)[][] {
	return [
		[
			'container',
			'width mm',
			'depth mm',
			'height mm',
			'count',
			'price',
			'shop',
			'place',
			'for',
			'inside mm'
		],
		...lines.flatMap(({ kind, places }) =>
			places.map((place) => {
				const { widthMm, depthMm } = outerOf(kind);
				const inside = home.nooks[place.nookId]?.inside;
				return [
					kind.name,
					widthMm,
					depthMm,
					kind.heightMm,
					place.count,
					(kind.priceMinor * place.count) / 100,
					kind.shop,
					home.nooks[place.nookId]?.name ?? '',
					groupsText(home, place),
					inside ? `${inside.widthMm} × ${inside.depthMm} × ${inside.heightMm}` : ''
				];
			})
		),
		...parts.flatMap(({ part, count, priceMinor, places }) =>
			places.map((place, i) => [
				part.name,
				...partSizes(place),
				i ? 0 : count,
				i ? 0 : priceMinor / 100,
				'',
				home.nooks[place.nookId]?.name ?? '',
				partText(home, place),
				''
			])
		)
	];
}
/** Width, depth and height of a part in a table: of what is cut, what one strip measures. */
const partSizes = (place: PartFor): (string | number)[] =>
	place.form === 'cut'
		? [place.cut.lengthMm, place.cut.lastWidthMm, '']
		: place.part.use === 'dividers'
			? [place.most, '', place.part.heightMm]
			: ['', '', ''];
