export { parsePrintedDate, type DateOrder, type DateResult } from './parse-date';
export { parseIntake, type IntakeIssue, type IntakeLine, type IntakeResult } from './parse-intake';
export { adviseLot, type Advice, type AdviceCode, type AdviceContext } from './advice';
export { knownThing, takeIn, type TakeIn } from './take-in';
export { decide, LEAVING, undecidedLots, VERDICT_KEYS, type Decide } from './decide';
export { tally, type TallyLine } from './tally';
export { estimateClear, type ClearEstimate } from './estimate';
