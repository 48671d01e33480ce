/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';

// Keeps the whole program on the device, so that everything works with the server stopped.
const worker = globalThis.self as unknown as ServiceWorkerGlobalScope;
const CACHE = `keep-nook-${version}`;
/** Every screen is drawn by the same page; it is kept under this address. */
const SHELL = '/';
const ASSETS = [...build, ...files];

worker.addEventListener('install', (event) => {
	event.waitUntil(
		caches
			.open(CACHE)
			.then((cache) => cache.addAll([SHELL, ...ASSETS]))
			.then(() => worker.skipWaiting())
	);
});

worker.addEventListener('activate', (event) => {
	const dropOld = async () => {
		for (const key of await caches.keys()) if (key !== CACHE) await caches.delete(key);
		await worker.clients.claim();
	};
	event.waitUntil(dropOld());
});

async function fromCache(path: string): Promise<Response | undefined> {
	return (await caches.open(CACHE)).match(path);
}

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
	if (url.pathname.startsWith('/api/') || url.pathname.startsWith('/schema/')) return;
	if (request.mode === 'navigate') {
		// The newest program while the server is there; the kept one when it is not.
		event.respondWith(
			fetch(request).catch(async () => (await fromCache(SHELL)) ?? Response.error())
		);
		return;
	}
	if (ASSETS.includes(url.pathname))
		event.respondWith(fromCache(url.pathname).then((kept) => kept ?? fetch(request)));
});
