/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';

/**
 * Keeps the whole app of one version on the device, so that everything in it works without a network
 * after one visit. A new version is fetched beside the old one and waits until the page says that its
 * work is saved.
 */

const worker = globalThis as unknown as ServiceWorkerGlobalScope;
const CACHE = `focalis-${version}`;
const PAGE = '/';
/** What finds faces is large, and fetched when it is first wanted: kept from then on. */
const isWantedLater = (path: string): boolean => /\/assets\/[^/]+\.(bin|wasm|json)$/.test(path);

worker.addEventListener('install', (event) => {
	const page = new Request(PAGE, { cache: 'reload' });
	const now = build.filter((path) => !isWantedLater(path));
	event.waitUntil(caches.open(CACHE).then((cache) => cache.addAll([page, ...now, ...files])));
});

worker.addEventListener('activate', (event) => {
	const dropOthers = async () => {
		const names = (await caches.keys()).filter((name) => name !== CACHE);
		await takeAlong();
		await Promise.all(names.map((name) => caches.delete(name)));
		await worker.clients.claim();
	};
	event.waitUntil(dropOthers());
});

/** What was fetched for an earlier version and is the same in this one need not be fetched again. */
async function takeAlong(): Promise<void> {
	const cache = await caches.open(CACHE);
	for (const path of build.filter(isWantedLater)) {
		const kept = await caches.match(path);
		if (kept) await cache.put(path, kept);
	}
}

worker.addEventListener('message', ({ data }) => {
	if (data === 'take-over') void worker.skipWaiting();
});

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const { origin, pathname } = new URL(request.url);
	if (request.method !== 'GET' || origin !== worker.location.origin) return;
	if (pathname.startsWith('/api/')) return;
	const isVisit = request.mode === 'navigate';
	if (isVisit && pathname !== PAGE) {
		// an address that there is not: the server says so; without it one comes to what there is
		event.respondWith(fetch(request).catch(() => Response.redirect(PAGE)));
		return;
	}
	const kept = isVisit ? PAGE : request;
	const answer = async () => {
		const cache = await caches.open(CACHE);
		const known = await cache.match(kept);
		if (known) return known;
		const fetched = await fetch(request);
		if (fetched.ok && isWantedLater(pathname)) await cache.put(request, fetched.clone());
		return fetched;
	};
	event.respondWith(answer());
});
