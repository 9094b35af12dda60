import type { Say } from '../length';
import type { Closure } from '../design';
import type { GlueAdvice } from '../plan';

/** What a glue step says about its glue. */
export function adhesiveSentence({ chosen, drawnFor, breadth, margin, slides }: GlueAdvice, say: Say): string {
  if (drawnFor !== null) return `Tape, ${say(drawnFor)} wide.`;
  if (chosen === 'tape') return `Tape, along the middle of the ${say(breadth)} strip.`;
  if (chosen === 'tape-runner') return 'One run of the tape runner.';
  if (chosen === 'hot-glue') return 'Two small drops of hot glue.';
  if (chosen === 'hook-dot') return 'One hook-and-loop dot.';
  if (slides) return 'Wet glue, thin; move the sliding part through while it sets.';
  return margin > 0 && breadth > margin
    ? `Keep wet glue ${say(margin)} away from the pocket’s side; slide a folder through while it sets.`
    : '';
}

/** The usual cautions, shown at the step that needs them. Makers' instructions and local rules come first. */
export const CAUTION = {
  blade: 'Blade: fingers behind the guard or ruler, cut away from you, cap it when you put it down.',
  scissors: 'Sharp points: cut away from your fingers, and keep the small offcuts from small children.',
  trimmer: 'Trimmer: fingers behind the guard, lock the blade down when you put it by.',
  punch: 'Keep fingers clear of the punch.',
  iron: 'Hot iron: no steam, on a heat-proof pad, never left on or within reach of children; follow its maker’s instructions.',
  drying:
    'If you dry it with a heat gun, hold it well away: it burns skin and scorches paper. Spray inks and fixatives only with a window open; follow their makers’ instructions.',
  press: 'Keep fingers clear of the rollers or the press.',
  awl: 'An awl slips: prick on a firm mat, never against your hand.',
  fixings:
    'An awl slips: work on a firm mat, never against your hand. If you hammer, cover your eyes. Keep discs, washers and eyelets from small children.',
  food: 'Sweets and other food only in their own wrapper or on a food-safe liner: card and glue are not made to touch them.',
  photo:
    'If a photo goes in: only acid-free, photo-safe paper and adhesive beside it; follow their makers’ instructions.',
  smallParts: 'Keep small parts and magnets from small children.',
  hotGlue: 'Hot glue burns: let the tip rest on its stand, keep it from children, follow its maker’s instructions.',
} as const;

/** What a closure step says. */
export function closureWords(kind: Closure, length: string, through = false, matted = true): string {
  if (through)
    return kind === 'cord'
      ? `Thread ${length} of cord through the holes in both tips and knot it.`
      : `Thread ${length} of ribbon through the holes in both tips and tie a bow.`;
  return {
    none: '',
    cord: `Tie ${length} of cord once round.`,
    bow: `Take ${length} of ribbon once round and tie a bow.`,
    laced: `Lace ${length} of cord crosswise through the holes and tie it.`,
    buttons: `Tie ${length} of cord under the disc of the flap and wind it round both discs.`,
    ribbon: matted
      ? `Lay ${length} of ribbon across the middle before the mat goes over it.`
      : `Glue ${length} of ribbon across the middle.`,
    dot: 'Press one half of the dot on the flap, the other where it meets.',
    tuck: 'Tuck the flap in.',
    band: `Slide a band of ${length} round it.`,
  }[kind];
}
