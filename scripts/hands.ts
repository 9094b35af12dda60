/** Command line of the hands contract: a design and how exact its maker is on standard input, the odds on standard output. */
import { answerHands, readHands } from '../src/core/hands';
import { main, onDocument, wrong } from './document';

export const hands = onDocument((document) => {
  const read = readHands(document);
  return read.ok
    ? { so: 'answer', body: answerHands(read.question) }
    : wrong('The question has a problem.', read.issues);
});
void main('hands', hands);
