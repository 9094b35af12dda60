import { App } from 'antd';
import { useState } from 'react';
import { isPlaced, type CutList, type Layout } from '@/core/cutting';
import { stepOf } from '@/core/length';
import { useUnits } from '../parts/InUnits';
import { kindOf, mayTurn, placeFor, redrawn, settled, snapped, turnedPlacement, type LayoutDraft } from './byHand';

type Placements = Layout['sheets'][number]['placements'];

/** What can be done to the pieces of one sheet; pieces by their place on it. */
export interface SheetMoves {
  readonly stepBy: (piece: number, dx: number, dy: number) => void;
  readonly turn: (piece: number) => void;
  readonly toSheet: (piece: number, to: number) => void;
  /** Dragged by so much, mm, and let go over an element of the page. */
  readonly drop: (piece: number, dx: number, dy: number, over: Element | null) => void;
}

interface LaidByHand {
  /** The layout as it is dragged. */
  readonly layout: Layout;
  /** What was dragged and cannot be cut yet. */
  readonly open: LayoutDraft | null;
  readonly putBack: () => void;
  /** The piece in hand. */
  readonly picked: number | null;
  readonly pick: (piece: number | null) => void;
  readonly on: (sheet: number) => SheetMoves;
}

/**
 * Pieces moved, turned and taken to other sheets by hand. What can be cut like that is handed to `onSettled`; what
 * cannot stays open, with its reason, and nothing of it is kept.
 */
export function useLaidByHand(list: CutList, valid: Layout, onSettled: (layout: Layout) => void): LaidByHand {
  const { graduation } = useUnits();
  const { message } = App.useApp();
  const [open, setOpen] = useState<LayoutDraft | null>(null);
  const [picked, pick] = useState<number | null>(null);
  const layout = open?.layout ?? valid;
  const take = (changed: ReadonlyMap<number, Placements>): void => {
    const next = redrawn(list, open ?? { layout: valid, refused: new Map() }, changed);
    if (next.refused.size > 0) {
      setOpen(next);
      return;
    }
    setOpen(null);
    onSettled(settled(next, list));
  };
  const on = (at: number): SheetMoves => {
    const sheet = layout.sheets[at]!;
    const { placements } = sheet;
    const kind = kindOf(list, sheet.sheet);
    const lies = (piece: number): boolean => {
      const placed = isPlaced(list, kind, placements[piece]!);
      if (placed)
        void message.info('It lies where its motif is to show. Move it on the Bench, in the view “On paper”.');
      return placed;
    };
    const change = (piece: number, to: (own: Placements[number]) => Placements[number]): void => {
      if (!lies(piece)) take(new Map([[at, placements.map((own, i) => (i === piece ? to(own) : own))]]));
    };
    const toSheet = (piece: number, to: number): void => {
      if (to === at || lies(piece)) return;
      const own = placements[piece]!;
      const other = layout.sheets[to]!;
      const there = placeFor(own, other.placements, list, kindOf(list, other.sheet));
      if (!there) {
        void message.warning(`There is no place left for “${own.piece}” on sheet ${to + 1}.`);
        return;
      }
      take(
        new Map([
          [at, placements.filter((_, i) => i !== piece)],
          [to, [...other.placements, there]],
        ]),
      );
      pick(null);
    };
    return {
      stepBy: (piece, dx, dy) => {
        const by = stepOf(graduation) || 1;
        change(piece, (own) => ({ ...own, x: own.x + dx * by, y: own.y + dy * by }));
      },
      turn: (piece) => {
        if (mayTurn(list, kind, placements[piece]!.piece)) return change(piece, turnedPlacement);
        void message.info('This piece may not be turned: its paper or its print has a right way up.');
      },
      toSheet,
      drop: (piece, dx, dy, over) => {
        const target = over?.closest<HTMLElement>('[data-sheet]')?.dataset.sheet;
        if (target !== undefined) return toSheet(piece, Number(target));
        const others = placements.filter((_, i) => i !== piece);
        change(piece, (own) => snapped({ ...own, x: own.x + dx, y: own.y + dy }, others, kind, graduation));
      },
    };
  };
  return { layout, open, putBack: () => setOpen(null), picked, pick, on };
}
