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

const port = Number(process.argv[2] ?? process.env.PORT ?? 3000);
const app = next({ dev: false, port, hostname: 'localhost' });
const answer = app.getRequestHandler();
await app.prepare();

const server = createServer(
  { headersTimeout: HEAD, requestTimeout: WHOLE, keepAliveTimeout: BETWEEN, connectionsCheckingInterval: 1000 },
  (request, response) => {
    answer(request, response).catch((error) => {
      console.error(error);
      if (!response.headersSent) response.writeHead(500, { 'Content-Type': 'application/json' });
      response.end(JSON.stringify({ error: 'Something went wrong here that nobody foresaw.' }));
    });
  },
);
// What is no request at all gets a short answer too.
const BAD = JSON.stringify({ error: 'This is not a request that can be answered.' });
const STATUS = {
  HPE_HEADER_OVERFLOW: '431 Request Header Fields Too Large',
  ERR_HTTP_REQUEST_TIMEOUT: '408 Request Timeout',
};
server.on('clientError', (error, socket) => {
  if (error.code === 'ECONNRESET' || !socket.writable) return socket.destroy();
  socket.end(
    `HTTP/1.1 ${STATUS[error.code] ?? '400 Bad Request'}\r\nContent-Type: application/json\r\nX-Content-Type-Options: nosniff\r\nContent-Length: ${Buffer.byteLength(BAD)}\r\nConnection: close\r\n\r\n${BAD}`,
  );
});
server.listen(port, () => console.log(`Tuck Fold answers on http://localhost:${port}`));
for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
