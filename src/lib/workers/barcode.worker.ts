import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { z } from 'zod';
import { serveJobs } from './job-worker';

/** One frame of the camera, and where the page says that the binary of the reader is served. */
const Frame = z.object({ wasmUrl: z.string(), image: z.instanceof(ImageData) });
let prepared = '';

serveJobs(self as unknown as Parameters<typeof serveJobs>[0], async (payload) => {
	const { wasmUrl, image } = Frame.parse(payload);
	if (prepared !== wasmUrl) {
		prepareZXingModule({ overrides: { locateFile: () => wasmUrl } });
		prepared = wasmUrl;
	}
	const found = await readBarcodes(image, {
		formats: [
			'EAN-13',
			'EAN-8',
			'UPC-A',
			'UPC-E',
			'DataBar',
			'DataMatrix',
			'QRCode',
			'Code128',
			'ITF'
		],
		maxNumberOfSymbols: 1
	});
	return { ok: true as const, result: found[0]?.text ?? null };
});
