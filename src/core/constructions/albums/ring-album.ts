import { type PanelId, drawPiece, isSquare, LEAST, rect, ring, type Hole, type Piece, some } from '../../pattern';
import { z } from '../../text/zod';
import type { FlatCavity, Joint } from '../../fold';
import { circle, type Point, type Polygon } from '../../geometry';
import { inches, mm, type Mm } from '../../length';
import {
  coverPanels,
  covers,
  glued,
  NO_PARTS,
  partsOf,
  photoCards,
  pullOut,
  THUMB,
  albumSheet,
  type Covers,
  type Parts,
} from './album';
import { drawBought, type DrawnEnvelope } from '../envelopes/bought-envelope';
import { wrapTrouble } from '../layers/cover-board';
import { built, fold, place, refuse, segment } from '../shared/building';
import { partCure } from '../shared/cures';
import { otherHalf } from '../shared/corners';
import { PLAIN, type Brief, type BuildResult, type Construction, type Refusal } from '../shared/construction';
import { choiceOption, countOption, lengthOption, openLengthOption, yesNoOption } from '../shared/options';
import { insideFor, onMark, OPEN, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  envelope: openLengthOption(
    'Envelope',
    'The measured side of the square envelopes: sold sizes run up to 1/8 in over their name.',
    { over: 0 },
    { open: 'as the photo takes' },
  ),
  flap: openLengthOption('Flap', 'How deep the envelopes’ flaps are.', { over: 0 }, { open: 'half the envelope' }),
  shape: choiceOption('Shape of the flaps', 'Pointed, or straight across.', ['pointed', 'straight']),
  pages: countOption('Pages', 'Two envelopes make a page.', 8, 1, 60),
  tape: lengthOption('Tape', 'How wide the tape is that holds a page along the rings and at its foot.', inches(1 / 2), {
    over: 0,
  }),
  reveal: lengthOption('Border', 'The border round every mat, one figure for all.', inches(1 / 8), { least: 0 }),
  holes: countOption('Holes', 'Holes for rings along a page.', 2, 1, 6),
  holeFromEdge: lengthOption('Holes from the edge', 'From the ring side to the middle of each hole.', inches(1 / 4), {
    over: 0,
  }),
  board: lengthOption('Board', 'How thick the covers’ boards are.', mm(3), { over: 0 }),
  boardOver: lengthOption(
    'Cover over the page',
    'How far the boards stand out past the page, all round.',
    inches(5 / 16),
    {
      least: 0,
    },
  ),
  turnIn: lengthOption('Turn-in', 'What of the wrap turns in over the board.', inches(1 / 2), { over: 0 }),
  cornerTuck: lengthOption('Corner tucks', 'The square that two corner tucks are cut from; 0 for none.', inches(3), {
    least: 0,
  }),
  pullOuts: yesNoOption('Pull-outs', 'A card with a tab for each pocket of each page.', true),
});
type Options = z.output<typeof options>;

/** Across a ring's hole, mm: as the common punch cuts. Common practice 1/4 in; in millimetres 6 (ISO 838, from memory). */
const HOLE = inches(1 / 4);
/** Glue along two edges of a corner tuck, mm. From memory 1/4 in. */
const EDGE = inches(1 / 4);
/** Room over the photo: its card is larger by four borders, and slides in. Common practice 3/4 and 5/8 in. */
const EASE = {
  aim: { width: inches(3 / 4), height: inches(3 / 4) },
  least: { width: inches(5 / 8), height: inches(5 / 8) },
};
/** Paper round the opening of the corner guide, mm. From memory 3/4 in. */
const GUIDE = inches(3 / 4);
/** The two envelopes of a page. */
type Half = 'first' | 'second';

/** Lengths of a page, mm. */
interface Page {
  /** Side of the envelope as measured. */
  readonly e: number;
  readonly flap: number;
  /** Ring strip, as wide as the tape. */
  readonly tape: number;
  readonly r: number;
  /** How far a hole and its border reach in from the ring side. */
  readonly holes: number;
  /** Across a hole. */
  readonly hole: Mm;
  /** Glue along two edges of a corner tuck. */
  readonly edge: number;
  /** Side of a thumb tab. */
  readonly thumb: number;
}

