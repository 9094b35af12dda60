import { z } from '../../text/zod';
import type { AssemblyStep, FlatCavity, Room } from '../../fold';
import { inches, mm, type Mm } from '../../length';
import { drawPiece, LEAST, rect } from '../../pattern';
import { coverPanels, covers, glued, NO_PARTS, partsOf, reversed, albumSheet, type Covers, type Parts } from './album';
import { drawBought, type DrawnEnvelope } from '../envelopes/bought-envelope';
import { built, fold, middleOf, place, refuse, segment } from '../shared/building';
import { partCure, usualCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction, type Refusal } from '../shared/construction';
import { choiceOption, countOption, lengthOption, openLengthOption, yesNoOption } from '../shared/options';
import { insideFor, onMark, OPEN, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  envelopeWidth: openLengthOption(
    'Envelope along its mouth',
    'Measured, along the side with the flap: that side becomes the spine.',
    { over: 0 },
    { open: 'as the photo takes' },
  ),
  envelopeHeight: openLengthOption(
    'Envelope into its mouth',
    'Measured, from the mouth to the far end.',
    { over: 0 },
    { open: 'as the photo takes' },
  ),
  flap: openLengthOption('Flap', 'How deep the flaps are.', { over: 0 }, { open: 'a third of the envelope' }),
  shape: choiceOption('Shape of the flaps', 'Straight across, or pointed.', ['straight', 'pointed']),
  envelopes: countOption('Envelopes', 'Glued flap to flap, each of them two pages.', 6, 3, 16),
  trim: lengthOption('Trim', 'Cut off each far end, so that it opens as a pocket; 0 leaves it shut.', inches(1 / 8), {
    least: 0,
  }),
  cards: countOption('Cards as pages', 'Folded cards, one half held in a trimmed end.', 0, 0, 14),
  gatefold: yesNoOption('Gatefold', 'The cards’ free halves cover half a page each, instead of all of it.', false),
  reveal: lengthOption('Border', 'The border round every mat.', inches(1 / 4), { least: 0 }),
  cover: yesNoOption(
    'Covers',
    'Covered boards and a strip over the spine; without, the last flap goes round it.',
    true,
  ),
});
type Options = z.output<typeof options>;

/** A loose pocket over a photo. Common practice 1/4 in. */
const EASE = {
  aim: { width: inches(1 / 4), height: inches(1 / 4) },
  least: { width: inches(1 / 8), height: inches(1 / 8) },
};
/** What is usually cut off a far end. Common practice 1/8 in. */
const TRIM = inches(1 / 8);
/** A card stays so far inside what it slides into and lies on, mm. From memory 1/8 in. */
const CLEAR = inches(1 / 8);
/** What of the covers is usual. Common practice: board 1/8 in, 5/16 over, 1/2 turned in. */
const COVER = { board: inches(1 / 8), over: inches(5 / 16), turnIn: inches(1 / 2), reveal: inches(1 / 8) };
const coverUsual = (brief: Brief): typeof COVER => ({
  board: usual(COVER.board, brief),
  over: usual(COVER.over, brief),
  turnIn: usual(COVER.turnIn, brief),
  reveal: usual(COVER.reveal, brief),
});
/** What holds a card in its end. Common practice, no source. */
const TAPE = inches(1 / 4);
/** The strip over the spine turns so far on either cover, mm; on a small one a quarter of it. Common practice 1 in. */
const TURN = inches(1);

interface Page {
  /** Along the spine, and from it to the free edge as trimmed. */
  readonly along: number;
  readonly deep: number;
  readonly flap: number;
  /** A card stays so far inside what it slides into and lies on. */
  readonly clear: Mm;
  /** Breadth of the tape that holds a card in its end. */
  readonly tape: Mm;
}

