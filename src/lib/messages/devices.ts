import type { MeterIssue, ScanResult } from '../core/devices';

/** Says why a device gave nothing, and what to do instead. */
export function deviceIssueText(
	issue: MeterIssue | Extract<ScanResult, { ok: false }>['issue']
): string {
	switch (issue.code) {
		case 'device-silent':
			return `${issue.device} has not answered for ${Math.round(issue.waitedMs / 1000)} seconds. Nothing is lost: try again, or type it in.`;
		case 'device-away':
			return `${issue.device} cannot be reached. Nothing is lost: type it in, or try again when it is back.`;
		case 'device-garbled':
			return `${issue.device} sent something that cannot be read. Try again, or type it in.`;
		case 'scan-stopped':
			return 'Nothing was scanned. Type what it is, or the number below its bars.';
		case 'out-of-range':
			return 'Out of range: the wall is nearer than 5 cm or farther than 30 m. Hold it flat against the side and try again.';
		case 'weak-echo':
			return 'No clear echo: glass, mirrors and shiny metal scatter it. Hold a sheet of paper there and try again.';
	}
}
