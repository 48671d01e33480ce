import { fixedText, tenthsText } from './numbers';
import { dateFormat, daysBetween, type QuantityResult, type Verdict } from '../core/model';
import type { Advice, ClearEstimate, CodeIssue, IntakeIssue } from '../core/clearing';

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
	keep: 'Keep',
	'back-stock': 'Back stock',
	'use-first': 'Use first',
	move: 'Move',
	hold: 'Hold',
	give: 'Give',
	return: 'Return',
	recycle: 'Recycle',
	discard: 'Discard',
	hazardous: 'Hazardous drop-off'
};

const DAY = dateFormat({ day: 'numeric', month: 'short', year: 'numeric' });
const DAY_OF_YEAR = dateFormat({ day: 'numeric', month: 'short' });
const dateOf = (iso: string) => new Date(`${iso}T00:00:00Z`);
/** Writes an ISO date for reading: `31 Mar 2027`. */
export const dateText = (iso: string): string => DAY().format(dateOf(iso));
/** Writes an ISO date without its year: `31 Mar`. */
export const dayOfYearText = (iso: string): string => DAY_OF_YEAR().format(dateOf(iso));

/** Says how far off a day is: `in 3 days`, `2 months ago`. */
export function daysText(days: number): string {
	if (days === 0) return 'today';
	if (days === 1) return 'tomorrow';
	if (days === -1) return 'yesterday';
	const far = Math.abs(days);
	const words =
		far < 60
			? `${far} days`
			: far < 730
				? `${Math.round(far / 30.44)} months`
				: `${Math.round(far / 365)} years`;
	return days > 0 ? `in ${words}` : `${words} ago`;
}

/** What advice is about, by its strength. */
export const STRENGTH_WORDS = ['', 'tidiness', 'quality', 'safety'] as const;

/** Says what of a typed line was not understood, and how to write it. */
export function intakeIssueText(issue: IntakeIssue): string {
	switch (issue.code) {
		case 'intake-empty':
			return 'Nothing typed yet. Write one thing, such as: 3 tins chopped tomatoes 400g bb 03/27.';
		case 'intake-no-name':
			return `“${issue.text}” has no name in it. Say what it is.`;
		case 'intake-count':
			return `“${issue.text}” is not a count. Write a number from 1 to 10000.`;
		case 'intake-size':
			return `“${issue.text}” is not a size. Write 400g, 1.5 kg, 330 ml or 12 fl oz.`;
		case 'intake-price':
			return `“${issue.text}” is not a price. Write price 1.20.`;
		case 'place-unknown':
			return `There is no place called “${issue.text}”. Choose one from the list, or add it in Walk.`;
		case 'place-ambiguous':
			return `“${issue.text}” can be ${issue.names.join(' or ')}. Write more of its name.`;
		case 'date-unreadable':
			return `“${issue.text}” is not a date. Write 31/03/27, 03/27 or 31 mar 2027.`;
		case 'date-does-not-exist':
			return `There is no day ${issue.text}. Look at the pack again.`;
		case 'date-ambiguous':
			return `${issue.text} can be ${dateText(issue.readings.dmy)} or ${dateText(issue.readings.mdy)}. Say once how dates are written here.`;
	}
}

const STATE_WORDS: Readonly<Record<string, string>> = {
	bulging: 'The ends bulge',
	leaking: 'It leaks',
	'deep-rust': 'The rust is deep',
	'dented-seam': 'It is dented on the seam or rim',
	popped: 'The safety button has popped up',
	smells: 'It hissed, spurted or smelled bad'
};

