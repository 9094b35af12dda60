import type { Start } from '../constructions';
import { direction, distance, dot, minus, sideOf, TOLERANCE } from '../geometry';
import { inches, lengthSchema, mm } from '../length';
import { edgeLength, leftOf, notchTriangle, onEdge, type Edge, type Piece } from '../pattern';
import { scoredLines, type ScoredLine } from './lines';
import type { EnvelopeBoard } from './kinds';
import type { EnvelopeBoardMove, Mark, Move, Programme } from './move';
import { Sheet } from './sheet';
import type { Figures, MovesOf, RulerReading, ToolType } from './tool';

const figures = {
  notch: {
    asked: lengthSchema({ over: 0, most: 100 })
      .prefault(inches(3 / 4))
      .describe('Length of the notch the board cuts, along the sheet’s edge.'),
    owned: {
      title: 'Notch, along the edge',
      hint: 'Punch scrap and measure the cut.',
      least: 5,
      most: 60,
      fresh: inches(3 / 4),
    },
  },
  offset: {
    asked: lengthSchema({ least: -50, most: 50 })
      .prefault(mm(0))
      .describe('True setting less the reading of the board’s ruler.'),
    owned: {
      title: 'Guide offset',
      hint: 'True setting less what its ruler reads.',
      least: -15,
      most: 15,
      fresh: mm(0),
    },
  },
  rulerEnd: {
    asked: lengthSchema({ over: 0 }).prefault(inches(5)).describe('Largest setting the board’s ruler shows.'),
    owned: { title: 'Ruler ends at', least: 20, most: 1000, fresh: inches(5) },
  },
  grooveEnd: {
    asked: lengthSchema({ over: 0 }).prefault(inches(7)).describe('Longest score the board’s groove guides.'),
    owned: { title: 'Groove ends at', least: 20, most: 1000, fresh: inches(7) },
  },
} satisfies Figures;
/** An envelope board as most are: notch 3/4 in, no offset, ruler to 5 in, groove to 7 in. */
export const COMMON_BOARD: EnvelopeBoard = {
  kind: 'envelope-board',
  notch: inches(3 / 4),
  offset: mm(0),
  rulerEnd: inches(5),
  grooveEnd: inches(7),
};

