import type { MakeCheck } from '@/core/hands';

/** What has to come out right, in a maker’s words. */
export const ASKED: Record<MakeCheck, string> = {
  'goes-in': 'everything goes in',
  laps: 'flaps still lap where they are glued',
  closes: 'it still closes',
  hides: 'nothing of the inside shows',
};

/** A share as so many of a hundred: a hundred only where every single one is, and none only where none. */
export const outOf = (share: number): number =>
  share === 0 || share === 1 ? share * 100 : Math.min(99, Math.max(1, Math.round(share * 100)));
