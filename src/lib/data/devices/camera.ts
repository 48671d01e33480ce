/** Reads a code off one frame; null: there is none in it. */
export interface FrameReader {
	read(frame: ImageData, source: HTMLVideoElement): Promise<string | null>;
	end(): void;
}

/** What browsers that read codes themselves offer; not all of them do. */
interface NativeDetector {
	detect(source: HTMLVideoElement): Promise<readonly { readonly rawValue: string }[]>;
}
type NativeDetectorClass = new () => NativeDetector;

/** The browser's own reader of codes where there is one; null: the one that ships with the program is needed. */
export function nativeReader(): FrameReader | null {
	const Native = (globalThis as { BarcodeDetector?: NativeDetectorClass }).BarcodeDetector;
	if (!Native) return null;
	const detector = new Native();
	return {
		read: async (_frame, source) => (await detector.detect(source))[0]?.rawValue ?? null,
		end: () => {}
	};
}

/** Whether there is a camera that may be asked for. */
export async function hasCamera(): Promise<boolean> {
	try {
		const devices = (await navigator.mediaDevices?.enumerateDevices()) ?? [];
		return devices.some(({ kind }) => kind === 'videoinput');
	} catch {
		return false;
	}
}

/** Opens the camera at the back where there are two. Rejects when it may not be used or is taken. */
export const openCamera = (): Promise<MediaStream> =>
	navigator.mediaDevices.getUserMedia({
		video: { facingMode: 'environment', width: { ideal: 1280 } },
		audio: false
	});
