import { exampleCards } from '@/ui/shelf/exampleCards';

export const dynamic = 'force-static';

/** The examples' cards, drawn while the app is built: a first visit shows them without planning any. */
export const GET = (): Response => Response.json(exampleCards());
