import { mm } from '../length';

/**
 * Least sizes that hands can fold, glue and cut, mm: the one record of them. From memory and common practice; what is
 * under the first cannot be made, what is under the second can and asks for care.
 */
export const LEAST = {
  /** Breadth of a flap, tab, wall or turn-in. */
  folded: { fails: mm(3), warns: mm(6) },
  /** Between two scores side by side: the paper between them splits; and so many times its caliper. */
  scores: { apart: mm(1.5), calipers: 3 },
  /** Breadth of a strip of glue that holds. */
  glue: { fails: mm(3) },
  /** Paper left between a hole and the next edge or fold; workshops tie boxes through holes that leave 1/16 in. */
  left: { fails: mm(1.5), warns: mm(6) },
  /** How far a closing flap laps what it closes; more where it carries a button or a dot. */
  closing: { fails: mm(3), warns: mm(6), held: mm(12) },
  /** Caliper from which paper is board, hinged and covered rather than folded; over the first no score makes it fold. */
  board: { fails: mm(2), warns: mm(1) },
} as const;
