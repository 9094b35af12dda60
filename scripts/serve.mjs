/**
 * Serves the built app: `node scripts/serve.mjs 3000`. Next’s own server with patience set: whoever sends the head of a
 * request a letter at a time, or never ends its body, is cut off.
 */
import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import next from 'next';

/** The head of a request, all of it, and what is kept open between requests, ms. */
const [HEAD, WHOLE, BETWEEN] = [8000, 30_000, 5000];

const HASHES = '.next/csp-hashes.json';
if (!existsSync(HASHES)) {
  console.error(
    `${HASHES} is missing: without it no page may run its own scripts. Build with \`npm run build\` first.`,
  );
  process.exit(1);
}

/** What an answer that no page of ours makes carries: it is no page, and nothing in it runs. */
const BARE = {
  'Content-Type': 'application/json',
  'X-Content-Type-Options': 'nosniff',
  'Content-Security-Policy': "default-src 'none'; frame-ancestors 'none'",
};
/** Ways of asking that something here answers to. */
const METHODS = ['GET', 'HEAD', 'POST', 'OPTIONS'];

const port = Number(process.argv[2] ?? process.env.PORT ?? 3000);
const app = next({ dev: false, port, hostname: 'localhost' });
const answer = app.getRequestHandler();
await app.prepare();

const server = createServer(
  { headersTimeout: HEAD, requestTimeout: WHOLE, keepAliveTimeout: BETWEEN, connectionsCheckingInterval: 1000 },
  (request, response) => {
    if (!METHODS.includes(request.method)) {
      response.writeHead(405, { ...BARE, Allow: METHODS.join(', ') });
      return response.end(JSON.stringify({ error: `Nothing here answers to ${request.method}.` }));
    }
    answer(request, response).catch((error) => {
      console.error(error);
      if (!response.headersSent) response.writeHead(500, BARE);
      response.end(JSON.stringify({ error: 'Something went wrong here that nobody foresaw.' }));
    });
  },
);
// What is no request at all gets a short answer too.
const BAD = 'This is not a request that can be answered.';
const STATUS = {
  HPE_HEADER_OVERFLOW: '431 Request Header Fields Too Large',
  ERR_HTTP_REQUEST_TIMEOUT: '408 Request Timeout',
};
/** Ends a connection with a last word. */
const endWith = (socket, status, sentence) => {
  const body = JSON.stringify({ error: sentence });
  const head = Object.entries({ ...BARE, 'Content-Length': Buffer.byteLength(body), Connection: 'close' });
  socket.end(`HTTP/1.1 ${status}\r\n${head.map(([name, value]) => `${name}: ${value}\r\n`).join('')}\r\n${body}`);
};
server.on('clientError', (error, socket) => {
  if (error.code === 'ECONNRESET' || !socket.writable) return socket.destroy();
  endWith(socket, STATUS[error.code] ?? '400 Bad Request', BAD);
});
// Nothing here goes on in another language. A connection that asks for one is not timed any more: it is ended at once.
for (const event of ['upgrade', 'connect'])
  server.on(event, (request, socket) => {
    socket.on('error', () => undefined);
    endWith(socket, event === 'connect' ? '405 Method Not Allowed' : '400 Bad Request', 'Only HTTP is spoken here.');
    setTimeout(() => socket.destroy(), BETWEEN).unref();
  });
server.listen(port, () => console.log(`Tuck Fold answers on http://localhost:${port}`));
for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
