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

worker.addEventListener('install', (event) => {
	const page = new Request(PAGE, { cache: 'reload' });
	event.waitUntil(caches.open(CACHE).then((cache) => cache.addAll([page, ...build, ...files])));
});

worker.addEventListener('activate', (event) => {
	const dropOthers = async () => {
		const names = await caches.keys();
		await Promise.all(names.filter((name) => name !== CACHE).map((name) => caches.delete(name)));
		await worker.clients.claim();
	};
	event.waitUntil(dropOthers());
});

worker.addEventListener('message', ({ data }) => {
	if (data === 'take-over') void worker.skipWaiting();
});

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const { origin, pathname } = new URL(request.url);
	if (request.method !== 'GET' || origin !== worker.location.origin) return;
	if (pathname.startsWith('/api/')) return;
	const kept = request.mode === 'navigate' ? PAGE : request;
	const answer = async () => {
		const cache = await caches.open(CACHE);
		return (await cache.match(kept)) ?? fetch(request);
	};
	event.respondWith(answer());
});
