import { thickestPile, type Calipers, type Stack } from '../../fold';
import { TOLERANCE } from '../../geometry';
import { mm, type Mm } from '../../length';
import type { ClaimType } from './claim';

/** Pages of a book: one is folded for all that are alike, and they lie on each other when it is closed. */
export interface Leaves {
  readonly kind: 'leaves';
  /** How many alike lie on each other, by the piece; what is not named lies there once. */
  readonly alike: Readonly<Record<string, number>>;
  /** What lies between besides: boards, pull-outs, photos, mm. */
  readonly between: Mm;
  /** What holds them together: rings that turn, or a spine that goes round. */
  readonly by: 'rings' | 'spine';
  /** What the strip over the spine is broad enough for, mm; null where there is none. */
  readonly spans?: Mm | null;
  /** Photos it holds on cards of their own, where their size is known. */
  readonly photos: { readonly count: number; readonly width: Mm; readonly height: Mm } | null;
}
export interface ClosedFacts {
  closed: { readonly by: Leaves['by']; readonly ring: number; readonly spans: number | null };
  photos: { readonly width: number; readonly height: number };
}

/** A round ring carries a stack of so much of its inside diameter and still turns. From memory. */
const CARRIES = 0.75;

/** How thick a book is when it is closed, with what lies in it, mm. */
export const closedThickness = (stack: Stack, caliper: Calipers, { alike, between }: Leaves): Mm =>
  mm(thickestPile(stack, (piece) => caliper(piece) * (alike[piece] ?? 1)) + between);

/** How thick it closes, and what ring or spine that takes. */
export const leaves: ClaimType<Leaves, ClosedFacts> = {
  of: 'pile',
  measure: (claim, { folded: { finished }, caliper }) => {
    const value = closedThickness(finished, caliper, claim);
    const spans = claim.spans ?? null;
    const about = { by: claim.by, ring: value / CARRIES, spans };
    const { photos } = claim;
    return [
      {
        kind: 'closed',
        level: spans !== null && value > spans + TOLERANCE.folded ? 'warn' : 'note',
        value,
        limit: spans ?? 0,
        about,
      },
      ...(photos
        ? [
            {
              kind: 'photos' as const,
              level: 'pass' as const,
              value: photos.count,
              limit: 0,
              about: { width: photos.width, height: photos.height },
            },
          ]
        : []),
    ];
  },
  words: {
    photos: ({ value, about: { width, height } }, say) =>
      `It holds ${value} ${value === 1 ? 'photo' : 'photos'} of ${say(width)} × ${say(height)} on cards of their own.`,
    closed: ({ level, value, about: { by, ring, spans } }, say) =>
      level === 'warn'
        ? `Closed and filled it is ${say(value, 'up')} thick, and the strip over the spine spans ${say(spans ?? 0)}: cut it wider.`
        : by === 'rings'
          ? `Closed and filled it is ${say(value, 'up')} thick: take rings of ${say(ring, 'up')} inside, or more.`
          : `Closed and filled it is ${say(value, 'up')} thick: that is what its spine goes round.`,
  },
};
