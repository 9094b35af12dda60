import { answerTo } from '../answer';

/** POST a cut list, get its layout. 422 with the reasons for a bad document, 413 for one that is too long. */
export const POST = (request: Request): Promise<Response> => answerTo('pack', request);