/** Says what the program advises about a lot and why. */
export function adviceText(advice: Advice): string {
	const { facts } = advice;
	const days = Number(facts.days ?? 0);
	const on = typeof facts.on === 'string' ? dateText(facts.on) : '';
	switch (advice.code) {
		case 'use-by-past':
			return `Use by ${on} has passed (${daysText(-days)}). A use-by date is about safety: do not taste to test.`;
		case 'can-unsafe':
			return `${STATE_WORDS[String(facts.state)] ?? 'It is unsafe'}. Do not open or taste it; throw it out whole.`;
		case 'thawed-warm':
			return 'It thawed and was warm for over two hours. When in doubt, throw it out.';
		case 'medicine-expired':
			return `Expired on ${on}. Take it to a pharmacy, not to the bin or the drain, and ask there if it is still needed.`;
		case 'best-before-past-long':
			return `Best before ${on}, ${daysText(-days)}: more than the ${facts.extra} days it usually keeps beyond that. Look and smell before you overrule.`;
		case 'best-before-past':
			return `Best before ${on}, ${daysText(-days)}. That is about quality; it usually keeps about ${facts.extra} days more. Look, smell, decide.`;
		case 'opened-too-long':
			return facts.basis === 'frozen'
				? `Past its best in the freezer since ${on}. Safe as long as it stayed frozen hard; use it first.`
				: `Open (or thawed) for longer than it usually keeps, ${facts.life} days; that ended on ${on}.`;
		case 'due-soon':
			return `Good until ${on} (${daysText(days)}). Put it in front.`;
		case 'can-dent':
			return 'A shallow, smooth dent in the body is fine. On the seam, the rim or with a sharp point it is not.';
		case 'can-rust':
			return 'Rust that wipes off is fine; use it first. Deep rust is not.';
		case 'freezer-burn':
			return 'Freezer burn spoils the taste, not the safety: use it soon, best in a stew.';
		case 'refrozen':
			return 'Refrozen while ice crystals were still there: safe, use it first.';
		case 'broken':
			return 'Broken. Recycle it where that is possible.';
		case 'lone-lid-or-box':
			return `${Number(facts.orphans) > 1 ? `${facts.orphans} of ${facts.count}: ` : ''}${
				facts.state === 'no-lid'
					? 'a box without its lid. Have one look for the lid, then let the box go.'
					: 'a lid without its box. Have one look for the box, then let the lid go.'
			}`;
		case 'more-than-used':
			return `You have ${facts.owned} ${facts.name} and use ${facts.used} at a time: ${facts.surplus} to decide on. One spare is worth keeping if there is room at the back.`;
		case 'unused-long':
			return `Not used for ${facts.months} months. Give it away, or move it out of prime space.`;
		case 'leaking-hazard':
			return `It is ${facts.state}. Sprays, solvents and strong cleaners go to the collection point, not into the bin or the drain. Do not mix it with anything.`;
		case 'part-missing':
			return `A part of the ${facts.name} is missing. Have one look for it; if it does not turn up, recycle the rest.`;
		case 'somebody-elses':
			return `It belongs to ${facts.owner}. Put it by the door, to go back.`;
		case 'disliked':
			return `You said not to buy ${facts.name} again. If it is unopened and in date, give it to someone who likes it.`;
		case 'spare':
			return `There are ${facts.here} here, and ${facts.enough} within reach are enough. Keep the rest as back stock.`;
		case 'allergen-apart':
			return `It contains ${facts.allergen}, which ${facts.person} must not eat. Keep it in its own labelled box, below anything that is free of it.`;
		case 'place-full':
			return `This place is over-full, and this is hardly used (${fixedText(Number(facts.uses), 2)} times a week).`;
		case 'food-apart':
			return `It stands among things that can hurt (${facts.beside}). Food goes to a place of its own.`;
		case 'unknown-kind':
			return 'Nobody has said what this is yet. Say it first (Put it right); until then keep it from food and children.';
		case 'pest':
			return 'Something lives in it. Bag it, take it out of the house, and check every open pack beside it. Wipe the shelf, seams and screw holes too.';
		case 'pest-near':
			return `${facts.beside} beside it has pests. Look at the folds and the bottom of this pack, sift it, and keep it in a tight jar.`;
		case 'mouldy':
			return 'Mouldy. Soft food goes whole, without smelling at it; what is not food is washed and dried, or goes.';
		case 'no-own-pack':
			return 'Not in its own pack: nobody can tell what it is or how much is safe. Do not pour it away or mix it; take it to the collection point.';
		case 'open-since':
			return `Open, and nobody said since when. It usually keeps ${facts.life} days once open: use it first, or enter the day under Edit.`;
		case 'child-reach':
			return facts.lacking === 'lock'
				? 'A small child can get at it here, and a catch is not enough. Put it above 1.5 m now, or lock this place.'
				: 'A small child can get at it here. Put it higher, or fit a child catch.';
		case 'pet-reach':
			return 'Your pet can get at it here, and it is poisonous to pets. Put it behind a door.';
		case 'gas-apart':
			return `It is an acid, and ${facts.beside} in the same cabinet is bleach: together they give off poisonous gas. Keep them in different cabinets.`;
		case 'not-in-the-cold':
			return 'It does not belong in a fridge or freezer: someone could take it for food, and the cold spoils it.';
		case 'not-in-the-heat':
			return 'It gets hot here. Sprays and fuel can burst or burn, and medicines lose their strength.';
		case 'spoils-in-heat':
			return 'It gets warm here and will not keep as long. Find it a cooler place.';
		case 'spoils-in-damp':
			return 'It is damp here. Food needs a dry place.';
		case 'medicine-in-damp':
			return 'Steam and damp spoil medicines. A dry, locked place outside the bathroom is better.';
		case 'hazard-apart':
			return `It stands with food (${facts.beside}). Keep cleaners and medicines apart from food, locked or high up, in their own packs.`;
	}
}

