// The server, started by `node build`: the handler of the framework with the policy on every answer, files and workers
// included, and with limits to how long a connection may take.
import http from 'node:http';
import process from 'node:process';

process.env.BODY_SIZE_LIMIT ??= '21M';
const { handler } = await import('./handler.js');

/**
 * What a file of the program may do. A worker goes by the policy of its own file: nothing from elsewhere is fetched or
 * run; the general solver is WebAssembly. Pages bring a policy of their own, and keep it when they are not modified.
 */
const FILE_POLICY = [
	"default-src 'self'",
	"script-src 'self' 'wasm-unsafe-eval'",
	"object-src 'none'",
	"base-uri 'none'",
	"frame-ancestors 'none'"
].join('; ');

const IS_FILE = /^[^?]*\.[a-z0-9]+(?:\?|$)/i;

const server = http.createServer((request, response) => {
	if (IS_FILE.test(request.url ?? '')) response.setHeader('content-security-policy', FILE_POLICY);
	response.setHeader('x-content-type-options', 'nosniff');
	response.setHeader('referrer-policy', 'no-referrer');
	response.setHeader('cross-origin-opener-policy', 'same-origin');
	response.setHeader('cross-origin-resource-policy', 'same-origin');
	handler(request, response, (error) => {
		response.statusCode = error ? 500 : 404;
		response.end(error ? 'Internal error' : 'Not found');
	});
});
server.headersTimeout = 15_000;
server.requestTimeout = 60_000;
server.maxConnections = 512;

const port = Number(process.env.PORT ?? 3000);
const host = process.env.HOST ?? '0.0.0.0';
server.listen(port, host, () => console.log(`Listening on http://${host}:${port}`));

/** Lets what is being answered end, and takes no more. */
function end() {
	server.close(() => process.exit(0));
	server.closeIdleConnections();
	setTimeout(() => process.exit(0), 5000).unref();
}
process.on('SIGTERM', end);
process.on('SIGINT', end);
