import { existsSync, readFileSync } from 'node:fs';
import { NextResponse, type NextRequest } from 'next/server';

const HASHES = '.next/csp-hashes.json';
let hashes: Record<string, string[]> | undefined;

/** The page's policy: own scripts and the hashed inline ones of its prerendered page, nothing from elsewhere. */
function policy(scripts: readonly string[]): string {
  return [
    "default-src 'self'",
    `script-src 'self' ${scripts.join(' ')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "frame-src 'none'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/**
 * The list of inline scripts the build wrote. Without it every page would be sent with a policy that lets none of its own
 * scripts run, or, worse, somebody would loosen the policy: nothing is served then.
 */
function listed(): Record<string, string[]> {
  if (!existsSync(HASHES))
    throw new Error(
      `${HASHES} is missing: it lists the inline scripts that pages may run. Build with \`npm run build\`.`,
    );
  const read = JSON.parse(readFileSync(HASHES, 'utf8')) as Record<string, string[]>;
  if (!read['/_not-found']) throw new Error(`${HASHES} does not list the pages of this build. Build anew.`);
  return read;
}

/** Sends every page with its Content-Security-Policy. In development Next needs inline scripts of its own. */
export function proxy(request: NextRequest): NextResponse {
  const response = NextResponse.next();
  if (process.env.NODE_ENV === 'development') return response;
  hashes ??= listed();
  response.headers.set('Content-Security-Policy', policy(hashes[request.nextUrl.pathname] ?? hashes['/_not-found']!));
  // Every page is asked for again before it is used: a new version is found at once.
  response.headers.set('Cache-Control', 'no-cache');
  return response;
}

export const config = { matcher: ['/((?!api/|_next/|icons/|sw\\.js).*)'] };