/** The board that punches notches and scores from them at half a right angle. */
export const envelopeBoard: ToolType<EnvelopeBoard> = {
  kind: 'envelope-board',
  title: 'Envelope board',
  plural: 'Envelope boards',
  figures,
  plan: {
    offered: 'An envelope board',
    told: ({ notch, offset, rulerEnd, grooveEnd }, say) =>
      `Notch ${say(notch)}${offset === 0 ? '' : `, guide off by ${say(offset)}`}, ruler to ${say(rulerEnd)}, groove to ${say(grooveEnd)}.`,
    making: ({ notch, offset, rulerEnd }, graduation) => ({ graduation, notch, offset, rulerEnd, relief: null }),
    notched: roundTheSheet,
    moves: {
      place: {
        carryOut: (move, sheet, board) => {
          sheet.lay(null);
          if (move.edge !== sheet.near) sheet.fault({ code: 'wrong-edge', edge: move.edge, near: sheet.near });
          else if (move.by === 'ruler') {
            if (move.at > board.rulerEnd + TOLERANCE.drawn) sheet.fault({ code: 'ruler-ends', at: move.at });
            else sheet.lay(move.at + board.offset);
          } else if (move.by === 'mark') {
            if (sheet.isMarked(move)) sheet.lay(move.at);
            else sheet.fault({ code: 'no-mark', edge: move.edge, at: move.at });
          } else {
            const [left, right] = [sheet.over(0, 0), sheet.over(sheet.wide, 0)];
            const { runs } = sheet.state;
            const { to } = move;
            const meets = (to === undefined ? runs.at(-1) : runs.findLast(({ scores }) => scores.includes(to)))?.line
              .to;
            if (!meets || Math.abs(sideOf({ from: left, to: right }, meets)) > TOLERANCE.drawn)
              sheet.fault({ code: 'pointer-meets-nothing' });
            else sheet.lay(dot(minus(meets, left), direction(left, right)) - board.notch / 2);
          }
        },
        // Told with the punch that follows.
        step: () => null,
        short: (move, say) =>
          ({
            ruler: `lay edge ${move.edge} in the board, the left end at ${say(move.at)}.`,
            mark: `lay edge ${move.edge} in the board, your mark in the middle of the notch.`,
            pointer: 'bring the score to the pointer.',
          })[move.by],
      },
      punch: {
        carryOut: (_, sheet, { notch }) => {
          const { standing } = sheet.state;
          if (standing === null) sheet.fault({ code: 'not-laid' });
          else
            sheet.notch(sheet.near, [
              sheet.over(standing - notch / 2, 0),
              sheet.over(standing, notch / 2),
              sheet.over(standing + notch / 2, 0),
            ]);
        },
        step: (_, { before, say, number }) => {
          const placed = before.findLast((move) => move.do === 'place');
          if (placed?.do !== 'place') return null;
          const { edge, at, by, to } = placed;
          const lay = `Lay edge ${edge} in the board`;
          const text = {
            ruler: `${lay}, edge ${leftOf(edge)} on the left, the sheet’s left end at ${say(at)}. Punch.`,
            mark: `${lay}, edge ${leftOf(edge)} on the left, with your mark in the middle of the notch. Punch.`,
            pointer: `${lay}, with ${to === undefined ? 'its last score' : `score ${number(to)}`} at the pointer. Punch.`,
          }[by];
          const readings: RulerReading[] =
            by === 'ruler' ? [{ at, on: 'board', what: 'for the sheet’s left end' }] : [];
          return { action: 'punch', edge, at, text, readings, caution: 'punch', takes: 2 };
        },
        short: () => 'punch.',
      },
      score: {
        carryOut: ({ score, also = [], onward }, sheet, { notch, grooveEnd }) => {
          const { standing } = sheet.state;
          if (standing === null) return sheet.fault({ code: 'not-laid' });
          const free = Math.min(sheet.wide - standing, sheet.deep - notch / 2);
          const reach = onward ? free : Math.min(free, grooveEnd / Math.SQRT2);
          sheet.run([score, ...also], {
            from: sheet.over(standing, notch / 2),
            to: sheet.over(standing + reach, notch / 2 + reach),
          });
        },
        step: ({ score, onward, length }, { before, say, number, of }) => {
          const placed = before.findLast((move) => move.do === 'place');
          return {
            action: 'score',
            ...(placed?.do === 'place' ? { edge: placed.edge } : {}),
            score,
            text: onward
              ? `Score ${number(score)}${of}: run the groove as far as it goes, then carry the line on with a ruler to the sheet’s edge (${say(length)} in all).`
              : `Score ${number(score)}${of}: run the groove from the notch to the sheet’s edge.`,
          };
        },
        short: () => 'score along the groove.',
      },
    } satisfies MovesOf<EnvelopeBoardMove, EnvelopeBoard>,
    faults: {
      'not-laid': () => 'the sheet does not lie in the board',
      'ruler-ends': ({ at }, say) => `the board’s ruler ends before ${say(at)}`,
      'no-mark': ({ edge, at }, say) => `edge ${edge} has no mark at ${say(at)}`,
      'pointer-meets-nothing': () => 'the last score does not reach the near edge, so the pointer has nothing to meet',
    },
    // The first notch alone is set: each that follows is found by the pointer.
    settings: ({ notched, pieces, start }) => {
      if (!notched) return null;
      const first = pieces[0]!.programme.marks.find((mark) => mark.edge === start.edge);
      return first ? [first] : [];
    },
    limits: (board, { notched, pieces: [first], start }) => {
      if (!notched) return [];
      const { marks, moves } = first!.programme;
      const set = marks.find((mark) => mark.edge === start.edge)?.at ?? 0;
      const longest = Math.max(0, ...moves.map((move) => (move.do === 'score' ? move.length : 0)));
      const note = { level: 'note', about: {} } as const;
      return [
        ...(start.reference === 'ruler'
          ? [{ kind: 'ruler-end', value: set, limit: board.rulerEnd, ...note } as const]
          : []),
        ...(longest > board.grooveEnd + TOLERANCE.folded
          ? [{ kind: 'groove-end', value: longest, limit: board.grooveEnd, ...note } as const]
          : []),
      ];
    },
    words: {
      'ruler-end': ({ value, limit }, say) =>
        `The first setting, ${say(value)}, lies past the end of the board’s ruler at ${say(limit)}. Measure it on the sheet, mark it, and centre the mark on the notch.`,
      'groove-end': ({ value, limit }, say) =>
        `The longest score is ${say(value)}; the groove ends at ${say(limit)}. Score what it reaches and go on with a ruler before turning.`,
    },
    proof: 'The moves, tried on a simulated board, give these very scores and notches.',
    under: (board, moves) => {
      const shift = standingIn(board, moves);
      if (shift === null) return null;
      const reach = board.grooveEnd / Math.SQRT2;
      const last = moves.findLast((move) => move.do === 'place' || move.do === 'turn');
      const lit = last?.do === 'place' && last.by === 'ruler' ? last.at : null;
      return {
        box: { left: -(board.rulerEnd + board.offset + 14), right: reach + 22, bottom: -26, top: reach + 22 },
        shift,
        things: [
          { is: 'groove', from: { x: 0, y: board.notch / 2 }, to: { x: reach, y: board.notch / 2 + reach } },
          { is: 'scale', from: -board.offset, end: board.rulerEnd, lit },
          { is: 'punch', across: board.notch, pressed: moves.at(-1)?.do === 'punch' },
        ],
      };
    },
    hands: (board, state) => {
      const sheet = new Sheet(state);
      const edge = state.near;
      const [last] = state.runs.slice(-1);
      const pointer = last ? dot(minus(last.line.to, sheet.over(0, 0)), alongNear(sheet)) - board.notch / 2 : null;
      const lies = state.standing !== null;
      return [
        {
          title: 'Lay it there',
          length: {
            title: 'Lay the sheet’s left end at',
            most: board.rulerEnd,
            fresh: { in: inches(2.625), mm: mm(66) },
          },
          moves: (at) => [{ do: 'place', edge, by: 'ruler', at }],
        },
        {
          title: 'Last score to the pointer',
          off: pointer === null,
          moves: () => [{ do: 'place', edge, by: 'pointer', at: mm(pointer ?? 0) }],
        },
        { title: 'Punch', off: !lies, moves: () => [{ do: 'punch' }] },
        {
          title: 'Score',
          off: !lies,
          moves: () => [{ do: 'score', score: `s-${state.runs.length + 1}`, length: mm(0), onward: true }],
        },
      ];
    },
  },
};

