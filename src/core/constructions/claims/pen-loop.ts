import { TOLERANCE } from '../../geometry';
import { stageAfter, unfolds } from '../../fold';
import { mm, type Mm } from '../../length';
import { type ClaimType, type Thing } from './claim';

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

/** The thickest pen that the folded loop goes round, mm: it is as long round as its two walls can be lifted, `2l = π·d`. */
export const penTaken = ({ walls, after }: PenLoop, { folded }: Pick<Thing, 'folded'>): Mm =>
  mm(unfolds(stageAfter(folded, after).stack, walls) / Math.PI);

export const penLoop: ClaimType<PenLoop, PenFacts> = {
  of: 'standing',
  measure: (loop, thing) => {
    const [value, limit] = [penTaken(loop, thing), loop.pen ?? mm(0)];
    const level = value < limit - TOLERANCE.folded ? 'warn' : 'pass';
    return [{ kind: 'pen', level, value, limit, about: { wall: (value * Math.PI) / 2 }, cure: limit }];
  },
  words: {
    pen: ({ level, value, limit, about: { wall } }, say) => {
      const takes = `The loop’s walls of ${say(wall)} take a pen up to ${say(value, 'down')}`;
      return level === 'pass' ? `${takes}.` : `${takes}; yours measures ${say(limit)}. Size the loop from the pen.`;
    },
  },
};
