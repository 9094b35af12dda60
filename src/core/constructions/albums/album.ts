/** What albums of all kinds are made of besides their envelopes: mats, cards that are pulled out, covers. */
import { type PanelId, drawPiece, rect, type Piece } from '../../pattern';
import type { AssemblyStep } from '../../fold';
import type { Segment } from '../../geometry';
import { inches, mm, type Mm } from '../../length';
import type { Brief } from '../shared/construction';
import { basePiece, fold, place, segment } from '../shared/building';
import { rounded } from '../shared/corners';
import { CORNERS, drawWrap, SIDES, type Wrapping } from '../layers/cover-board';

/** Pieces and what is done with them. */
export interface Parts {
  readonly pieces: readonly Piece[];
  readonly steps: readonly AssemblyStep[];
}

/** What is asked and there is nothing of. */
export const NO_PARTS: Parts = { pieces: [], steps: [] };
export const partsOf = (all: readonly Parts[]): Parts => ({
  pieces: all.flatMap(({ pieces }) => pieces),
  steps: all.flatMap(({ steps }) => steps),
});

/** A rectangle of paper with one panel, so many of it. */
export const albumSheet = (id: string, name: string, width: number, height: number, quantity = 1): Piece =>
  drawPiece({
    name,
    quantity,
    blank: { width: mm(width), height: mm(height) },
    panels: [{ id, name, polygon: rect(0, 0, width, height) }],
    folds: [],
  });

interface Gluing extends Pick<AssemblyStep, 'care'> {
  readonly to?: readonly string[];
  readonly name?: string;
  readonly over?: boolean;
}

/**
 * A rectangle glued on a panel: its left edge, downwards, on a line there that has the panel's paper on its left. Over a
 * panel that shows its outside it is turned over, so that both show the same face.
 */
export const glued = (
  piece: Piece,
  onto: PanelId,
  on: Segment<'sheet'>,
  { to = [onto], name = `Glue the ${piece.name} on`, over = true, care }: Gluing = {},
): AssemblyStep => {
  const [panel] = piece.panels;
  return place(`lay-${panel!.id}`, name, {
    panel: panel!.id,
    onto,
    line: segment(0, piece.blank.height, 0, 0),
    on,
    over,
    level: 'top',
    gluedTo: to,
    ...(care && { care }),
  });
};

/** A thumb tab is so wide, its corners rounded so far, mm; it is glued half over an edge. Common practice 1 in. */
export const THUMB = inches(1);
const THUMB_CORNER = inches(1 / 4);

function thumbTab(id: string, name: string, side: number, quantity: number): Piece {
  const square = rect(0, 0, side, side);
  const round = rounded(square, [0, 1, 2, 3], THUMB_CORNER, `round-${id}-tab`, `${name}’s thumb tab`);
  const sheet = albumSheet(`${id}-tab`, `${name}’s thumb tab`, side, side, quantity);
  if ('limit' in round) return sheet;
  return { ...sheet, panels: sheet.panels.map((panel) => ({ ...panel, polygon: round.polygon })), trims: round.trims };
}

/** A layer glued on either side of a card, its print outwards, with the same border all round. */
function onBothSides(
  card: Piece,
  [front, back]: readonly [Piece, Piece],
  reveal: number,
  { over = [], words = '', care }: { over?: readonly PanelId[]; words?: string; care?: Gluing['care'] } = {},
): AssemblyStep[] {
  const [onto] = card.panels;
  const { width: w } = front.blank;
  const laid = (layer: Piece, top: boolean): AssemblyStep =>
    place(
      `lay-${layer.panels[0]!.id}`,
      top ? `Glue a layer on the ${card.name}${words}` : `Glue a layer on the other side of the ${card.name}`,
      {
        panel: layer.panels[0]!.id,
        onto: onto!.id,
        line: segment(0, 0, w, 0),
        on: top ? segment(reveal + w, reveal, reveal, reveal) : segment(reveal, reveal, reveal + w, reveal),
        over: top,
        level: top ? 'top' : 'bottom',
        gluedTo: [onto!.id, ...(top ? over : [])],
        ...(care && { care }),
      },
    );
  return [laid(front, true), laid(back, false)];
}

/**
 * A card that is pulled out, a layer on either side and a tab to hold it by half over its far edge: `across` the pocket's
 * mouth and `into` it. `tab` says at which edge of it, as it lies in its pocket.
 */