/**
 * Envelopes in a pile, all mouths at the spine. The first two lie front to front, flap on flap; that joined flap goes into
 * the mouth of the next, whose own flap goes into the one after, and so on. A trimmed far end is a pocket's mouth.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, asked, caliper } = brief;
  const { envelopes: n, trim } = options;
  const page = pageFor(brief);
  const trouble = tooMuch(page, options, usual(TRIM, brief));
  if (trouble) return refuse(trouble);
  const [first, second] = [envelopeOf(1, page, options), envelopeOf(2, page, options)];
  const all = [first, second, ...Array.from({ length: n - 2 }, (_, i) => envelopeOf(i + 3, page, options))];
  const chain = all.slice(2).flatMap((_, i) => linked(i + 3, all, options));
  const cards = options.cards > 0 ? cardPages(page, all[2]!, options) : NO_PARTS;
  const mat = matOf(page, all.at(-1)!, options);
  const spans = spanOf(options, brief);
  const usualCover = coverUsual(brief);
  const [width, height] = [page.along + 2 * usualCover.over, page.deep + 2 * usualCover.over];
  // On a small cover facing turn-ins leave a third of the board between them.
  const turnIn = Math.min(usualCover.turnIn, Math.min(width, height) / 3);
  const cover: Covers = { ...usualCover, turnIn, width, height, quantity: 1 };
  // The strip lies on both covers, and a book is not thicker than its pages are deep.
  const most = cover.height - turnOn(cover, brief);
  if (options.cover && spans > most)
    return refuse(tooLarge('envelopes', 'number of envelopes', n, Math.floor((n * most) / spans)));
  const bound = options.cover ? boundIn(cover, page, [first, all.at(-1)!], spans, brief) : { ...NO_PARTS, cover: [] };
  const { pieces } = partsOf([mat, cards, bound]);
  // Photos go in once everything is joined; where the far ends stay shut, before the spine is.
  const insertAfter = trim > 0 ? [...mat.steps, ...bound.steps].at(-1)!.id : 'back-2';
  const cavity = { ...pocket(second, first, page, trim > 0), insertAfter };
  return built({
    ...PLAIN,
    pieces: [pieces[0]!, ...all.map(({ piece }) => piece), ...pieces.slice(1)],
    assembly: [
      ...all.flatMap(({ shut }) => shut),
      ...bound.cover,
      place('join-1', 'Lay the first two envelopes front to front and glue flap on flap', {
        panel: '1-front',
        onto: '2-front',
        line: first.mouth,
        on: reversed(second.mouth),
        over: true,
        level: 'bottom',
        gluedTo: ['2-flap'],
        ...(trim > 0 && { trims: { at: trim, off: 'the far end of every envelope, so that it opens' } }),
      }),
      fold('back-2', 'Fold the joined flap back over the second envelope', ['2-s-flap', '1-s-flap']),
      ...chain.slice(0, 1),
      ...cards.steps,
      ...chain.slice(1),
      ...(options.cover
        ? []
        : [
            fold(
              'turn-last',
              'Bring the last flap round the spine and glue it on the first envelope',
              [`${n}-s-flap`],
              {
                gluedTo: ['1-back'],
              },
            ),
          ]),
      ...mat.steps,
      ...bound.steps,
    ],
    cavities: [cavity],
    front: 'above',
    proud: options.cover ? [...coverPanels('back '), ...coverPanels('front '), 'spine-1', 'spine', 'spine-2'] : [],
    claims: [
      {
        kind: 'laps',
        pairs: [['1-flap', '2-flap'], ...all.slice(2).map((_, i) => [`${i + 2}-flap`, `${i + 3}-front`] as const)],
      },
      { kind: 'reveal', pairs: [['page-mat', `${n}-front`]] },
      {
        kind: 'leaves',
        // Its flap lies in the next mouth, and is not seen on its own page.
        leaves: all
          .map(({ strips }, i) => ({ panels: [`${i + 1}-front`, ...strips, `${i + 1}-back`], times: 1 }))
          .reverse(),
        onEach: ['page-mat'],
        alike: Object.fromEntries(
          [...mat.pieces, ...cards.pieces, ...bound.pieces].map(({ name, quantity }) => [name, quantity]),
        ),
        between: mm(
          (options.cover ? 2 * Math.max(0, usualCover.board - caliper) : 0) + (asked ? 2 * n * asked.thickness : 0),
        ),
        by: 'spine',
        spans: options.cover ? mm(spans) : null,
        photos: asked && {
          count: 2 * n,
          width: asked.width,
          height: asked.height,
          border: mm(0),
          mat: 'page-mat',
          page: `${n}-front`,
        },
      },
    ],
  });
}

/** The page, from the envelope that was measured, or from the one the photo takes. */
function pageFor(brief: Brief<Options>): Page {
  const { options, blank } = brief;
  const { trim, reveal, envelopeWidth, envelopeHeight } = options;
  const sized = blank ? { width: blank.width, height: mm(blank.height - trim) } : pageRoom(brief, reveal);
  const along = envelopeWidth ?? sized.width;
  const deep = envelopeHeight === undefined ? sized.height : envelopeHeight - trim;
  return {
    along,
    deep,
    flap: options.flap ?? onMark(deep / 3, brief, 'down'),
    clear: usual(CLEAR, brief),
    tape: usual(TAPE, brief),
  };
}

