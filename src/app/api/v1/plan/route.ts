import { answerTo } from '../answer';

/** POST a design, get its plan. 422 with the reasons for a bad document, 413 for one that is too long. */
export const POST = (request: Request): Promise<Response> => answerTo('plan', request);
