import { sayer } from '../../src/core/length';
import { faultWords, type Fault } from '../../src/core/tools';

/** What went wrong on a simulated tool, in millimetres. */
export const said = (faults: readonly Fault[]): string[] =>
  faults.map((fault) => faultWords(fault, sayer('mm', 'exact')));
