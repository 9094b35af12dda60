import type { PanelId } from '../../pattern';
import { layerOf, thickestPile, type Calipers, type Stack } from '../../fold';
import { distance, TOLERANCE } from '../../geometry';
import { mm, type Mm } from '../../length';
import type { ClaimType, FindingOf } from './claim';

/** Leaves of a book: one is folded for all that are alike, and they lie on each other when it is closed. */
export interface Leaves {
  readonly kind: 'leaves';
  /** From the front: the panels that show when it is leafed through, and how many alike follow each other. */
  readonly leaves: readonly { readonly panels: readonly PanelId[]; readonly times: number }[];
  /** Panels that lie alike on both faces of every leaf, from the page outwards: of each one is laid. */
  readonly onEach: readonly string[];
  /** How many alike lie on each other, by the piece; what is not named lies there once. */
  readonly alike: Readonly<Record<string, number>>;
  /** What lies between besides: boards, pull-outs, photos, mm. */
  readonly between: Mm;
  /** What holds them together: rings that turn, or a spine that goes round. */
  readonly by: 'rings' | 'spine';
  /** What the strip over the spine is broad enough for, mm; null where there is none. */
  readonly spans: Mm | null;
  /** Photos it is for, where their size is known: each lies on a mat, by itself or on a card of its own. */
  readonly photos: {
    readonly count: number;
    readonly width: Mm;
    readonly height: Mm;
    /** Of the card, all round. */
    readonly border: Mm;
    readonly mat: PanelId;
    /** What the mat lies on. */
    readonly page: PanelId;
  } | null;
}
export interface LeavesFacts {
  closed: { readonly by: Leaves['by']; readonly ring: number; readonly spans: number | null };
  photos: { readonly width: number; readonly height: number; readonly carded: boolean };
}

/** A round ring carries a stack of so much of its inside diameter and still turns. From memory. */
export const CARRIES = 0.75;

/** How thick a book is when it is closed, with what lies in it, mm. */
export const closedThickness = (stack: Stack, caliper: Calipers, { alike, between }: Leaves): Mm =>
  mm(thickestPile(stack, (piece) => caliper(piece) * (alike[piece] ?? 1)) + between);

/** Sides of a rectangle of paper as it lies, the shorter first, mm. */
function sidesOf(stack: Stack, panel: PanelId): readonly [number, number] {
  const [a, b, c] = layerOf(stack, panel).polygon;
  return [distance(a!, b!), distance(b!, c!)].sort((x, y) => x - y) as [number, number];
}

/** Whether the photos lie on their mats, either way round. */
function photosOn({ photos }: Leaves, stack: Stack): FindingOf<LeavesFacts>[] {
  if (!photos) return [];
  const { count, width, height, border, mat, page } = photos;
  const [least, most] = [width + 2 * border, height + 2 * border].sort((x, y) => x - y) as [number, number];
  const past = (panel: PanelId): number => {
    const [narrow, long] = sidesOf(stack, panel);
    return Math.max(least - narrow, most - long);
  };
  const over = past(mat);
  const fits = over <= TOLERANCE.folded;
  const pastPage = past(page) > TOLERANCE.folded;
  return [
    {
      kind: 'photos',
      level: fits ? 'pass' : pastPage ? 'fail' : 'warn',
      value: fits ? count : pastPage ? past(page) : over,
      limit: 0,
      about: { width, height, carded: border > 0 },
    },
  ];
}

/** How thick it closes, and what ring or spine that takes; what photos it holds. */
export const leaves: ClaimType<Leaves, LeavesFacts> = {
  of: 'pile',
  measure: (claim, { folded: { finished }, caliper }) => {
    const value = closedThickness(finished, caliper, claim);
    const { spans, by } = claim;
    return [
      {
        kind: 'closed',
        level: spans !== null && value > spans + TOLERANCE.folded ? 'warn' : 'note',
        value,
        limit: spans ?? 0,
        about: { by, ring: value / CARRIES, spans },
      },
      ...photosOn(claim, finished),
    ];
  },
  words: {
    photos: ({ level, value, about: { width, height, carded } }, say) =>
      level === 'pass'
        ? `It holds ${value} ${value === 1 ? 'photo' : 'photos'} of ${say(width)} × ${say(height)}, ${carded ? 'two to a card, a card on each face of a page' : 'one on each face of a page'}.`
        : `The photo ${carded ? 'with its card ' : ''}is ${say(value, 'up')} larger than the ${level === 'fail' ? 'page' : 'mat it lies on'}. Take smaller photos, or larger envelopes.`,
    closed: ({ level, value, about: { by, ring, spans } }, say) =>
      level === 'warn'
        ? `Closed and filled it is ${say(value)} thick, and the strip over the spine spans ${say(spans ?? 0)}: cut it wider.`
        : by === 'rings'
          ? `Closed and filled it is ${say(value)} thick: take rings of ${say(ring, 'up')} inside, or more.`
          : `Closed and filled it is ${say(value)} thick: that is what its spine goes round.`,
  },
};