/** A page whose pocket takes the photo, and whose mat shows all of it. */
function pageRoom(brief: Brief<Options>, reveal: Mm): Room {
  const inside = insideFor(brief, OPEN);
  const matted = (side: 'width' | 'height'): Mm =>
    mm(Math.max(inside[side], onMark(brief.asked![side] + 2 * reveal, brief, 'up')));
  return { width: matted('width'), height: matted('height') };
}

/** The first part there is no room for. */
function tooMuch(page: Page, { reveal, trim, cards, envelopes, gatefold }: Options, usualTrim: Mm): Refusal | null {
  const { along, deep, flap, clear } = page;
  const least = LEAST.folded.fails;
  if (deep < least) return tooLarge('trim', 'trim', trim, trim + deep - least);
  if (flap < least) return { code: 'part-too-small', value: mm(flap), limit: least, about: { part: 'flap' } };
  if (flap > deep - clear) return tooLarge('flap', 'flap', flap, deep - clear);
  if (2 * reveal > Math.min(along, deep) - least)
    return tooLarge('reveal', 'border', reveal, (Math.min(along, deep) - least) / 2);
  if (cards === 0) return null;
  if (trim === 0) return { code: 'part-too-small', value: trim, limit: usualTrim, about: { part: 'trim' } };
  if (cards > envelopes - 2) return tooLarge('cards', 'number of cards', cards, envelopes - 2);
  const half = cardHalf(page, gatefold);
  return half < least ? tooLarge('flap', 'flap', flap, deep - 2 * clear - least) : null;
}

const envelopeOf = (
  k: number,
  { along, deep, flap }: Page,
  { shape, envelopes, trim, cover }: Options,
): DrawnEnvelope =>
  drawBought(
    { across: along, deep, flap: cover && k === envelopes ? 0 : flap, shape },
    {
      name: `envelope ${k}`,
      called: `envelope ${k}`,
      prefix: `${k}-`,
      source: 'bought',
      // The second one’s flap folds over its back; the others turn the other way. The last one’s goes round the spine.
      back: k !== 2 && k !== envelopes,
      trimmed: trim > 0,
    },
  );

/** The next envelope slid over the flap before it, and its own flap turned back for the one after. */
function linked(k: number, all: readonly DrawnEnvelope[], { envelopes, cover }: Options): AssemblyStep[] {
  const { mouth, piece } = all[k - 1]!;
  const before = k === 3 ? ['2-flap', '1-flap'] : [`${k - 1}-flap`];
  const last = k === envelopes;
  const steps: AssemblyStep[] = [
    place(
      `join-${k}`,
      `Slide envelope ${k} over ${k === 3 ? 'the joined flap' : 'that flap'}, front up, and glue the flap into its mouth`,
      {
        panel: `${k}-front`,
        onto: before.at(-1)!,
        line: mouth,
        // The flap before it turned about the same line.
        on: all[k === 3 ? 0 : k - 2]!.mouth,
        over: true,
        level: { slidOver: before, from: last && cover ? `${k}-front` : `${k}-flap` },
        gluedTo: before,
        // On the inside of its front alone: what slides in passes under the flap.
        glueWithin: [piece.panels[0]!.polygon],
      },
    ),
  ];
  if (!last) steps.push(fold(`back-${k}`, `Fold the flap of envelope ${k} back over its front`, [`${k}-s-flap`]));
  return steps;
}

