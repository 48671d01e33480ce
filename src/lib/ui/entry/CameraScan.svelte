<script lang="ts">
	import { nativeReader, openCamera, type FrameReader } from '$lib/data/devices';
	import type { PackScanner } from '$lib/state/pack-scanner.svelte';
	import { createBarcodeClient } from '$lib/workers/barcode.client';

	let { scanner }: { scanner: PackScanner } = $props();
	let dialog = $state<HTMLDialogElement>();
	let video = $state<HTMLVideoElement>();
	/** A frame wider than this says nothing more, px. */
	const MOST_PX = 960;

	function shippedReader(): FrameReader {
		const client = createBarcodeClient();
		return { read: (frame) => client.read(frame), end: () => client.cancel() };
	}
	function frameOf(source: HTMLVideoElement, canvas: HTMLCanvasElement): ImageData | null {
		const scale = Math.min(1, MOST_PX / source.videoWidth);
		canvas.width = Math.round(source.videoWidth * scale);
		canvas.height = Math.round(source.videoHeight * scale);
		const pen = canvas.getContext('2d', { willReadFrequently: true });
		if (!pen || !canvas.width) return null;
		pen.drawImage(source, 0, 0, canvas.width, canvas.height);
		return pen.getImageData(0, 0, canvas.width, canvas.height);
	}
	$effect(() => {
		if (!dialog || !video) return;
		const [shown, source, canvas] = [dialog, video, document.createElement('canvas')];
		let gone = false;
		let stream: MediaStream | null = null;
		const reader = nativeReader() ?? shippedReader();
		shown.showModal();
		async function look() {
			stream = await openCamera();
			if (gone) return stream.getTracks().forEach((track) => track.stop());
			source.srcObject = stream;
			await source.play();
			while (!gone) {
				const frame = frameOf(source, canvas);
				const text = frame ? await reader.read(frame, source) : null;
				if (text && !gone) return scanner.found(text);
				await new Promise((next) => requestAnimationFrame(next));
			}
		}
		look().catch((error: unknown) => {
			if (!gone) scanner.failed(error instanceof Error ? error.message : String(error));
		});
		return () => {
			gone = true;
			reader.end();
			stream?.getTracks().forEach((track) => track.stop());
			shown.close();
		};
	});
</script>

<dialog
	class="modal modal-bottom sm:modal-middle"
	aria-label="Scan a pack"
	bind:this={dialog}
	oncancel={(event) => {
		event.preventDefault();
		scanner.stop();
	}}
>
	<div class="modal-box">
		<h2 class="mb-2">Hold the code in the picture</h2>
		<video bind:this={video} muted playsinline class="w-full" aria-label="What the camera sees"
		></video>
		{#if scanner.trouble}
			<p role="alert" class="mt-2" style="color:var(--color-error)">
				The camera gives no picture: {scanner.trouble}. Allow it for this page, or type the number.
			</p>
		{/if}
		<div class="mt-3 flex flex-wrap gap-2">
			<button class="btn" onclick={() => scanner.stop()}>Cancel</button>
			<button class="btn btn-ghost" onclick={() => void scanner.standIn()}
				>Try the stand-in scanner (invented products)</button
			>
		</div>
		<p class="soft mt-2 text-sm">The picture stays in this browser; nothing is sent.</p>
	</div>
</dialog>
