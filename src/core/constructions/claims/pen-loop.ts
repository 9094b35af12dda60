import { TOLERANCE } from '../../geometry';
import { layerOf, stageAfter, unfolds } from '../../fold';
import { mm, type Mm } from '../../length';
import type { ClaimType, FoldedThing } from './claim';

/** A loop of two walls that a pen is pushed through, the step that makes it, and the pen asked for. */
export interface PenLoop {
  readonly kind: 'pen-loop';
  readonly walls: readonly [string, string];
  readonly after: string;
  readonly pen: Mm | null;
}
export interface PenFacts {
  pen: { readonly wall: number };
}

/** A pen slides in a loop with this much to spare, mm. From memory: less, and it drags. */
const SLACK = 0.3;
/** A pen this much thicker still goes in, and drags, mm. From memory: walls of 1/2 in are used for a pen of 5/16. */
const DRAGS = 0.5;

/** Walls that a pen of this thickness takes, one of two, mm: `2l = π·d` round the middle of the paper, and some slack. */
export const penWall = (pen: number, caliper: number): number => (Math.PI * (pen + caliper + SLACK)) / 2;

/**
 * The thickest pen that goes into the folded loop, mm: it is as long round as its two walls can be lifted, along the
 * middle of the paper, and the pen keeps its slack.
 */
export const penTaken = (
  { walls, after }: PenLoop,
  { folded, caliper }: Pick<FoldedThing, 'folded' | 'caliper'>,
): Mm => {
  const { stack } = stageAfter(folded, after);
  return mm(Math.max(0, unfolds(stack, walls) / Math.PI - caliper(layerOf(stack, walls[0]).piece) - SLACK));
};

export const penLoop: ClaimType<PenLoop, PenFacts> = {
  of: 'standing',
  measure: (loop, thing) => {
    const [value, limit] = [penTaken(loop, thing), loop.pen ?? mm(0)];
    const short = limit - value;
    const level = short <= TOLERANCE.folded ? 'pass' : short <= DRAGS ? 'note' : 'warn';
    const wall = unfolds(stageAfter(thing.folded, loop.after).stack, loop.walls) / 2;
    return [{ kind: 'pen', level, value, limit, about: { wall }, cure: limit }];
  },
  words: {
    pen: ({ level, value, limit, about: { wall } }, say) => {
      const takes = `The loop’s walls of ${say(wall)} take a pen`;
      // A limit rounded down must not deny the pen that has just been found to go in.
      if (level === 'pass') return `${takes} of ${say(limit > 0 ? limit : value, 'down')} and leave it some slack.`;
      if (level === 'note') return `${takes} of ${say(limit)} only just: it drags. Size the loop from the pen.`;
      return `${takes} up to ${say(value, 'down')}; yours measures ${say(limit, 'up')}. Size the loop from the pen.`;
    },
  },
};
