import { hostname, networkInterfaces } from 'node:os';

/**
 * Who may speak to this server. On loopback anyone here may. Bound to anything else, it answers only
 * to its own names, so that a foreign page cannot reach it through a name of its own.
 */

const LOOPBACK = /^(localhost|127(\.\d+){3}|\[?::1\]?)$/i;

/** Whether an address to listen on stays on this computer. */
export const isLoopback = (host: string): boolean => LOOPBACK.test(host);

/** The name in a Host header or an origin, without its port. Null when it cannot be read. */
function nameOf(host: string): string | null {
	try {
		return new URL(host.includes('://') ? host : `http://${host}`).hostname.toLowerCase();
	} catch {
		return null;
	}
}

/** Names and addresses this computer goes by; `origin` is the public one, if there is one. */
export function ownNames(listenOn: string, origin: string | undefined): ReadonlySet<string> {
	const addresses = Object.values(networkInterfaces()).flatMap((all) =>
		(all ?? []).map(({ address, family }) => (family === 'IPv6' ? `[${address}]` : address))
	);
	const names = ['localhost', '127.0.0.1', '[::1]', hostname(), listenOn, ...addresses];
	return new Set([...names, origin ?? ''].map(nameOf).filter((name) => name !== null));
}

/** Whether a request came by one of our names and, if a page sent it, from a page of ours. */
export function isForUs(headers: Headers, names: ReadonlySet<string>): boolean {
	const host = headers.get('host');
	if (!host || !names.has(nameOf(host) ?? '')) return false;
	const origin = headers.get('origin');
	return origin === null || names.has(nameOf(origin) ?? '');
}
