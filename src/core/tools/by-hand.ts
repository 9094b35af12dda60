import {
  circle,
  crossing,
  direction,
  distance,
  dot,
  minus,
  sideOf,
  type Point,
  type Polygon,
  TOLERANCE,
} from '../geometry';
import type { Say } from '../length';
import { onEdge } from '../pattern';
import type { Fault } from './fault';
import type { HandMove } from './move';
import { stretchOf, type Sheet } from './sheet';

/** What is done with what lies on any table: how it changes the sheet, and in a few words. Told as steps in `making`. */
export const HAND_MOVES: {
  readonly [Do in HandMove['do']]: {
    readonly carryOut: (move: Extract<HandMove, { readonly do: Do }>, sheet: Sheet) => void;
    readonly short: (move: Extract<HandMove, { readonly do: Do }>, say: Say) => string;
  };
} = {
  turn: {
    carryOut: (_, sheet) => sheet.turn(),
    short: () => 'turn the sheet a quarter clockwise.',
  },
  mark: {
    carryOut: (move, sheet) => sheet.mark(move),
    short: ({ at, edge }, say) => `mark ${say(at)} on edge ${edge}.`,
  },
  join: {
    carryOut: ({ score, also = [], from, to, only }, sheet) => {
      if (!sheet.isMarked(from) || !sheet.isMarked(to)) return sheet.fault({ code: 'score-unmarked', score });
      sheet.run([score, ...also], stretchOf({ from: sheet.found(from), to: sheet.found(to) }, only));
    },
    short: ({ from, to }) => `score along a ruler from edge ${from.edge} to edge ${to.edge}.`,
  },
  snip: {
    carryOut: ({ edge, from: start, to: stop }, sheet) => {
      const [from, to] = [onEdge(sheet.blank, edge, start), onEdge(sheet.blank, edge, stop)];
      const lines = sheet.state.runs.map(({ line }) => line);
      const through = (p: Point<'sheet'>) =>
        lines.filter((line) => distance(line.from, p) < TOLERANCE.drawn || distance(line.to, p) < TOLERANCE.drawn);
      // Where two notches touch, two scores end at one mark: those that cross over this stretch of the edge are meant.
      const along = direction(from, to);
      const tip = through(from)
        .flatMap((a) => through(to).map((b) => (a === b ? null : crossing(a, b))))
        .find((p) => p && dot(minus(p, from), along) > TOLERANCE.drawn && dot(minus(p, to), along) < -TOLERANCE.drawn);
      if (tip) sheet.notch(edge, [from, tip, to]);
      else sheet.fault({ code: 'no-crossing', edge });
    },
    short: ({ edge }) => `cut out the small corner between the marks on edge ${edge}.`,
  },
  cut: {
    carryOut: ({ what, path }, sheet) => {
      const lost = path.find((spot) => !sheet.isFound(spot));
      if (lost) sheet.fault({ code: 'unmarked', what, edge: lost.edge, at: lost.at });
      sheet.cut(path.map((spot) => sheet.found(spot)));
    },
    short: ({ what }) => `cut off the ${what}.`,
  },
  slit: {
    carryOut: ({ what, from, to }, sheet) => {
      const lost = [from, to].find((spot) => !sheet.isFound(spot));
      if (lost) sheet.fault({ code: 'unmarked', what, edge: lost.edge, at: lost.at });
      sheet.slit({ from: sheet.found(from), to: sheet.found(to) });
    },
    short: ({ what }) => `cut the ${what}.`,
  },
  round: {
    carryOut: ({ what, at, radius }, sheet) => {
      const corner = cornerOff(sheet.state.paper, sheet.found(at), radius, what);
      if ('code' in corner) sheet.fault(corner);
      else sheet.takeOff('round', corner.off);
    },
    short: ({ what }) => `round the ${what}.`,
  },
  bite: {
    carryOut: ({ what, at, diameter }, sheet) => {
      if (!sheet.takeOff('bite', circle(sheet.found(at), diameter / 2, CHORDS)))
        sheet.fault({ code: 'bites-nothing', what });
    },
    short: ({ what }) => `punch the ${what}.`,
  },
  hole: {
    carryOut: ({ what, at, diameter }, sheet) => {
      if (!sheet.isFound(at)) sheet.fault({ code: 'unmarked', what: `hole in the ${what}`, edge: at.edge, at: at.at });
      sheet.hole(sheet.found(at), diameter);
    },
    short: ({ what }) => `punch the hole in the ${what}.`,
  },
};

/** Chords of a simulated round cut: they leave it by under a thousandth of its radius. */
const CHORDS = 72;

/**
 * What comes off where the corner of the paper at `p` is rounded, or why it cannot be: an arc that touches both edges
 * needs `radius / tan(half the angle)` of each, and they must go on straight that far.
 */
function cornerOff(
  paper: readonly Polygon<'sheet'>[],
  p: Point<'sheet'>,
  radius: number,
  what: string,
): { readonly off: Polygon<'sheet'> } | Fault {
  const ring = paper.find((one) => one.some((q) => distance(p, q) < TOLERANCE.found));
  if (!ring) return { code: 'no-corner', what };
  const at = (i: number): Point<'sheet'> => ring[((i % ring.length) + ring.length) % ring.length]!;
  const i = ring.findIndex((q) => distance(p, q) < TOLERANCE.found);
  const corner = at(i);
  /** How far an edge goes on straight from the corner, one way round, and where to. */
  const straight = (way: 1 | -1): Point<'sheet'> => {
    let k = i + way;
    while (distance(corner, at(k)) < TOLERANCE.found && k !== i + way * ring.length) k += way;
    const line = { from: corner, to: at(k) };
    while (
      Math.abs(sideOf(line, at(k + way))) < TOLERANCE.found &&
      distance(corner, at(k + way)) > distance(corner, at(k))
    )
      k += way;
    return at(k);
  };
  const [before, after] = [straight(-1), straight(1)];
  if (sideOf({ from: before, to: corner }, after) < TOLERANCE.found) return { code: 'corner-goes-in', what };
  const [u, v] = [direction(corner, before), direction(corner, after)];
  const half = Math.acos(Math.max(-1, Math.min(1, dot(u, v)))) / 2;
  const needs = radius / Math.tan(half);
  const has = Math.min(distance(corner, before), distance(corner, after));
  if (needs > has + TOLERANCE.found) return { code: 'radius-too-large', what, radius, needs, has };
  const along = (w: Point): Point<'sheet'> => ({ x: corner.x + w.x * needs, y: corner.y + w.y * needs });
  const [first, last] = [along(u), along(v)];
  const middle = { x: (u.x + v.x) / (2 * Math.cos(half)), y: (u.y + v.y) / (2 * Math.cos(half)) };
  const deep = radius / Math.sin(half);
  const centre = { x: corner.x + middle.x * deep, y: corner.y + middle.y * deep };
  const [start, turn] = [Math.atan2(last.y - centre.y, last.x - centre.x), -(Math.PI - 2 * half)];
  const arc = Array.from({ length: CHORDS + 1 }, (_, k): Point<'sheet'> => {
    const angle = start + (turn * k) / CHORDS;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
  return { off: [first, corner, ...arc] };
}
