/**
 * How far apart what should agree may lie, and why: the one record of it. Lengths in mm, areas in mm². What a hand may
 * be off by is no tolerance of these: that is a slack, and is told to whatever folds.
 */
export const TOLERANCE = {
  /** One length reckoned in two ways: floating point, over a few operations. */
  length: 1e-6,
  /** Points of a drawing: clipping counts in units of 1e-5, and a few of them add up. */
  drawn: 1e-4,
  /** Places in a pile: each fold reflects them once more. */
  folded: 1e-3,
  /** Places found by crossing lines that were themselves found. */
  found: 2e-3,
  /** What two ways that know nothing of each other agree to: a pattern and a simulated tool, edges that should meet. */
  agreed: 0.01,
  /** Paper that stands: less than this on either side is touching, not passing through. */
  standing: 0.02,
  /** What clipping leaves where rings touch, mm². */
  sliver: 1e-3,
  /** Paper or glue too small to be there, or in the way, mm²: a fifth of a millimetre each way. */
  speck: 0.05,
  /** Paper too small to be seen, mm². */
  seen: 1,
} as const;
