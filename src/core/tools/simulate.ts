import type { Segment } from '../geometry';
import type { Blank } from '../pattern';
import type { Tool } from './kinds';
import type { Move } from './move';
import { carryOut } from './registry';
import { scoresLeft, Sheet, wholeSheet, type SheetState } from './sheet';

/** What a simulated tool left of the sheet. */
export interface Simulated extends SheetState {
  /** Scores that remain on the paper, in the order they were run. */
  readonly scores: readonly Segment<'sheet'>[];
}

/**
 * Carries a programme out, move by move, as the tool would: it knows where the sheet lies and its own figures, and
 * nothing of the pattern. It begins with a whole sheet, or goes on from any state of one. Moves it cannot make are
 * faults, not exceptions.
 */
export function simulate(from: Blank | SheetState, tool: Tool, moves: readonly Move[]): Simulated {
  const sheet = new Sheet('paper' in from ? from : wholeSheet(from));
  for (const move of moves) carryOut(move, sheet, tool);
  return { ...sheet.state, scores: scoresLeft(sheet.state) };
}
