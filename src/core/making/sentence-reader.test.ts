/**
 * A second table that knows nothing but the sentences of the steps: which edge is near, what is measured from where, which way.
 * It draws the scores they tell, for every holder and every tool; they must be the pattern's, and each must be possible.
 */
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { distance, sideOf, type Point, type Segment } from '../geometry';
import { sayer } from '../length';
import type { Made } from '../plan';
import { stepsOf } from '.';

type At = Point<'sheet'>;
type Line = Segment<'sheet'>;
const say = sayer('mm', 'exact');
const HOLDERS = CONSTRUCTIONS.filter(({ does }) => does !== 'gathers').map(({ name }) => name);
const TOOLS = ['ruler', 'scoring-board', 'edge-board', 'envelope-board'] as const;
/** A figure may be told to a hundredth. */
const TOLD = 0.02;

const length = (text: string): number => {
  const read = /^(?:about )?(-?\d+(?:\.\d+)?) mm$/u.exec(text.trim());
  if (!read) throw new Error(`“${text}” is no length`);
  return Number(read[1]);
};
const lengths = (list: string): number[] => list.split(/, | and /u).map(length);

interface Sheet {
  readonly wide: number;
  readonly high: number;
}
const corners = ({ wide, high }: Sheet): readonly At[] => [
  { x: 0, y: 0 },
  { x: wide, y: 0 },
  { x: wide, y: high },
  { x: 0, y: high },
];
/** A place measured along an edge from its left end, and up from it. */
function place(sheet: Sheet, edge: number, along: number, up = 0): At {
  const ring = corners(sheet);
  const [from, to] = [ring[edge - 1]!, ring[edge % 4]!];
  const long = distance(from, to);
  const [ux, uy] = [(to.x - from.x) / long, (to.y - from.y) / long];
  return { x: from.x + ux * along - uy * up, y: from.y + uy * along + ux * up };
}
const opposite = (edge: number): number => ((edge + 1) % 4) + 1;
const depth = (sheet: Sheet, edge: number): number => (edge % 2 === 1 ? sheet.high : sheet.wide);

/** A line with only a stretch of it run, told up from an edge: which must be one it starts from, and near. */
function stretch(line: Line, ends: readonly number[], only: RegExpMatchArray | null, near: number): Line {
  if (!only) return line;
  const [, from, to, edge] = only;
  const named = Number(edge);
  if (named !== near) throw new Error(`told up from edge ${named}, and edge ${near} is near`);
  const at = ends.indexOf(named);
  if (at < 0) throw new Error(`a line between edges ${ends.join(' and ')} is told up from edge ${named}`);
  const [a, b] = at === 0 ? [line.from, line.to] : [line.to, line.from];
  const long = distance(a, b);
  const on = (d: number): At => ({ x: a.x + ((b.x - a.x) * d) / long, y: a.y + ((b.y - a.y) * d) / long });
  return { from: on(length(from!)), to: on(length(to!)) };
}

