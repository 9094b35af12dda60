/** Command line of the rescue contract: a sheet that went wrong on standard input, what it can still be on standard output. */
import { unitsOf, sayer } from '../src/core/length';
import { allWaysOut, readRescue, rescueAnswer } from '../src/core/rescue';
import { main, onDocument, wrong } from './document';

export const rescue = onDocument((document) => {
  const read = readRescue(document);
  if (!read.ok) return wrong('What went wrong is told in a way that has a problem.', read.issues);
  const { graduation } = read.mishap.design;
  const say = sayer(unitsOf(graduation), graduation);
  return { so: 'answer', body: rescueAnswer(allWaysOut(read.mishap, say)) };
});
void main('rescue', rescue);
