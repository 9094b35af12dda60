/** "I have these envelopes": what can be made of envelopes that were bought, each as a set to begin with. */
import { soldFor } from '../constructions';
import { inches, mm, type Mm } from '../length';
import { constructionOptions } from '../design';
import type { PartInput, SetInput, SetPaperInput } from './set';

/** Envelopes as they were measured, mm, and how many there are. */
export interface Envelopes {
  /** Along the mouth, and into it. */
  readonly across: number;
  readonly deep: number;
  readonly flap: number;
  readonly shape: 'pointed' | 'straight';
  readonly count: number;
  /** The photos an album is for. */
  readonly photo: { readonly width: number; readonly height: number };
}

/** One thing that can be made of them. */
export interface EnvelopeWay {
  readonly id: string;
  readonly title: string;
  /** What comes of it, one line. */
  readonly lead: string;
  /** Why these envelopes will not do; null where they will. */
  readonly wont: (have: Envelopes) => string | null;
  readonly set: (have: Envelopes) => SetInput;
}

const TWELVE = inches(12);
const paper = (id: string, name: string, caliper: number): SetPaperInput => ({
  id,
  name,
  width: TWELVE,
  height: TWELVE,
  caliper: mm(caliper),
  sided: 2,
  directional: false,
});
const CARD = paper('card', 'Card', 0.28);
const PRINT = paper('print', 'Mat paper', 0.2);
const start = (papers: readonly SetPaperInput[], parts: readonly PartInput[]): SetInput => ({
  version: 1,
  graduation: '1/8 in',
  tool: { kind: 'scoring-board', length: inches(12), pitch: inches(1 / 8) },
  papers: [...papers],
  parts: [...parts],
});

/** The envelopes as a part of a set. */
const given = ({ across, deep, flap, shape }: Envelopes, quantity: number): PartInput => ({
  id: 'envelope',
  name: 'Envelope',
  quantity,
  given: { width: mm(across), height: mm(deep), thickness: mm(0), envelope: { flap: mm(flap), shape, opens: 'width' } },
});

/** Sides that differ by less are those of a square as it was measured, mm. */
const SQUARE = inches(1 / 16);
/** As many as an album may have of what is counted. */
const most = (construction: string, option: string): number =>
  constructionOptions(construction).find(({ name }) => name === option)!.limits!.most!;
const smaller = ({ across, deep }: Envelopes): Mm => mm(Math.min(across, deep));

/** An album of these envelopes; the named pieces are of card. */
const album = (
  construction: string,
  { flap, shape, photo }: Envelopes,
  options: object,
  ofCard: readonly string[],
): SetInput =>
  start(
    [PRINT, CARD],
    [
      {
        id: 'album',
        name: 'Album',
        design: { construction, contents: { ...photo, name: 'photo' }, options: { flap, shape, ...options } },
        papers: Object.fromEntries(ofCard.map((piece) => [piece, 'card'])),
      },
    ],
  );

export const ENVELOPE_WAYS: readonly EnvelopeWay[] = [
  {
    id: 'card',
    title: 'A card for each',
    lead: 'A folded card: the one the envelope is made for, or as large as goes in; with a mat on its front.',
    wont: () => null,
    set: (have) => {
      const known = soldFor(have.across, have.deep)?.card;
      return start(
        [CARD, PRINT],
        [
          {
            id: 'card',
            name: 'Card',
            quantity: have.count,
            paper: 'card',
            design: { construction: 'folded-card', ...(known && { contents: known }) },
            layers: [{ id: 'mat-1', on: 'front', paper: 'print' }],
          },
          { ...given(have, have.count), holds: [{ part: 'card', ...(known ? {} : { fills: true }) }] },
        ],
      );
    },
  },
  {
    id: 'rings',
    title: 'An album on rings',
    lead: 'Two envelopes make a page with three pockets, between covers.',
    wont: ({ across, deep, count }) =>
      Math.abs(across - deep) > SQUARE
        ? 'Its pages need square envelopes.'
        : count < 2
          ? 'A page takes two envelopes.'
          : null,
    set: (have) =>
      album(
        'ring-album',
        have,
        { envelope: smaller(have), pages: Math.min(most('ring-album', 'pages'), Math.floor(have.count / 2)) },
        ['middle pull-out', 'side pull-out', 'photo card', 'hole guide'],
      ),
  },
  {
    id: 'flaps',
    title: 'An album, flap to flap',
    lead: 'Each flap glued into the next mouth: pages with pockets and a spine, no rings.',
    wont: ({ count, flap, deep }) =>
      count < 3
        ? 'It takes three envelopes at least.'
        : flap > deep - inches(1 / 4)
          ? 'Its flaps must be shorter than the envelopes are deep.'
          : null,
    set: (have) =>
      album(
        'flap-album',
        have,
        {
          envelopeWidth: have.across,
          envelopeHeight: have.deep,
          envelopes: Math.min(most('flap-album', 'envelopes'), have.count),
        },
        [],
      ),
  },
  {
    id: 'box',
    title: 'A box for all of them',
    lead: 'A box with a lid, as deep as the envelopes are thick together.',
    wont: () => null,
    set: (have) =>
      start(
        [CARD],
        [
          given(have, have.count),
          {
            id: 'box',
            name: 'Box',
            paper: 'card',
            design: { construction: 'tray-box' },
            holds: [{ part: 'envelope', count: have.count, lie: 'stacked' }],
          },
        ],
      ),
  },
];
