import {
  direction,
  distance,
  fromSegment,
  leastWidth,
  nearRim,
  sideOf,
  TOLERANCE,
  type Point,
  type Segment,
} from '../geometry';
import { LEAST, type Hinge, type Panel, type Piece } from '../pattern';
import { paperOf, type Design, PAPERS, smallestPaperFor } from '../design';
import { type Made, type Plan, panelName, glueAreas } from '../plan';
import { check, curesFor, type Check } from './check';

/** Something small: how small, mm, and what a maker calls it. */
interface Small {
  readonly value: number;
  readonly part: string;
}
const smallest = <S extends Small>(all: readonly S[]): S | null =>
  all.length > 0 ? all.reduce((least, one) => (one.value < least.value ? one : least)) : null;
const under = (value: number, limit: number): boolean => value < limit - TOLERANCE.folded;

/** Whether hands can fold, glue and cut each part as small as it is drawn. Only what is too small, or nearly, is told. */
export function leastChecks({ design }: Plan, made: Made): Check[] {
  const pieces = made.pieces.flatMap(({ piece }) => (piece.source === 'made' ? [piece] : []));
  const told = (
    kind: 'narrow-part' | 'paper-left',
    found: Small | null,
    { fails, warns }: typeof LEAST.folded,
  ): Check[] => {
    if (!found || !under(found.value, warns)) return [];
    const fail = under(found.value, fails);
    return [
      check(
        kind,
        fail ? 'fail' : 'warn',
        found.value,
        fail ? fails : warns,
        { part: found.part },
        curesFor(design, kind, fails),
      ),
    ];
  };
  return [
    ...told('narrow-part', smallest(pieces.flatMap(breadths)), LEAST.folded),
    ...scoreChecks(design, pieces),
    ...told('paper-left', smallest(pieces.filter(staysIn(made)).flatMap(leftBeside)), LEAST.left),
    ...glueStrips(design, made),
    ...boardChecks(design, pieces),
    ...blankChecks(design, pieces),
  ];
}

/** A guide is held to others, and laid aside again: nothing pulls at its rim. */
const staysIn =
  ({ folded: { finished, standing } }: Made) =>
  ({ name }: Piece): boolean =>
    standing !== null || finished.layers.some(({ piece }) => piece === name);

/** Two scores that run side by side on a panel, and how far apart. */
function scorePairs({ hinges }: Piece, panel: Panel): readonly { readonly apart: number }[] {
  const own = hinges.filter(({ between }) => between.includes(panel.id));
  return own.flatMap((a, i) => own.slice(i + 1).flatMap((b) => sideBySide(a, b)));
}

/** Scores turned by less than this run the same way, as a sine. */
const PARALLEL = 0.02;

function sideBySide({ line: a }: Hinge, { line: b }: Hinge): { readonly apart: number }[] {
  const [u, v] = [direction(a.from, a.to), direction(b.from, b.to)];
  if (Math.abs(u.x * v.y - u.y * v.x) > PARALLEL) return [];
  const along = (p: Point): number => (p.x - a.from.x) * u.x + (p.y - a.from.y) * u.y;
  const [low, high] = [along(b.from), along(b.to)].sort((x, y) => x - y) as [number, number];
  // One behind the other on a line they have no paper between them.
  if (Math.min(high, distance(a.from, a.to)) - Math.max(low, 0) < 1) return [];
  const apart = Math.abs(sideOf(a, b.from));
  return apart > TOLERANCE.agreed ? [{ apart }] : [];
}

/** How broad each folded part is at its narrowest; between two scores it is they that stand apart. */
const breadths = (piece: Piece): Small[] =>
  piece.hinges.length === 0
    ? []
    : piece.panels.flatMap((panel) => {
        if (panel.bends) return [];
        const value = leastWidth(panel.polygon);
        const between = scorePairs(piece, panel).some(({ apart }) => apart < value + TOLERANCE.agreed);
        return between ? [] : [{ value, part: panel.name }];
      });

