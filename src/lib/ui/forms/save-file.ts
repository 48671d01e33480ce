import type { Home } from '$lib/core/model';
import type { FileHandle } from '$lib/data';

/** Hands a made file to the browser to save. */
export function saveFile(name: string, content: string | ArrayBuffer, type: string): void {
	const url = URL.createObjectURL(new Blob([content], { type }));
	const link = document.createElement('a');
	link.href = url;
	link.download = name;
	link.click();
	// The browser reads the address after the click; a minute is long enough for any disk.
	setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

/** Whether this browser can hand a file on by the system's own share sheet. */
export const mayShare = (): boolean =>
	typeof navigator !== 'undefined' &&
	typeof navigator.canShare === 'function' &&
	navigator.canShare({ files: [new File([''], 'list.csv', { type: 'text/csv' })] });

/** Hands a made file to the system's share sheet; saves it where that is refused. Called off by the person: nothing. */
export async function shareFile(name: string, content: string | ArrayBuffer, type: string) {
	try {
		await navigator.share({ files: [new File([content], name, { type })], title: name });
	} catch (error) {
		if (error instanceof DOMException && error.name === 'AbortError') return;
		saveFile(name, content, type);
	}
}

/** Makes a file name from the name of a home. @example fileName('The halt', 'ics') // 'the-halt.ics' */
export function fileName(name: string, ending: string): string {
	const base = name
		.toLowerCase()
		.normalize('NFKD')
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '');
	return `${base || 'home'}.${ending}`;
}

/** Hands a home to the browser to save as a home file. */
export async function exportHome(home: Home): Promise<void> {
	const { writeHomeFile } = await import('$lib/core/interchange');
	saveFile(fileName(home.name, 'keepnook.json'), writeHomeFile(home), 'application/json');
}

interface WithPicker {
	showSaveFilePicker?: (options: object) => Promise<FileHandle>;
}
/** Lets a person choose a file of their own to be written to again and again; undefined where a browser cannot. */
export function filePicker(): ((name: string) => Promise<FileHandle | null>) | undefined {
	const pick =
		typeof window === 'undefined' ? undefined : (window as WithPicker).showSaveFilePicker;
	if (!pick) return undefined;
	return async (suggestedName) => {
		try {
			const types = [{ description: 'Home file', accept: { 'application/json': ['.json'] } }];
			return await pick({ suggestedName, types });
		} catch (error) {
			if (error instanceof DOMException && error.name === 'AbortError') return null;
			throw error;
		}
	};
}
