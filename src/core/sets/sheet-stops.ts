/** Cutting as it was laid out: whole sheets, setting after setting of the fence, in place of a blank after the other. */
import { endsPieces, fenceOrder, fenceSentences, type FenceGroup } from '../cutting';
import { mm, type Say } from '../length';
import { CAUTION, NUMBER_EDGES, type Step } from '../making';
import { listed, quoted, several } from '../text';
import { cutListOf, pieceName } from './cut-list';
import type { SetPlan } from './plan-set';
import type { LaidPaper, Stop } from './stop';

/** A blank is that blank as long as it is no further from its size, mm. */
const HAIR = 0.05;

/** Those of the papers that still give what so many sets take of them: a plan may have changed since they were laid out. */
export function stillGiving(planned: SetPlan, laid: readonly LaidPaper[], sets: number): readonly LaidPaper[] {
  if (laid.length === 0) return [];
  const needed = new Map(
    cutListOf(planned).flatMap(({ pieces }) =>
      pieces.map((piece) => [pieceName(planned.set, piece.part, piece.name), piece] as const),
    ),
  );
  // One on which not everything finds a place leaves blanks to be cut by themselves: then all of them are.
  return laid.filter(
    ({ list, layout }) =>
      layout.unplaced.length === 0 &&
      list.pieces.every(({ name, width, height, quantity }) => {
        const piece = needed.get(name);
        if (!piece) return false;
        const count = Math.ceil((piece.quantity * sets) / (piece.gives ?? 1));
        return Math.abs(piece.width - width) < HAIR && Math.abs(piece.height - height) < HAIR && count <= quantity;
      }),
  );
}

/** True where a step cuts blanks that are all cut from laid sheets: it need not be told then. */
export function isLaid({ set }: SetPlan, part: string, step: Step, laid: readonly LaidPaper[]): boolean {
  if (step.phase !== 'cut' || step.action !== 'cut') return false;
  return [step.piece, ...(step.alike ?? [])].every((piece) => {
    const name = pieceName(set, part, piece);
    return laid.some(({ list }) => list.pieces.some((one) => one.name === name));
  });
}

/** The stops that cut some papers as they were laid out; `numbered` where the edges of what is cut are named later. */
export const sheetStops = (laid: readonly LaidPaper[], numbered: boolean, say: Say): readonly Stop[] =>
  laid.flatMap((paper) => {
    if (paper.cut) return [layReady(paper, numbered)];
    const groups = fenceOrder(paper.list.sheets, paper.layout.sheets);
    return groups.map((group, i) => atFence(paper, group, numbered && i === groups.length - 1, say));
  });

const NUMBERED = `Number all their ${NUMBER_EDGES}`;

const stopOf = (paper: LaidPaper, group: FenceGroup | null, told: Partial<Step> & Pick<Step, 'text'>): Stop => {
  const piece = paper.layout.sheets[0]?.placements[0]?.piece ?? '';
  return {
    part: '',
    copies: [],
    sheets: { ...paper, group },
    step: {
      id: 0,
      piece,
      action: 'cut',
      phase: 'cut',
      readings: [],
      picture: { kind: 'flat', piece, near: 1, moves: 0, fresh: 0, cut: true },
      ...told,
    },
  };
};

function atFence(paper: LaidPaper, group: FenceGroup, numbered: boolean, say: Say): Stop {
  const setting = mm(group.setting);
  return stopOf(paper, group, {
    text: `Fence at ${say(setting)}. ${fenceSentences(group, paper.layout.sheets, say).join(' ')}`,
    ...(endsPieces(group, paper.layout.sheets) && {
      how: `Write its name on each piece. ${numbered ? NUMBERED : ''}`.trim(),
    }),
    caution: CAUTION.trimmer,
    at: setting,
    readings: [{ at: setting, on: 'trimmer', what: 'from the fence to the blade' }],
  });
}

function layReady(paper: LaidPaper, numbered: boolean): Stop {
  const counts = new Map<string, number>();
  for (const { placements } of paper.layout.sheets)
    for (const { piece } of placements) counts.set(piece, (counts.get(piece) ?? 0) + 1);
  const all = listed([...counts].map(([name, count]) => `${count} × ${quoted(name)}`));
  return stopOf(paper, null, {
    text: `Lay ready what is cut: ${all}, from ${several(paper.layout.sheets.length, 'sheet')}.`,
    ...(numbered && { how: NUMBERED }),
  });
}
