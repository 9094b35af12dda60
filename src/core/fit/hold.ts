import type { Contents, Ease } from '../constructions';
import type { Cavity, FitRefusal, Size3 } from '../fold';
import type { Mm } from '../length';

/** How contents sit in a folded holder; width and height along the contents' own. */
export interface Fit {
  /** Room left beside these contents, their thickness and the holder's own paper taken off; negative when they do not fit. */
  readonly ease: Ease;
  /** Room left over them in a box; 0 in what lies flat. */
  readonly depth: Mm;
  /** Why the contents cannot go in, or cannot lie inside once closed. */
  readonly insert: FitRefusal;
  readonly seat: FitRefusal;
}

/** A cavity of a folded holder, ready to be asked. All lengths are mm along the contents' own axes. */
export interface OpenCavity {
  readonly cavity: Cavity;
  /** Between its faces, as scored: the largest thing that goes in were its paper of no thickness; depth 0 in what lies flat. */
  readonly inside: Size3;
  /** What its own paper takes of that beside the contents, mm. */
  readonly taken: Size3;
  /** The lengths of the contents that it limits. */
  readonly limits: readonly (keyof Size3)[];
  /** How far the walls of a gusset stand apart at the mouth, mm; null without one. */
  readonly opens: Mm | null;
  /** How the given contents sit, asked of the folded shape when they go in and at the end. */
  readonly fit: (contents: Contents) => Fit;
  /** Most width and height that keep the least ease at a thickness; 0 where nothing fits. */
  readonly largest: (least: Ease, thickness: Mm) => Contents;
  /** Most thickness at a width and height that keeps the least ease; 0 when they do not fit at all. */
  readonly thickest: (least: Ease, contents: Contents) => Mm;
}
