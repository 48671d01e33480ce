import { createEmptyCard, fsrs, Rating, type Card } from 'ts-fsrs';
import { GroupId, NookId, PersonId, PracticeCardId, type PracticeCard } from '../model';

// The same answers give the same days: no scatter.
const scheduler = fsrs({ enable_fuzz: false });

export interface Answer {
	/** For the card, where there is none yet. */
	readonly id: string;
	readonly personId: string;
	readonly groupId: string;
	/** Where it lives now. */
	readonly nookId: string;
	readonly isRight: boolean;
	/** ISO instant. */
	readonly now: string;
}

function toCard(card: PracticeCard): Card {
	const {
		dueAt,
		reviewedAt,
		scheduledDays,
		learningSteps,
		stability,
		difficulty,
		reps,
		lapses,
		state
	} = card;
	return {
		due: new Date(dueAt),
		stability,
		difficulty,
		elapsed_days: 0,
		scheduled_days: scheduledDays,
		learning_steps: learningSteps,
		reps,
		lapses,
		state,
		...(reviewedAt ? { last_review: new Date(reviewedAt) } : {})
	};
}

/**
 * Schedules the next asking after an answer, by a forgetting curve. A card for another place starts anew: what moved is to
 * be learned again.
 */
export function nextCard(known: PracticeCard | null, answer: Answer): PracticeCard {
	const { id, personId, groupId, nookId, isRight, now } = answer;
	const same = known?.nookId === nookId ? known : null;
	// A clock that was set back, or another machine's: time does not run backwards for a card.
	const at = new Date(same?.reviewedAt && same.reviewedAt > now ? same.reviewedAt : now);
	const { card } = scheduler.next(
		same ? toCard(same) : createEmptyCard(at),
		at,
		isRight ? Rating.Good : Rating.Again
	);
	return {
		id: same?.id ?? PracticeCardId.parse(id),
		personId: PersonId.parse(personId),
		groupId: GroupId.parse(groupId),
		nookId: NookId.parse(nookId),
		dueAt: card.due.toISOString(),
		stability: card.stability,
		difficulty: card.difficulty,
		scheduledDays: card.scheduled_days,
		learningSteps: card.learning_steps,
		reps: card.reps,
		lapses: card.lapses,
		state: card.state,
		reviewedAt: at.toISOString(),
		streak: isRight ? (same?.streak ?? 0) + 1 : 0
	};
}
