import { parseIntake, type DateOrder } from '../src/lib/core/clearing';
import { linesOf } from './names';

/** Reads a file of typed lines, one thing each, and says what each was taken for. */
export function benchLines(file: string, today: string, order: DateOrder): readonly object[] {
	return linesOf(file).map((text) => {
		const { line, kind, unread, issues, dates } = parseIntake(text, { order, today });
		const date = dates[0];
		return {
			line: text,
			count: line.count,
			unit: line.countWord ? line.countWord.toLowerCase() : null,
			name: line.name,
			date: date ? { on: date.on, kind: date.kind } : null,
			states: line.states,
			category: kind.category,
			sure: kind.sure,
			hazards: kind.hazards,
			needs: kind.needs,
			unread: [...unread, ...issues.flatMap((issue) => ('text' in issue ? issue.text : []))]
		};
	});
}