/** The pocket of the second envelope, open where it was trimmed; left shut, the first one’s, open at the spine. */
function pocket(
  second: DrawnEnvelope,
  first: DrawnEnvelope,
  { deep }: Page,
  trimmed: boolean,
): Omit<FlatCavity, 'insertAfter'> {
  const common = { id: 'pocket', kind: 'pocket', covered: { floor: 1, roof: 1 } } as const;
  const { from, to } = second.mouth;
  return trimmed
    ? {
        ...common,
        floor: '2-front',
        roof: [...second.strips, '2-back'],
        mouth: segment(from.x, from.y - deep, to.x, to.y - deep),
        put: 'Slide a photo into the pocket.',
      }
    : {
        ...common,
        floor: '1-back',
        roof: ['1-front'],
        mouth: first.backMouth,
        put: 'Slide a photo into the pocket, from the spine.',
      };
}

/** Each half of a card: as deep as the pocket lets it past the glued flap, and half a page for a gatefold. */
const cardHalf = ({ deep, flap, clear }: Page, gatefold: boolean): number =>
  Math.min(deep - flap - clear, gatefold ? deep / 2 - clear : deep - clear);

/** Folded cards, one half in a trimmed end and held to its front. */
function cardPages(page: Page, { mouth: { from } }: DrawnEnvelope, { cards, gatefold }: Options): Parts {
  const half = cardHalf(page, gatefold);
  const tall = page.along - 2 * page.clear;
  const card = drawPiece({
    name: 'card page',
    quantity: cards,
    blank: { width: mm(tall), height: mm(2 * half) },
    panels: [
      { id: 'card-in', name: 'half that slides in', polygon: rect(0, half, tall, 2 * half) },
      { id: 'card-out', name: 'half that turns', polygon: rect(0, 0, tall, half) },
    ],
    folds: [{ id: 's-card', between: ['card-in', 'card-out'] }],
  });
  const [left, far] = [from.x + page.clear, from.y - page.deep];
  return {
    pieces: [card],
    steps: [
      place('lay-card', 'Slide one half of a card into the trimmed end, and tape it to the front face', {
        panel: 'card-in',
        onto: '3-front',
        line: segment(0, half, tall, half),
        on: segment(left + tall, far, left, far),
        over: false,
        level: { below: '3-front' },
        gluedTo: ['3-front'],
        tape: page.tape,
      }),
      fold('back-card', 'Fold the card’s other half over the page', ['s-card']),
    ],
  };
}

/** A mat for every page there is; one is laid for all, on the last. */
function matOf(page: Page, { mouth: { from, to } }: DrawnEnvelope, { reveal: r, envelopes: n }: Options): Parts {
  const mat = albumSheet('page-mat', 'page mat', page.deep - 2 * r, page.along - 2 * r, 2 * n);
  const far = from.y - page.deep + r;
  return {
    pieces: [mat],
    steps: [
      glued(mat, `${n}-front`, segment(from.x + r, far, to.x - r, far), {
        name: 'Glue a mat on every page, clear of the mouths',
        care: 'photo',
      }),
    ],
  };
}

const turnOn = ({ height }: Covers, brief: Brief): number => Math.min(usual(TURN, brief), height / 4);

