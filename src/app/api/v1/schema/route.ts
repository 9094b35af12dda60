import { jsonSchema } from '@/core/files';

export const dynamic = 'force-static';

/** GET the JSON Schema of every document. */
export const GET = (): Response =>
  Response.json(jsonSchema(), { headers: { 'Content-Type': 'application/schema+json' } });