/**
 * Pages of two square envelopes mouth to mouth: the first one's flap is glued into the second one's mouth, the second
 * one's is folded back; folded together smooth side to smooth side a page has three pockets, each envelope's own, open
 * away from the rings, and the one between them, open at the top. From the measured `e`, the ring strip `τ` and the
 * border `r`: outer mat `(e − τ − 3r) × (e − 2r)`, strip `τ × (e − 2r)`, the middle pull-out `(e − 2τ) × (e − 3r)`, the
 * side ones `e − 3r` along the mouth and as deep as clears the holes.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, asked, blank } = brief;
  if (blank && !isSquare(blank))
    return refuse({
      code: 'blank-not-square',
      value: mm(Math.max(blank.width, blank.height)),
      limit: mm(Math.min(blank.width, blank.height)),
    });
  const e = options.envelope ?? blank?.width ?? sideFor(brief);
  const { tape, reveal: r, pages } = options;
  const hole = usual(HOLE, brief);
  const page: Page = {
    e,
    flap: options.flap ?? e / 2,
    tape,
    r,
    holes: options.holeFromEdge + hole / 2 + r,
    hole,
    edge: usual(EDGE, brief),
    thumb: usual(THUMB, brief),
  };
  const trouble = tooMuch(page, options);
  if (trouble) return refuse(trouble);
  const [first, second] = (['first', 'second'] as const).map((half) =>
    drawBought(
      { across: e, deep: e, flap: page.flap, shape: options.shape },
      { name: `${half} envelope`, prefix: `${half}-`, source: 'bought', quantity: pages, back: true },
    ),
  ) as [DrawnEnvelope, DrawnEnvelope];
  const cavities = pocketsOf(first, second);
  const mats = partsOf([matsOn('first', first, page, pages), matsOn('second', second, page, pages)]);
  const tuck = options.cornerTuck > 0 ? tucksOn(page, options) : NO_PARTS;
  const pulls = options.pullOuts ? pullOutsOf(page, pages) : NO_PARTS;
  const photos = asked ? photoCards(asked, r, 2 * pages) : NO_PARTS;
  const cover: Covers = {
    width: e + 2 * options.boardOver,
    height: e + 2 * options.boardOver,
    board: options.board,
    turnIn: options.turnIn,
    reveal: r,
    quantity: 2,
  };
  const stiff = wrapTrouble(cover, brief);
  if (stiff) return refuse(stiff);
  const bound = covers(cover, brief);
  const { pieces } = partsOf([mats, tuck, pulls, photos, bound]);
  const centres = holesAlong(page, options, brief);
  const guides = [
    guide(page, options.holeFromEdge, centres),
    ...(options.cornerTuck > 0 ? [cornerGuide(options.cornerTuck, usual(GUIDE, brief))] : []),
  ];
  const cards = options.pullOuts ? cardsIn(page, cavities, [first, second], centres, brief.caliper) : [];
  const [front, ...others] = some([...pieces, ...guides]);
  return built({
    ...PLAIN,
    pieces: [front, first.piece, second.piece, ...others],
    assembly: [
      ...first.shut,
      ...second.shut,
      fold(
        'fold-back',
        'Fold the second envelope’s flap back, away from its mouth, and glue it down',
        ['second-s-flap'],
        {
          gluedTo: ['second-front'],
        },
      ),
      place('join', 'Glue the first envelope’s flap into the second one’s mouth, mouth to mouth, edges met', {
        panel: 'second-front',
        onto: 'first-flap',
        line: second.mouth,
        on: { from: first.mouth.to, to: first.mouth.from },
        over: false,
        level: { slidOver: ['first-flap'], from: second.strips[0]! },
        gluedTo: ['first-flap'],
        // On the flap alone: glue on the back of the pocket would shut it.
        glueWithin: [frontOf(second)],
      }),
      ...mats.steps,
      ...tuck.steps,
      fold(
        'fold-page',
        'Fold the page together, smooth side to smooth side, with tape along the rings and along the foot',
        ['first-s-flap'],
        { gluedTo: ['first-front'], glueWithin: tapeOn(second, page), tape },
      ),
      ...pulls.steps,
      ...photos.steps,
      ...bound.steps,
      place(
        'bind',
        'Punch one cover through the guide, the other cover and the pages through that cover; put the covers on and ring them',
        {
          panel: 'wrap',
          onto: 'second-back',
          line: bound.under(e, e),
          on: second.backMouth,
          over: false,
          level: 'bottom',
          once: true,
          care: 'fixings',
        },
      ),
    ],
    cavities,
    proud: coverPanels(''),
    claims: [
      { kind: 'laps', pairs: [['first-flap', 'second-front']] },
      {
        kind: 'reveal',
        pairs: (['first', 'second'] as const).flatMap((half) => [
          [`${half}-mat`, `${half}-back`] as const,
          [`${half}-strip`, `${half}-back`] as const,
        ]),
      },
      ...(cards.length > 0 ? [{ kind: 'pull-outs', cards } as const] : []),
      {
        kind: 'leaves',
        leaves: [
          {
            panels: [first.piece, second.piece, ...mats.pieces, ...tuck.pieces].flatMap(({ panels }) =>
              panels.map(({ id }) => id),
            ),
            times: pages,
          },
        ],
        // The other half of a tuck’s square lies turned on its print, and is not drawn as if it were the first.
        onEach: [],
        alike: Object.fromEntries(
          [first.piece, second.piece, ...mats.pieces, ...tuck.pieces, ...bound.pieces].map(({ name, quantity }) => [
            name,
            quantity,
          ]),
        ),
        // Boards count as paper where they lie; pull-outs are three papers each, photos lie on both faces of a card with its layers.
        between: mm(
          2 * Math.max(0, options.board - brief.caliper) +
            pages *
              (3 * brief.caliper * cards.length +
                (asked ? 2 * (3 * brief.caliper + 2 * Math.max(asked.thickness, brief.caliper)) : 0)),
        ),
        by: 'rings',
        spans: null,
        photos: asked && {
          count: 4 * pages,
          width: asked.width,
          height: asked.height,
          border: mm(2 * r),
          mat: 'first-mat',
          page: 'first-back',
        },
      },
    ],
  });
}

/** The envelope whose pockets take the contents either way round, and whose mats take them on their cards. */
function sideFor(brief: Brief<Options>): number {
  const { width, height } = insideFor(brief, OPEN);
  const { asked, options } = brief;
  const { tape, reveal: r } = options;
  const short = Math.min(asked!.width, asked!.height);
  const long = Math.max(asked!.width, asked!.height);
  return Math.max(width, height, onMark(Math.max(short + tape + 7 * r, long + 6 * r), brief, 'up'));
}

