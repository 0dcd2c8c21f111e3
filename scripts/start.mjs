/**
 * Starts the built server (this is `build/index.js`). adapter-node listens on every interface unless HOST is
 * set: Focalis stays on this computer unless told otherwise, and the routes bound the size of a request
 * themselves. What every answer carries, static files included, is put on here.
 */

process.env.HOST ??= '127.0.0.1';
process.env.PORT ??= '4180';
process.env.BODY_SIZE_LIMIT ??= 'Infinity';
process.env.FOCALIS_WORKER = new URL('./worker/worker.js', import.meta.url).href;
process.on('uncaughtException', (error) => {
	const { HOST, PORT } = process.env;
	const isTaken = error.code === 'EADDRINUSE';
	console.error(
		isTaken ? `Something else uses port ${PORT} of ${HOST}: choose another with PORT=…` : error
	);
	process.exit(1);
});

/** Features of the browser: the card keeps the screen awake, nothing else is used. */
const UNUSED = [
	'accelerometer',
	'bluetooth',
	'camera',
	'display-capture',
	'geolocation',
	'gyroscope',
	'hid',
	'idle-detection',
	'local-fonts',
	'magnetometer',
	'microphone',
	'midi',
	'payment',
	'publickey-credentials-get',
	'serial',
	'usb'
];
const EVERYWHERE = {
	'x-content-type-options': 'nosniff',
	'referrer-policy': 'no-referrer',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin',
	'permissions-policy': [
		...UNUSED.map((feature) => `${feature}=()`),
		'screen-wake-lock=(self)'
	].join(', '),
	// asked anew each time; what never changes says so itself
	'cache-control': 'no-cache'
};

/** Workers are under no page's policy: they have their own. The models that find faces are WebAssembly. */
const WORKER_POLICY = [
	"default-src 'none'",
	"script-src 'self' 'wasm-unsafe-eval'",
	"worker-src 'self'",
	"connect-src 'self' data: blob:",
	"img-src 'self' data: blob:",
	"font-src 'self' data:"
].join('; ');
const IS_WORKER = /\/workers\/[^/]+\.js$/;

const { server } = await import(new URL('./server.js', import.meta.url).href);
const http = server.server;
const answers = http.listeners('request');
http.removeAllListeners('request');
http.on('request', (request, response) => {
	for (const [name, value] of Object.entries(EVERYWHERE)) response.setHeader(name, value);
	const [path] = (request.url ?? '').split('?');
	if (IS_WORKER.test(path)) response.setHeader('content-security-policy', WORKER_POLICY);
	const hosts = request.rawHeaders.filter((name, i) => i % 2 === 0 && /^host$/i.test(name));
	if (hosts.length > 1) {
		response.writeHead(400, { 'content-type': 'text/plain' }).end('One Host, please.\n');
		return;
	}
	for (const answer of answers) answer.call(http, request, response);
});