/** The lines that the sentences for one piece tell to score. */
function scored(made: Made, texts: readonly string[], sheet: Sheet): readonly Line[] {
  const lines: Line[] = [];
  let near = 1;
  let standing: number | null = null;
  // Where each score comes to the edge that is near next, from its left end.
  const ends = new Map<string, number>();
  let last = '';
  const { start } = made.built;
  const notch = made.pieces[0].piece.notches[0]?.length ?? 0;
  for (const text of texts) {
    const turn =
      /^Turn the sheet (a quarter )?clockwise(?::| until) edge (\d) comes near, edge (\d) lies on the left/u.exec(text);
    if (turn) {
      if (turn[1] && Number(turn[2]) !== (near % 4) + 1)
        throw new Error(`edge ${turn[2]} cannot come near after edge ${near}`);
      near = Number(turn[2]);
    }
    const first = /^Lay the sheet down with edge (\d) near you/u.exec(text);
    if (first) near = Number(first[1]);
    const only = /only from (\S+ mm) to (\S+ mm) up from edge (\d)/u.exec(text);
    const ruled = /ruler from (\S+ mm) on edge (\d) to (\S+ mm) on edge (\d)/u.exec(text);
    if (ruled) {
      const [e, f] = [Number(ruled[2]), Number(ruled[4])];
      const line = { from: place(sheet, e, length(ruled[1]!)), to: place(sheet, f, length(ruled[3]!)) };
      lines.push(stretch(line, [e, f], only, near));
    }
    const fence =
      /edge (\d) near you, edge (\d) against the fence, down the grooves? at ([^;.]*? mm)(?=,? only|[.,] ?|$)/u;
    const grooved = /against the fence/u.test(text) ? fence.exec(text.replace(/(\d)\.(\d)/gu, '$1·$2')) : null;
    if (grooved) {
      const edge = Number(grooved[1]);
      if (edge !== near) throw new Error(`edge ${edge} is told to be near, and edge ${near} is`);
      const list = text
        .slice(text.indexOf(' at ') + 4)
        .split(/, only|\. /u)[0]!
        .replace(/\.$/u, '');
      for (const at of lengths(list)) {
        const line = { from: place(sheet, edge, at), to: place(sheet, edge, at, depth(sheet, edge)) };
        lines.push(stretch(line, [edge, opposite(edge)], only, near));
      }
    }
    const edged = /lay edge (\d) in the edge board/iu.exec(text);
    if (edged && text.startsWith('Score')) {
      const edge = Number(edged[1]);
      near = edge;
      const up = made.pieces[0].piece.hinges.length > 0 ? 12.7 : 0;
      lines.push({ from: place(sheet, edge, 0, up), to: place(sheet, edge, depth(sheet, edge + 1), up) });
    }
    const laid = /^Lay edge (\d) in the board.*?(?:left end at (\S+ mm)|mark in the middle|at the pointer)/u.exec(text);
    if (laid) {
      near = Number(laid[1]);
      if (laid[2]) standing = length(laid[2]);
      else if (text.includes('at the pointer'))
        standing = ends.get(/score (\d+) at the pointer/u.exec(text)?.[1] ?? last)! - notch / 2;
      else standing = start.edge % 2 === 1 ? made.pieces[0].piece.notches[0]!.at : made.pieces[0].piece.notches[1]!.at;
    }
    const grooveRun = /^Score (\d+).*run the groove/u.exec(text);
    if (grooveRun && standing !== null && !edged) {
      const free: number = depth(sheet, near + 1) - standing;
      lines.push({
        from: place(sheet, near, standing, notch / 2),
        to: place(sheet, near, standing + free, notch / 2 + free),
      });
      // It ends on the edge that comes near next, so far from that one's left end.
      last = grooveRun[1]!;
      ends.set(last, notch / 2 + free);
    }
  }
  return lines;
}

const onLine = (line: Line, p: At): boolean => Math.abs(sideOf(line, p)) < TOLD * 4;
const covers = (line: Line, hinge: Line): boolean => {
  const long = distance(line.from, line.to);
  const along = (p: At): number =>
    ((p.x - line.from.x) * (line.to.x - line.from.x) + (p.y - line.from.y) * (line.to.y - line.from.y)) / long;
  return [hinge.from, hinge.to].every((p) => onLine(line, p) && along(p) > -TOLD * 10 && along(p) < long + TOLD * 10);
};

describe.each(TOOLS)('told for the %s', (kind) => {
  test.each(HOLDERS)('%s', (construction) => {
    const plan = planOf({
      version: 1,
      construction,
      contents: {
        width: 90,
        height: 110,
        thickness: construction.includes('box') || construction === 'desk-file' ? 12 : 0,
      },
      tool: kind === 'envelope-board' ? { kind, rulerEnd: 400, grooveEnd: 400 } : { kind },
      graduation: 'exact',
    });
    const made = plan.made!;
    const steps = stepsOf(plan, say);
    for (const { piece } of made.pieces) {
      if (piece.hinges.length === 0) continue;
      const own = steps.filter(
        (step) => step.phase === 'flat' && (step.piece === piece.name || step.alike?.includes(piece.name)),
      );
      const lines = scored(
        made,
        own.map(({ text }) =>
          // Which piece it is stands before, or after its scores.
          text
            .replace(/^(?!Scores? )[^:.]*: (?=(?:with|lay|turn|mark|cut|round|punch) )/u, '')
            .replace(/^[a-z]/u, (c) => c.toUpperCase())
            .replace(/^(Scores? [\d, and]+) of the [^:]*:/u, '$1:'),
        ),
        { wide: piece.blank.width, high: piece.blank.height },
      );
      const missed = piece.hinges.filter(({ line }) => !lines.some((told) => covers(told, line))).map(({ id }) => id);
      const stray = lines.filter((told) => !piece.hinges.some(({ line }) => covers(told, line)));
      expect({ piece: piece.name, missed, stray }).toEqual({ piece: piece.name, missed: [], stray: [] });
    }
  });
});