const alongNear = (sheet: Sheet) => direction(sheet.over(0, 0), sheet.over(sheet.wide, 0));

/** How far the sheet's left end stands from the middle of the notch, as it was last laid; null when it lies free. */
function standingIn(board: EnvelopeBoard, moves: readonly Move[]): number | null {
  const last = moves.findLast((move) => move.do === 'turn' || move.do === 'place');
  if (last?.do !== 'place') return null;
  return last.by === 'ruler' ? last.at + board.offset : last.at;
}

/** Edge by edge round the sheet, starting where the setting can be read: place, punch, score, turn. */
function roundTheSheet(piece: Piece, start: Start, board: EnvelopeBoard): Programme {
  const moves: Move[] = [];
  const marks: Mark[] = [];
  const edges = [0, 1, 2, 3].map((i) => (((start.edge - 1 + i) % 4) + 1) as Edge);
  for (let turn = 1; turn < start.edge; turn++) moves.push({ do: 'turn' });
  const lines = scoredLines(piece);
  edges.forEach((edge, i) => {
    const notches = piece.notches.filter((n) => n.edge === edge).sort((a, b) => a.at - b.at);
    if (notches.length === 0) throw new Error(`${piece.name} has no notch on edge ${edge}`);
    for (const notch of notches) {
      const tip = notchTriangle(piece.blank, notch)[1];
      const reading = mm(notch.at - board.offset);
      const onRuler = reading > 0 && reading <= board.rulerEnd + TOLERANCE.length;
      // A score made from the edge before ends where this notch belongs: the pointer finds it without measuring.
      const foot = onEdge(piece.blank, edge, notch.at);
      const rightwards = minus(onEdge(piece.blank, edge, edgeLength(piece.blank, edge)), foot);
      const leaves = (right: boolean): ScoredLine | undefined =>
        lines.find(({ line }) => {
          const [near, far] = distance(line.from, tip) < TOLERANCE.folded ? [line.from, line.to] : [line.to, line.from];
          return distance(near, tip) < TOLERANCE.folded && dot(minus(far, near), rightwards) > 0 === right;
        });
      const meets = i > 0 ? leaves(false) : undefined;
      const first = i === 0 && (notches.length > 1 ? onRuler : start.reference === 'board');
      if (meets)
        moves.push({
          do: 'place',
          edge,
          by: 'pointer',
          at: notch.at,
          ...(notches.length > 1 ? { to: meets.ids[0]! } : {}),
        });
      else if (first) moves.push({ do: 'place', edge, by: 'ruler', at: reading });
      else
        moves.push({ do: 'mark', edge, at: notch.at, for: 'notch' }, { do: 'place', edge, by: 'mark', at: notch.at });
      marks.push(
        (i === 0 ? first : onRuler)
          ? { edge, at: reading, for: 'notch', reference: 'board' }
          : { edge, at: notch.at, for: 'notch', reference: 'ruler' },
      );
      const length = mm(Math.SQRT2 * (edgeLength(piece.blank, edge) - notch.at));
      // The groove runs up and to the right from the tip.
      const score = leaves(true);
      moves.push(
        { do: 'punch' },
        {
          do: 'score',
          score: score?.ids[0] ?? '',
          ...(score && score.ids.length > 1 ? { also: score.ids.slice(1) } : {}),
          length,
          onward: length > board.grooveEnd + TOLERANCE.length,
        },
      );
    }
    if (i < 3) moves.push({ do: 'turn' });
  });
  return { moves, marks: marks.sort((a, b) => a.edge - b.edge) };
}