/** The first part there is no room for. */
function tooMuch({ e, flap, tape, r, holes, hole, edge }: Page, { cornerTuck, holeFromEdge }: Options): Refusal | null {
  const least = LEAST.folded.fails;
  if (flap > e) return tooLarge('flap', 'flap', flap, e);
  if (holeFromEdge - hole / 2 < LEAST.left.fails)
    return {
      code: 'part-too-small',
      value: holeFromEdge,
      limit: mm(LEAST.left.fails + hole / 2),
      about: { part: 'edge beside the holes' },
    };
  const mat = e - tape - 3 * r;
  if (mat < least || e - 5 * r < least)
    return tooLarge('reveal', 'border', r, Math.min((e - tape - least) / 3, (e - least) / 5));
  if (2 * tape > e - 4 * r - least) return tooLarge('tape', 'tape', tape, (e - 4 * r - least) / 2);
  if (e - holes - 2 * r < least)
    return tooLarge('holeFromEdge', 'edge beside the holes', holeFromEdge, e - hole / 2 - 3 * r - least);
  if (cornerTuck > mat) return tooLarge('cornerTuck', 'corner tuck', cornerTuck, mat < 2 * r + 2 * edge ? 0 : mat);
  if (cornerTuck > 0 && cornerTuck < 2 * r + 2 * edge)
    return { code: 'part-too-small', value: cornerTuck, limit: mm(2 * r + 2 * edge), about: { part: 'corner tuck' } };
  return null;
}

const frontOf = ({ piece }: DrawnEnvelope): Polygon<'sheet'> => piece.panels[0]!.polygon;

/** Tape on the smooth side of the second envelope: along its far end, which comes to the rings, and along one side. */
function tapeOn({ mouth: { from, to } }: DrawnEnvelope, { e, tape, flap }: Page): Polygon<'sheet'>[] {
  const far = from.y - e;
  return [rect(from.x, far, to.x, far + tape), rect(from.x, far, from.x + tape, from.y + flap)];
}

/** The three pockets of a page, once it is folded. */
function pocketsOf(first: DrawnEnvelope, second: DrawnEnvelope): [FlatCavity, FlatCavity, FlatCavity] {
  const covered = { floor: 1, roof: 1 };
  const { from, to } = second.mouth;
  const far = frontOf(second)[1]!.y;
  return [
    {
      id: 'first pocket',
      kind: 'pocket',
      floor: 'first-front',
      roof: [...first.strips, 'first-back'],
      mouth: first.mouth,
      insertAfter: 'bind',
      covered,
      put: 'Slide the pull-outs into their pockets, and the photos under the corners.',
    },
    {
      id: 'second pocket',
      kind: 'pocket',
      floor: 'second-back',
      roof: ['first-flap', 'second-front'],
      mouth: second.backMouth,
      insertAfter: 'bind',
      covered,
    },
    {
      id: 'middle pocket',
      kind: 'pocket',
      floor: 'second-front',
      roof: ['first-front'],
      mouth: segment(to.x, far, to.x, from.y),
      insertAfter: 'bind',
      covered,
    },
  ];
}

