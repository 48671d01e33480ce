/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';

// Keeps the whole program on the device, so that everything works with the server stopped.
const worker = globalThis.self as unknown as ServiceWorkerGlobalScope;
const PREFIX = 'keep-nook-';
const CACHE = `${PREFIX}${version}`;
/** Every screen is drawn by the same page; it is kept under this address. */
const SHELL = '/';
const ASSETS = [...build, ...files];
/** What workers load besides their own file stands in no list: it is read from the files that name it. */
const NAMED = /["'`]((?:\.{1,2}\/|\/_app\/immutable\/)[\w./-]+\.js)["'`]/g;

/** Lists the scripts of the program that a script names, as addresses. */
const namedIn = (script: string, from: string): string[] =>
	[...script.matchAll(NAMED)].map(
		([, name]) => new URL(name!, new URL(from, worker.location.origin)).pathname
	);

async function keepAll(): Promise<void> {
	const cache = await caches.open(CACHE);
	await cache.addAll([SHELL, ...ASSETS]);
	// Workers load chunks that only they import: followed until nothing new is named.
	const seen = new Set(ASSETS);
	let look = ASSETS.filter((path) => path.includes('/workers/') && path.endsWith('.js'));
	while (look.length) {
		const found = new Set<string>();
		for (const path of look) {
			const script = await (await cache.match(path))?.text();
			for (const name of namedIn(script ?? '', path)) if (!seen.has(name)) found.add(name);
		}
		look = [];
		for (const path of found) {
			seen.add(path);
			const answer = await fetch(path).catch(() => null);
			if (!answer?.ok) continue;
			await cache.put(path, answer);
			look.push(path);
		}
	}
}

worker.addEventListener('install', (event) => {
	// It waits until the person asks for it, or no tab of the old program is open: an open tab keeps its own files.
	event.waitUntil(keepAll());
});

worker.addEventListener('message', ({ data }) => {
	if (data === 'take-over') void worker.skipWaiting();
});

worker.addEventListener('activate', (event) => {
	event.waitUntil(
		(async () => {
			// The program before this one stays: a tab that has it open may still load parts of it.
			const others = (await caches.keys()).filter((key) => key.startsWith(PREFIX) && key !== CACHE);
			for (const key of others.slice(0, -1)) await caches.delete(key);
			const open = await worker.clients.matchAll({ includeUncontrolled: true, type: 'window' });
			if (!open.length) for (const key of others) await caches.delete(key);
			await worker.clients.claim();
		})()
	);
});

/** Looks a file up in this program's files first, then in those of the one before. */
async function fromCache(path: string): Promise<Response | undefined> {
	return (await (await caches.open(CACHE)).match(path)) ?? (await caches.match(path));
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
	if (url.pathname.startsWith('/_app/immutable/') || ASSETS.includes(url.pathname))
		event.respondWith(fromCache(url.pathname).then((kept) => kept ?? fetch(request)));
});
