import { scoresRun, type Programme } from '../tools';
import type { Made } from './made';

/** Scores numbered in the order they are made; those run in one go share a number. */
export const scoreNumbers = (programme: Programme): Map<string, number> =>
  new Map(
    programme.moves
      .map(scoresRun)
      .filter((scores) => scores.length > 0)
      .flatMap((scores, i) => scores.map((score): [string, number] => [score, i + 1])),
  );

/** A score's number on its own piece. */
export interface ScoreNumber {
  readonly piece: string;
  readonly number: number;
}

/** The numbers of all scores of all pieces. */
export const allNumbers = (made: Made): ReadonlyMap<string, ScoreNumber> =>
  new Map(
    [...made.pieces, ...made.layers].flatMap(({ piece, programme }) =>
      [...scoreNumbers(programme)].map(([id, number]): [string, ScoreNumber] => [id, { piece: piece.name, number }]),
    ),
  );