export function pullOut(
  id: string,
  name: string,
  {
    across,
    into,
    reveal,
    quantity,
    thumb,
    tab: over,
  }: { across: number; into: number; reveal: number; quantity: number; thumb: number; tab: string },
): Parts {
  const card = albumSheet(id, name, across, into, quantity);
  const [w, h] = [across - 2 * reveal, into - 2 * reveal];
  const layer = (side: 'front' | 'back'): Piece =>
    albumSheet(`${id}-${side}`, `${name}’s ${side} layer`, w, h, quantity);
  const front = layer('front');
  const back = layer('back');
  const tab = thumbTab(id, name, thumb, quantity);
  return {
    pieces: [card, front, back, tab],
    steps: [
      place(`lay-${id}-tab`, `Glue the thumb tab half over ${over}, in the middle`, {
        panel: `${id}-tab`,
        onto: id,
        line: segment(0, thumb / 2, thumb, thumb / 2),
        on: segment((across + thumb) / 2, into, (across - thumb) / 2, into),
        over: true,
        level: 'top',
        gluedTo: [id],
      }),
      ...onBothSides(card, [front, back], reveal, { over: [`${id}-tab`], words: ', over the tab' }),
    ],
  };
}

/** Covers of a book: boards, what wraps them and what lines them. */
export interface Covers extends Wrapping {
  readonly reveal: number;
  readonly quantity: number;
}

/** One of several covers, by its name: `front `; empty where one is folded for all. */
export type CoverName = '' | 'front ' | 'back ';

/** A panel of a cover by its id. */
export const coverPanel = (name: CoverName, panel: PanelId): string => `${name.trim()}${name && '-'}${panel}`;

/** Panels of a cover, all of which stand out past the page. */
export const coverPanels = (name: CoverName): string[] =>
  ['wrap', ...SIDES.flatMap((side) => [`edge-${side}`, `turn-${side}`]), ...CORNERS, 'board', 'lining'].map((panel) =>
    coverPanel(name, panel),
  );

/**
 * A covered board, bought board and all: one is folded for all; the lining looks up. `near` is the cover’s near edge,
 * `under` where the near edge of a page lies in the middle of it, both on the sheet of the wrap.
 */
export function covers(
  { reveal, quantity, ...wrapping }: Covers,
  brief: Brief,
  name: CoverName = '',
): Parts & { readonly near: Segment<'sheet'>; readonly under: (across: number, deep: number) => Segment<'sheet'> } {
  const { width, height } = wrapping;
  const id = (panel: PanelId): string => coverPanel(name, panel);
  const {
    piece: wrap,
    board: { x1, x2, y1 },
  } = drawWrap(wrapping, brief, {
    name: `${name}cover wrap`,
    front: { id: id('wrap'), name: `${name}cover` },
    of: name && ` of the ${name}cover`,
    id,
    quantity,
  });
  const board = {
    ...basePiece(`${name}board`, id('board'), { width: mm(width), height: mm(height) }),
    source: 'bought' as const,
    quantity,
  };
  const [lw, lh] = [width - 2 * reveal, height - 2 * reveal];
  return {
    near: segment(x1, y1, x2, y1),
    under: (across, deep) => {
      const [x, y] = [x1 + (width - across) / 2, y1 + (height - deep) / 2];
      return segment(x, y, x + across, y);
    },
    pieces: [wrap, board, albumSheet(id('lining'), `${name}cover lining`, lw, lh, quantity)],
    steps: [
      place(id('lay-board'), `Glue the board between the inner scores on the inside of the ${name}cover wrap`, {
        panel: id('board'),
        onto: id('wrap'),
        line: segment(0, 0, width, 0),
        on: segment(x1, y1, x2, y1),
        over: false,
        level: 'top',
        gluedTo: [id('wrap')],
      }),
      ...SIDES.map((side, i) =>
        fold(
          id(`turn-${side}`),
          i < 2
            ? `Turn the ${side} edge of the wrap in over the board`
            : `Pinch the corners in at the ${side}, and turn that edge of the wrap in over the board`,
          [id(`s-edge-${side}`), id(`s-turn-${side}`)],
          { gluedTo: ['board', ...(i < 2 ? [] : ['turn-near', 'turn-far'])].map(id) },
        ),
      ),
      place(id('lay-lining'), `Glue the ${name}cover lining over the turn-ins`, {
        panel: id('lining'),
        onto: id('board'),
        line: segment(0, 0, lw, 0),
        on: segment(reveal + lw, reveal, reveal, reveal),
        over: true,
        level: 'top',
        gluedTo: ['board', ...SIDES.map((side) => `turn-${side}`)].map(id),
      }),
    ],
  };
}

/** Cards for photos, one on each face: a border of twice `reveal` all round, and a layer on either side with half of it. */
export const photoCards = (
  photo: { readonly width: Mm; readonly height: Mm },
  reveal: number,
  quantity: number,
): Parts => {
  const card = albumSheet('photo-card', 'photo card', photo.width + 4 * reveal, photo.height + 4 * reveal, quantity);
  const [wide, high] = [photo.width + 2 * reveal, photo.height + 2 * reveal];
  const front = albumSheet('photo-layer', 'photo layer', wide, high, quantity);
  const back = albumSheet('photo-back-layer', 'back photo layer', wide, high, quantity);
  return {
    pieces: [card, front, back],
    steps: onBothSides(card, [front, back], reveal, { care: 'photo' }),
  };
};

/** A line the other way round. */
export const reversed = ({ from, to }: Segment<'sheet'>): Segment<'sheet'> => ({ from: to, to: from });