/** Says how many days a date is off from today. */
export const whenText = (today: string, on: string): string => daysText(daysBetween(today, on));

const FIELD_WORDS: Readonly<Record<string, string>> = {
	'01': 'product number',
	'10': 'batch',
	'15': 'best-before date',
	'17': 'use-by date',
	'21': 'serial number'
};

/** Says what is wrong with a scanned or typed code, and the way out. */
export function codeIssueText(issue: CodeIssue): string {
	const text = issue.text.length > 60 ? `${issue.text.slice(0, 57)}…` : issue.text;
	switch (issue.code) {
		case 'code-unreadable':
			return `“${text}” is not a code that can be read here. Scan it again, or type what the pack says.`;
		case 'code-length':
			return `“${text}” has ${issue.digits} digits. A product number has 8, 12, 13 or 14: scan it again or type the missing ones.`;
		case 'code-check-digit':
			return `${text} ends in ${issue.found}, but its check digit should be ${issue.expected}. One digit is wrong: scan it again, or type the name instead.`;
		case 'code-cut-short':
			return `The code is cut short: its ${FIELD_WORDS[issue.field] ?? `field ${issue.field}`} has ${issue.have} of ${issue.need} characters. Scan the whole of it again.`;
		case 'code-unknown-field':
			return `“${text}” has a field (${issue.field}) that this program does not read. Scan the plain bars, or type what the pack says.`;
		case 'code-date':
			return `The code says the day ${issue.digits.slice(0, 2)}-${issue.digits.slice(2, 4)}-${issue.digits.slice(4)} (year, month, day), which does not exist. Read the date on the pack.`;
	}
}

/** Writes minutes for reading: `40 min`, `1 h 20 min`. */
export function minutesText(minutes: number): string {
	const whole = Math.round(minutes);
	return whole < 60
		? `${whole} min`
		: `${Math.floor(whole / 60)} h${whole % 60 ? ` ${whole % 60} min` : ''}`;
}

/** Says that something of a list is done with. */
export const goneText = (verdict: Verdict): string =>
	verdict === 'hold' ? 'Asked again' : 'It is out';

/** Writes a time of day from minutes after midnight: `9:05`. */
export const clockText = (minutes: number): string =>
	`${Math.floor(minutes / 60)}:${String(Math.round(minutes) % 60).padStart(2, '0')}`;

/** Says how an estimate of time was made, and on what it rests. */
export function estimateText({ parts, learned }: ClearEstimate): string {
	const min = (value: number) => `${tenthsText(value)}`;
	const plain = `${min(parts.emptyAndClean)} min to empty and wipe, ${min(parts.look)} to look at the things, ${
		parts.decant ? `${min(parts.decant)} to pour into jars, ` : ''
	}${min(parts.putBack)} to put back, and ${min(parts.allowance)} on top, because it always takes longer than you think`;
	if (learned.basis === 'none') return `${plain}. No session in this home is finished yet.`;
	const of = learned.basis === 'kind' ? 'of places of this kind' : 'of this home';
	const many = learned.sessions === 1 ? 'one session' : `${learned.sessions} sessions`;
	return `${plain}; times ${fixedText(learned.ratio, 2)}, as ${many} ${of} took.`;
}

/** What each list of leaving things is called, and how it is carried out. */
export const OUT_WORDS: Readonly<
	Record<Verdict, { readonly title: string; readonly how: string }>
> = {
	keep: { title: 'Keep', how: '' },
	'back-stock': { title: 'Back stock', how: '' },
	'use-first': { title: 'Use first', how: '' },
	move: { title: 'Move', how: '' },
	hazardous: {
		title: 'Hazardous drop-off',
		how: 'Medicines to a pharmacy; batteries, sprays, solvents and strong cleaners to the collection point. Closed, upright, in their own packs, never the drain or the household bin.'
	},
	return: { title: 'Goes back', how: 'Put it by the door, or in the bag that goes there next.' },
	give: {
		title: 'Give',
		how: 'Usable, complete and in date. Out of the house this week, or it creeps back in.'
	},
	recycle: {
		title: 'Recycling',
		how: 'Empty and rinse it. Compost and animal feed where they are allowed.'
	},
	discard: { title: 'Bin', how: 'Out of the house today.' },
	hold: {
		title: 'On hold',
		how: 'Boxed, with a date on it. You are asked again on that day: what nobody missed can go.'
	}
};

/** Says what is wrong with a typed quantity. */
export function quantityIssueText(issue: Extract<QuantityResult, { ok: false }>): string {
	return issue.code === 'quantity-nonsense'
		? `“${issue.text}” cannot be right. Check the scale.`
		: `“${issue.text}” is not a weight or a volume. Write 450 g, 1.2 kg, 12 oz or 750 ml.`;
}
