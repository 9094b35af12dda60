import { answerTo } from '../answer';

/** POST a design and how exact its maker is, get how likely it fits. 422 with the reasons for a bad document, 413 for one that is too long. */
export const POST = (request: Request): Promise<Response> => answerTo('hands', request);
