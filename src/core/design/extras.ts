import { inches, mm, usualIn, type Mm, type Units } from '../length';

/** What holds paper to paper. */
export const ADHESIVES = ['wet-glue', 'tape', 'tape-runner', 'hot-glue', 'hook-dot'] as const;
export type Adhesive = (typeof ADHESIVES)[number];

/** What holds the finished thing shut. */
export const CLOSURES = ['none', 'cord', 'bow', 'laced', 'buttons', 'ribbon', 'dot', 'tuck', 'band'] as const;
export type Closure = (typeof CLOSURES)[number];

/**
 * Where a layer lies: on a face that shows, on the flap that closes, in the room with what goes in, or (a template) on the
 * flat sheet while its holes are marked.
 */
export const LAYER_PLACES = ['front', 'back', 'flap', 'inside', 'sheet'] as const;
export type LayerPlace = (typeof LAYER_PLACES)[number];

/** The border a layer leaves all round when nobody tells, mm. Common practice: a mat 1/8 in, an insert that slides 1/16. */
const REVEALS: Record<LayerPlace, Mm> = {
  front: inches(1 / 8),
  back: inches(1 / 8),
  flap: inches(1 / 8),
  inside: inches(1 / 16),
  sheet: mm(0),
};

/** That border as it is said in these units, mm. */
export const usualReveal = (on: LayerPlace, units: Units): Mm => usualIn(units, REVEALS[on]);

/** What is done to a sheet while it is flat, for looks. */
export const DECORATIONS = ['ink', 'emboss'] as const;
export type Decoration = (typeof DECORATIONS)[number];