/** Covers, and a strip that goes over the spine from one to the other. */
function boundIn(
  cover: Covers,
  page: Page,
  [first, last]: readonly [DrawnEnvelope, DrawnEnvelope],
  spans: number,
  brief: Brief<Options>,
): Parts & { readonly cover: readonly AssemblyStep[] } {
  const [back, front] = [covers(cover, brief, 'back '), covers(cover, brief, 'front ')];
  const [tall, across] = [cover.width, onMark(spans, brief, 'up')];
  const turn = turnOn(cover, brief);
  const strip = drawPiece({
    name: 'spine strip',
    blank: { width: mm(2 * turn + across), height: mm(tall) },
    panels: [
      { id: 'spine-1', name: 'near turn of the spine strip', polygon: rect(0, 0, turn, tall) },
      { id: 'spine', name: 'middle of the spine strip', polygon: rect(turn, 0, turn + across, tall) },
      { id: 'spine-2', name: 'far turn of the spine strip', polygon: rect(turn + across, 0, 2 * turn + across, tall) },
    ],
    folds: [
      { id: 's-spine-1', between: ['spine-1', 'spine'], angle: 90 },
      { id: 's-spine-2', between: ['spine', 'spine-2'], angle: 90 },
    ],
  });
  const { from, to } = middleOf(back.near, tall);
  return {
    pieces: [...back.pieces, ...front.pieces, strip],
    cover: [...back.steps, ...front.steps],
    steps: [
      place('bind-back', 'Glue the back cover under the first envelope, its lining to the page', {
        panel: 'back-wrap',
        onto: '1-back',
        line: back.under(page.along, page.deep),
        on: first.backMouth,
        over: false,
        level: 'bottom',
        gluedTo: ['1-back'],
      }),
      place('bind-front', 'Glue the front cover on the last envelope, edge over edge with the back one', {
        panel: 'front-wrap',
        onto: last.piece.panels[0]!.id,
        line: front.under(page.along, page.deep),
        on: reversed(last.mouth),
        over: true,
        level: 'top',
        gluedTo: ['page-mat', last.piece.panels[0]!.id],
      }),
      place('lay-strip', 'Glue the near turn of the spine strip on the outside of the back cover, up to its edge', {
        panel: 'spine-1',
        onto: 'back-wrap',
        line: segment(turn, 0, turn, tall),
        on: { from, to },
        over: false,
        level: 'bottom',
        gluedTo: ['back-wrap'],
      }),
      fold(
        'round-spine',
        'Bring the strip round the spine, and glue its far turn on the front cover',
        ['s-spine-1', 's-spine-2'],
        {
          gluedTo: ['front-wrap'],
        },
      ),
    ],
  };
}

/**
 * What the spine spans, mm: of every envelope two walls, the strip at its side and a flap, two mats and a photo on either
 * page; cards; boards with a wrap, a turn-in and a lining each.
 */
function spanOf({ envelopes: n, cards }: Options, brief: Brief): number {
  const { asked, caliper } = brief;
  const board = usual(COVER.board, brief);
  return n * (6 * caliper + 2 * (asked?.thickness ?? 0)) + cards * 2 * caliper + 2 * (board + 4 * caliper);
}

export const flapAlbum: Construction<Options> = {
  name: 'flap-album',
  does: 'gathers',
  title: 'Album of envelopes, flap to flap',
  purpose: 'Bought envelopes glued flap into mouth: pages with pockets, and no rings.',
  options,
  ease: EASE,
  idle: ({ cards }) => (cards > 0 ? [] : ['gatefold']),
  build,
  schools: [
    { option: 'shape', value: 'straight', title: 'Straight flaps', why: 'The whole spine is held.' },
    {
      option: 'shape',
      value: 'pointed',
      title: 'Pointed flaps',
      why: 'As many square envelopes have them; only the middle of the spine is held.',
    },
  ],
  advice: [
    {
      mistake: 'Gluing the flap to both walls of the next mouth.',
      instead: 'To the inside of its front alone: what slides in from the trimmed end passes under it.',
    },
    {
      mistake: 'A flap as deep as the pocket it goes into.',
      instead: 'It must be shorter, or it stands out at the other end: cut it back.',
    },
    {
      mistake: 'A mat over a trimmed end.',
      instead: 'Mats stop a border short of every edge; slide a card through while the glue sets.',
    },
    {
      mistake: 'Paper and glue that yellow photographs.',
      instead: 'Acid-free paper and photo-safe adhesive wherever a photograph lies.',
    },
  ],
  cures: [
    partCure('reveal'),
    partCure('trim'),
    { for: 'part-too-large', id: 'flap', label: 'A third of the envelope', options: () => ({ flap: undefined }) },
    {
      for: 'part-too-large',
      id: 'cards',
      label: 'As many as there are ends',
      options: (limit) => ({ cards: Math.floor(limit) }),
    },
    {
      for: 'part-too-large',
      id: 'envelopes',
      label: 'As many as make a book',
      options: (limit) => (limit >= 3 ? { envelopes: Math.floor(limit) } : null),
    },
    usualCure('part-too-small', 'Trim 1/8 in', { trim: TRIM }),
  ],
  sources: [
    'far ends trimmed by 1/8 in, mats from the page as trimmed less twice the border (common practice, no source)',
  ],
};
