import { fixedText } from './numbers';
import type { FileIssue } from '../core/interchange';

const megabytes = (bytes: number) => `${fixedText(bytes / 1e6, bytes < 1e7 ? 1 : 0)} MB`;

/** Says what is wrong with a file that came in, and what to do. Nothing of the home has been changed. */
export function fileIssueText(issue: FileIssue): string {
	switch (issue.code) {
		case 'file-too-large':
			return `The file is ${megabytes(issue.bytes)}; home files go up to ${megabytes(issue.limit)}. Check that it is the right file.`;
		case 'file-not-json':
			return 'The file ends too early or is not a home file at all. It may have been cut in a copy or download: export it again and try that one.';
		case 'file-wrong-type':
			return `This is not a Keep Nook home file (found: ${issue.found}). Choose a file that ends in .keepnook.json.`;
		case 'file-newer':
			return `The file was written by a newer Keep Nook (layout ${issue.version}; this one knows ${issue.known}). Update this program, then import it again.`;
		case 'file-bad-version':
			return `The file says it has layout ${issue.version}, which no Keep Nook has written. Export the home again and try that one.`;
		case 'file-bad-record':
			return `The file is wrong at “${issue.path}”: ${issue.reason}. Fix it there, or export the home again.`;
		case 'file-broken-link':
			return `“${issue.path}” points to “${issue.missing}”, which is not in the file. Export the home again.`;
		case 'zip-damaged':
			return `The archive is damaged or cut short (${issue.reason}). Export it again and try that one.`;
		case 'zip-without-home':
			return `The archive holds no “${issue.wanted}”. Choose one that was exported here with its pictures.`;
	}
}

export type PhotoIssue =
	| { readonly code: 'photo-not-picture'; readonly name: string }
	| {
			readonly code: 'photo-too-large';
			readonly name: string;
			readonly bytes: number;
			readonly limit: number;
	  };

/** Says why a picture was not taken. The one that was there stays. */
export function photoIssueText(issue: PhotoIssue): string {
	switch (issue.code) {
		case 'photo-not-picture':
			return `“${issue.name}” is not a picture that this browser can read. Choose a JPEG, PNG or WebP; the old picture stays.`;
		case 'photo-too-large':
			return `“${issue.name}” is ${megabytes(issue.bytes)}; pictures go up to ${megabytes(issue.limit)}. Make it smaller; the old picture stays.`;
	}
}