/** The outer mat and the ring strip of one half, on the side with the seams. */
function matsOn(half: Half, { backMouth }: DrawnEnvelope, { e, tape, r }: Page, pages: number): Parts {
  const mat = albumSheet(`${half}-mat`, `${half} outer mat`, e - tape - 3 * r, e - 2 * r, pages);
  const strip = albumSheet(`${half}-strip`, `${half} ring strip`, tape, e - 2 * r, pages);
  const back = `${half}-back`;
  const { x } = backMouth.from;
  return {
    pieces: [mat, strip],
    steps: [
      glued(mat, back, segment(x + r, r, x + e - r, r)),
      glued(strip, back, segment(x + r, e - r - tape, x + e - r, e - r - tape)),
    ],
  };
}

/** Corner tucks: a square cut corner to corner gives both of a page; each with a layer from a smaller square. */
function tucksOn({ r, edge }: Page, { cornerTuck: c, pages }: Options): Parts {
  const half = (id: string, name: string, s: number): Piece =>
    drawPiece({
      name,
      quantity: pages,
      blank: { width: mm(s), height: mm(s) },
      panels: [{ id, name, polygon: ring([0, 0], [s, 0], [0, s]) }],
      folds: [],
      trims: [otherHalf(id, `second ${name}`, s, 'used')],
    });
  const tuck = half('corner-tuck', 'corner tuck', c);
  const layer = half('corner-layer', 'corner tuck’s layer', c - 2 * r);
  return {
    pieces: [tuck, layer],
    steps: [
      place('lay-corner-layer', 'Glue the layers on the corner tucks', {
        panel: 'corner-layer',
        onto: 'corner-tuck',
        line: segment(0, 0, c - 2 * r, 0),
        on: segment(r / 2, r / 2, r / 2 + c - 2 * r, r / 2),
        over: false,
        level: 'bottom',
        gluedTo: ['corner-tuck'],
      }),
      place(
        'lay-corner-tuck',
        'Glue a corner tuck by its two short edges on the outer lower corner of each outer mat, in the opening of its guide',
        {
          panel: 'corner-tuck',
          onto: 'first-mat',
          line: segment(0, 0, c, 0),
          on: segment(0, 0, c, 0),
          over: true,
          level: 'top',
          gluedTo: ['first-mat'],
          glueWithin: [rect(0, 0, c, edge), rect(0, 0, edge, c)],
        },
      ),
    ],
  };
}

/** Sizes of the cards that are pulled out, across their pocket's mouth and into it. */
const cardSizes = ({ e, tape, r, holes }: Page) => ({
  middle: { across: e - 2 * tape, into: e - 3 * r },
  side: { across: e - 3 * r, into: e - holes },
});

function pullOutsOf(page: Page, pages: number): Parts {
  const { middle, side } = cardSizes(page);
  return partsOf([
    pullOut('middle-card', 'middle pull-out', {
      ...middle,
      reveal: page.r,
      thumb: page.thumb,
      quantity: pages,
      tab: 'the upper edge of the middle pull-out',
    }),
    pullOut('side-card', 'side pull-out', {
      ...side,
      reveal: page.r,
      thumb: page.thumb,
      quantity: 2 * pages,
      tab: 'the outer side of the side pull-out (away from the rings)',
    }),
  ]);
}

/** How far along the page the holes are, mm: as far from its top as from its foot, so that it can be turned over. */
function holesAlong({ e }: Page, { holes }: Options, brief: Brief): readonly number[] {
  return Array.from({ length: holes }, (_, i) => {
    const along = (e * (2 * i + 1)) / (2 * holes);
    return 2 * i + 1 === holes ? along : along < e / 2 ? onMark(along, brief) : e - onMark(e - along, brief);
  });
}

/** A ring through two walls, as paper that ties them where it goes through: on the sheet of the first. */
const ringThrough = (panel: PanelId, onto: PanelId, centres: readonly Point<'sheet'>[], hole: Mm): Joint => ({
  id: `rings-${panel}`,
  panel,
  onto,
  side: 'inside',
  polygons: centres.map((centre) => circle(centre, hole / 2, 12)),
});

