/** Ready chains: sets to start from, each from the one thing a person has. */
import { inches, mm, type Mm } from '../length';
import type { PartInput, SetInput, SetPaperInput } from './set';

/** What a chain begins with: how large, how many. */
export interface Begun {
  readonly width: number;
  readonly height: number;
  readonly thickness: number;
  readonly count: number;
}

/** A chain to start from. */
export interface Chain {
  readonly id: string;
  readonly title: string;
  /** What comes of it, one line. */
  readonly lead: string;
  /** What the person has. */
  readonly has: string;
  readonly usual: Begun;
  readonly set: (begun: Begun) => SetInput;
}

const scoring = { kind: 'scoring-board', length: inches(12), pitch: inches(1 / 8) } as const;
const paper = (id: string, name: string, width: Mm, height: Mm, caliper: number): SetPaperInput => ({
  id,
  name,
  width,
  height,
  caliper: mm(caliper),
  sided: 2,
  directional: false,
});
const TWELVE = inches(12);
const cover = (id: string, name: string): SetPaperInput => paper(id, name, TWELVE, TWELVE, 0.28);
const text = (id: string, name: string): SetPaperInput => paper(id, name, inches(8.5), inches(11), 0.13);
const start = (papers: readonly SetPaperInput[], parts: SetInput['parts']): SetInput => ({
  version: 1,
  graduation: '1/8 in',
  tool: scoring,
  papers: [...papers],
  parts,
});
/** An envelope of paper for each of a part. */
const envelopeFor = (part: string, quantity: number): PartInput => ({
  id: 'envelope',
  name: 'Envelope',
  quantity,
  paper: 'envelope',
  design: { construction: 'seam-envelope' },
  holds: [{ part }],
});
const one = ({ width, height, thickness }: Begun) => ({ width, height, thickness });

export const CHAINS: readonly Chain[] = [
  {
    id: 'card-and-envelope',
    title: 'A card and its envelope',
    lead: 'A folded card with a mat on its front, and an envelope that follows its size.',
    has: 'The card, closed',
    usual: { width: inches(4), height: inches(5), thickness: 0, count: 1 },
    set: ({ width, height, count }) =>
      start(
        [cover('card', 'Card'), text('envelope', 'Envelope paper'), cover('mat', 'Mat paper')],
        [
          {
            id: 'card',
            name: 'Card',
            quantity: count,
            paper: 'card',
            design: { construction: 'folded-card', contents: { width, height } },
            layers: [{ id: 'mat-1', on: 'front', paper: 'mat' }],
          },
          envelopeFor('card', count),
        ],
      ),
  },
  {
    id: 'cards-in-a-box',
    title: 'Cards in a box',
    lead: 'Cards that are there, each in an envelope, all of them in a box with a lid, a band round it.',
    has: 'The cards',
    usual: { width: inches(3.5), height: inches(8.5), thickness: 0.6, count: 4 },
    set: (begun) =>
      start(
        [text('envelope', 'Envelope paper'), cover('box', 'Box card'), cover('band', 'Band paper')],
        [
          { id: 'card', name: 'Card', quantity: begun.count, given: one(begun) },
          envelopeFor('card', begun.count),
          {
            id: 'box',
            name: 'Box',
            paper: 'box',
            design: { construction: 'tray-box' },
            holds: [{ part: 'envelope', count: begun.count, lie: 'stacked' }],
          },
          { id: 'band', name: 'Band', paper: 'band', design: { construction: 'belly-band' }, round: 'box' },
        ],
      ),
  },
  {
    id: 'sweets-in-a-box',
    title: 'Sweets in a box',
    lead: 'Wrapped sweets side by side on a liner, in a box with a lid.',
    has: 'One sweet in its wrapper',
    usual: { width: inches(1), height: inches(1), thickness: inches(3 / 4), count: 4 },
    set: (begun) =>
      start(
        [cover('box', 'Box card'), text('liner', 'Liner paper')],
        [
          { id: 'sweet', name: 'Sweet', quantity: begun.count, given: one(begun) },
          {
            id: 'box',
            name: 'Box',
            paper: 'box',
            design: { construction: 'tray-box' },
            holds: [{ part: 'sweet', count: begun.count, lie: 'beside' }],
            layers: [{ id: 'liner', on: 'inside', paper: 'liner' }],
          },
        ],
      ),
  },
  {
    id: 'photos-in-a-folder',
    title: 'Photos in pockets in a folder',
    lead: 'Each photo in a sleeve of its own, all sleeves in a folio that closes over them.',
    has: 'One photo',
    usual: { width: inches(4), height: inches(6), thickness: 0.3, count: 4 },
    set: (begun) =>
      start(
        [text('sleeve', 'Photo-safe paper'), cover('folio', 'Folio card')],
        [
          { id: 'photo', name: 'Photo', quantity: begun.count, given: one(begun) },
          {
            id: 'sleeve',
            name: 'Sleeve',
            quantity: begun.count,
            paper: 'sleeve',
            design: { construction: 'sleeve', options: { fold: 'side' } },
            holds: [{ part: 'photo' }],
          },
          {
            id: 'folio',
            name: 'Folio',
            paper: 'folio',
            design: { construction: 'folio' },
            holds: [{ part: 'sleeve', count: begun.count, lie: 'stacked' }],
          },
        ],
      ),
  },
  {
    id: 'gift-card',
    title: 'A gift card in its holder',
    lead: 'A gift card in a pocket with a mat on its front, and the envelope that takes it.',
    has: 'The gift card',
    usual: { width: inches(2.125), height: inches(3.375), thickness: inches(1 / 32), count: 1 },
    set: (begun) =>
      start(
        [cover('holder', 'Holder card'), cover('mat', 'Mat paper'), text('envelope', 'Envelope paper')],
        [
          { id: 'gift-card', name: 'Gift card', quantity: begun.count, given: one(begun) },
          {
            id: 'holder',
            name: 'Holder',
            quantity: begun.count,
            paper: 'holder',
            design: { construction: 'card-holder' },
            holds: [{ part: 'gift-card' }],
            layers: [{ id: 'mat-1', on: 'front', paper: 'mat' }],
          },
          envelopeFor('holder', begun.count),
        ],
      ),
  },
  {
    id: 'photos-in-an-album',
    title: 'Photos in an album',
    lead: 'Bought envelopes as pages, photos in their pockets and on their flaps, between covers.',
    has: 'One photo',
    usual: { width: inches(4), height: inches(6), thickness: 0, count: 1 },
    set: (begun) =>
      start(
        [cover('album', 'Album paper')],
        [
          {
            id: 'album',
            name: 'Album',
            quantity: begun.count,
            paper: 'album',
            design: {
              construction: 'flap-album',
              contents: { width: begun.width, height: begun.height, name: 'photo' },
            },
          },
        ],
      ),
  },
  {
    id: 'mats-on-a-panel',
    title: 'Two mats on what is there',
    lead: 'A card front, a lid or a cover that is there already, and two mats on it, one smaller than the other.',
    has: 'What they lie on',
    usual: { width: inches(4.25), height: inches(5.5), thickness: inches(1 / 32), count: 1 },
    set: (begun) =>
      start(
        [cover('mat', 'Mat paper'), cover('second', 'Second mat paper')],
        [
          {
            id: 'panel',
            name: 'Panel',
            quantity: begun.count,
            given: one(begun),
            layers: [
              { id: 'mat-1', on: 'front', paper: 'mat' },
              { id: 'mat-2', on: 'front', paper: 'second' },
            ],
          },
        ],
      ),
  },
];