/** Scores so near that the paper between them splits. */
function scoreChecks(design: Design, pieces: readonly Piece[]): Check[] {
  const close = pieces.flatMap((piece) => {
    const limit = Math.max(LEAST.scores.apart, LEAST.scores.calipers * paperOf(design, piece.name).caliper);
    return piece.panels
      .filter(({ bends }) => bends !== 'round-board')
      .flatMap((panel) =>
        scorePairs(piece, panel).flatMap(({ apart }) =>
          under(apart, limit) ? [{ value: apart, part: panel.name, limit }] : [],
        ),
      );
  });
  const worst = smallest(close);
  return worst ? [check('close-scores', 'fail', worst.value, worst.limit, { part: worst.part })] : [];
}

/** Paper between each hole and the rim or the folds of what it is cut in, and between a finger notch and the folds. */
const leftBeside = (piece: Piece): Small[] => [...leftAtHoles(piece), ...leftAtNotches(piece)];

const leftAtNotches = ({ trims, panels, hinges }: Piece): Small[] =>
  trims.flatMap(({ cut, polygon }) => {
    if (cut.kind !== 'punched') return [];
    const bitten = panels.find((panel) => polygon.some((p) => nearRim(panel.polygon, p, TOLERANCE.drawn)));
    const folds = bitten ? hinges.filter(({ between }) => between.includes(bitten.id)) : [];
    return folds.map(({ line }) => ({
      value: fromSegment(line, cut.centre) - cut.diameter / 2,
      part: `finger notch in the ${bitten!.name}`,
    }));
  });

const leftAtHoles = (piece: Piece): Small[] =>
  piece.holes.map(({ panel, centre, diameter }) => {
    const { polygon, name } = piece.panels.find(({ id }) => id === panel)!;
    const rim = polygon.map((from, i): Segment<'sheet'> => ({ from, to: polygon[(i + 1) % polygon.length]! }));
    return {
      value: Math.min(...rim.map((edge) => fromSegment(edge, centre))) - diameter / 2,
      part: `hole in the ${name}`,
    };
  });

/** Parts that no glue holds, for all that is glued of them is too narrow a strip: the broadest holds a part. */
function glueStrips(design: Design, made: Made): Check[] {
  const broadest = new Map<string, number>();
  for (const { joint } of glueAreas(made)) {
    const breadth = Math.max(0, ...joint.polygons.map(leastWidth));
    for (const panel of [joint.panel, joint.onto]) broadest.set(panel, Math.max(breadth, broadest.get(panel) ?? 0));
  }
  const worst = smallest([...broadest].map(([panel, value]) => ({ value, part: panelName(made.built, panel) })));
  return worst && under(worst.value, LEAST.glue.fails)
    ? [
        check(
          'glue-strip',
          'fail',
          worst.value,
          LEAST.glue.fails,
          { part: worst.part },
          curesFor(design, 'glue-strip', LEAST.glue.fails),
        ),
      ]
    : [];
}

/** Paper that is folded and is board. */
function boardChecks(design: Design, pieces: readonly Piece[]): Check[] {
  const calipers = pieces.flatMap((piece) => (piece.hinges.length > 0 ? [paperOf(design, piece.name).caliper] : []));
  const most = Math.max(0, ...calipers);
  const { fails, warns } = LEAST.board;
  if (most <= warns + TOLERANCE.length) return [];
  const fail = most > fails + TOLERANCE.length;
  return [check('board', fail ? 'fail' : 'warn', most, fail ? fails : warns, {})];
}

/** A blank that no sheet people buy is large enough for, where the person has not told theirs: a roll may be, or not even that. */
function blankChecks({ paper }: Design, pieces: readonly Piece[]): Check[] {
  if (paper.width !== undefined) return [];
  const roll = PAPERS.at(-1)!;
  const blanks = pieces.map(({ blank }) => blank);
  const over =
    blanks.find((blank) => !smallestPaperFor(blank)) ?? blanks.find((blank) => smallestPaperFor(blank) === roll);
  if (!over) return [];
  const onRoll = smallestPaperFor(over) === roll;
  const { width, height } = over;
  return [check('large-blank', onRoll ? 'note' : 'warn', Math.max(width, height), roll.height, { width, height })];
}
