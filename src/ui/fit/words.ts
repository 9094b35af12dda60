import type { MakeCheck } from '@/core/hands';

/** What has to come out right, in a maker’s words. */
export const ASKED: Record<MakeCheck, string> = {
  'goes-in': 'everything goes in',
  laps: 'flaps still lap where they are glued',
  closes: 'it still closes',
  hides: 'nothing of the inside shows',
};

/** A share as so many of a hundred. */
export const outOf = (share: number): number => Math.round(share * 100);