/** The cards as they must go in: each into its pocket, three papers thick, past the rings that go through it. */
function cardsIn(
  page: Page,
  [first, second, middle]: readonly [FlatCavity, FlatCavity, FlatCavity],
  [one, other]: readonly [DrawnEnvelope, DrawnEnvelope],
  centres: readonly number[],
  caliper: Mm,
) {
  const { middle: between, side } = cardSizes(page);
  const fromEdge = page.holes - page.r - page.hole / 2;
  // From the mouth on a back, from the far end on a front.
  const onBack = ({ backMouth: { from } }: DrawnEnvelope) =>
    centres.map((along) => ({ x: from.x + along, y: from.y + page.e - fromEdge }));
  const onFront = ({ mouth: { from } }: DrawnEnvelope) =>
    centres.map((along) => ({ x: from.x + along, y: from.y - page.e + fromEdge }));
  const card = (
    name: string,
    cavity: FlatCavity,
    { across, into }: { across: number; into: number },
    rings: Joint,
  ) => ({ name, cavity, across: mm(across), into: mm(into), thickness: mm(3 * caliper), rings: [rings] });
  return [
    card('first side pull-out', first, side, ringThrough('first-back', 'first-front', onBack(one), page.hole)),
    card('second side pull-out', second, side, ringThrough('second-back', 'second-front', onBack(other), page.hole)),
    card('middle pull-out', middle, between, ringThrough('second-front', 'first-front', onFront(other), page.hole)),
  ];
}

/** A strip as long as the page with the holes in it: the guide for all. */
function guide({ e, tape, r, hole }: Page, fromEdge: Mm, centres: readonly number[]): Piece {
  const breadth = Math.max(tape + 2 * r, 2 * fromEdge);
  return {
    ...albumSheet('hole-guide', 'hole guide', breadth, e),
    holes: centres.map((y, i): Hole => ({
      id: `ring-${i + 1}`,
      panel: 'hole-guide',
      centre: { x: fromEdge, y },
      diameter: hole,
    })),
  };
}

/** Laid on the corner of a mat, edges flush, its opening takes the tuck: every one of them comes to lie alike. */
function cornerGuide(c: Mm, room: Mm): Piece {
  const side = c + room;
  return drawPiece({
    name: 'corner guide',
    blank: { width: mm(side), height: mm(side) },
    panels: [
      {
        id: 'corner-guide',
        name: 'corner guide',
        polygon: ring([c, 0], [side, 0], [side, side], [0, side], [0, c]),
      },
    ],
    folds: [],
    trims: [
      {
        id: 'corner-guide-opening',
        name: 'opening of the corner guide',
        polygon: ring([0, 0], [c, 0], [0, c]),
        cut: {
          kind: 'path',
          path: [
            { x: 0, y: c },
            { x: c, y: 0 },
          ],
        },
      },
    ],
  });
}

export const ringAlbum: Construction<Options> = {
  name: 'ring-album',
  does: 'gathers',
  title: 'Album on rings from bought envelopes',
  purpose: 'Pages of two square envelopes each, three pockets a page, between covers on rings.',
  options,
  ease: EASE,
  idle: () => [],
  build,
  schools: [
    { option: 'shape', value: 'pointed', title: 'Pointed flaps', why: 'As most square envelopes have them.' },
    {
      option: 'shape',
      value: 'straight',
      title: 'Straight flaps',
      why: 'More of the flap is glued inside the next mouth, and the page turns more stiffly.',
    },
  ],
  advice: [
    {
      mistake: 'A mat glued over a mouth.',
      instead: 'Mats go on the seam sides alone; slide a card into every pocket while the glue sets.',
    },
    {
      mistake: 'Holes on the open side.',
      instead: 'The rings go where the envelopes are shut: the tape is there, and no pocket opens.',
    },
    {
      mistake: 'Trusting the size the envelopes are sold by.',
      instead: 'Measure one: they run up to 1/8 in over their name, and everything follows from it.',
    },
    {
      mistake: 'Paper and glue that yellow photographs.',
      instead: 'Acid-free paper and photo-safe adhesive wherever a photograph lies.',
    },
  ],
  cures: [
    partCure('tape'),
    partCure('reveal'),
    partCure('cornerTuck'),
    partCure('holeFromEdge'),
    partCure('turnIn'),
    partCure('board'),
    { for: 'part-too-large', id: 'flap', label: 'Half the envelope', options: () => ({ flap: undefined }) },
  ],
  sources: [
    'mats, strips, pull-outs and photo cards from one measured envelope, tape 1/2 in and border 1/8 in (common practice, no source)',
    'a ring carries a stack of three quarters of its inside diameter (from memory)',
  ],
};
