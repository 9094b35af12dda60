import { answerTo } from '../answer';

/** POST a sheet that went wrong, get what it can still be. 422 with the reasons for a bad document, 413 for one too long. */
export const POST = (request: Request): Promise<Response> => answerTo('rescue', request);
