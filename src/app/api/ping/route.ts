export const dynamic = 'force-static';

/** Answers as soon as the server does. */
export const GET = (): Response => Response.json({ ok: true });
