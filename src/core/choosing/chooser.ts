import { CONSTRUCTIONS, drawn, type Construction, type Does } from '../constructions';
import { boxOf } from '../geometry';
import { mm, type Mm } from '../length';
import { checksOf, type Check } from '../checks';
import { copiesFrom } from '../cutting';
import { begunIn, briefFor, readDesign, sheetOf, type Design, type DesignInput, liesOn } from '../design';
import { sizedFor, planFor, type Made } from '../plan';
import { takingIn } from '../looks';
import { blanksOf } from '../making';
import type { Scene } from '../scene';

/** What is known: something to put in, or a paper; and the rest of a design that all answers share. */
export type Question = Omit<DesignInput, 'construction' | 'options' | 'version'> & {
  /** The tool for what has straight scores only, where another is out for that: a scoring board before an envelope board. */
  readonly straight?: DesignInput['tool'];
};

/** One construction as an answer. */
export interface Suggestion {
  readonly construction: string;
  readonly title: string;
  readonly design: DesignInput;
  /** Paper all its pieces take, mm². */
  readonly paper: number;
  /** What it does with what it holds. */
  readonly does: Does;
  /** Nothing about it warns: it is neither far too loose nor too shallow for what goes in. */
  readonly suits: boolean;
  /** It is of the kind that such contents want: walls round what is thick, none round what is flat. */
  readonly ofItsKind: boolean;
  /** Operations to make it: cuts, scores, glued joins. */
  readonly operations: number;
  readonly difficulty: 'quick' | 'some care' | 'patient';
  readonly finished: { readonly width: Mm; readonly height: Mm };
  readonly largest: { readonly width: Mm; readonly height: Mm };
  /** The finished thing for a drawing; null when there is none. */
  readonly picture: Scene | null;
  /** How many of it one sheet of the paper it is cut from gives; 0 where one takes several, null without a paper. */
  readonly gives: number | null;
  /** Why it cannot be: the first check that fails; null when it can. */
  readonly obstacle: Check | null;
}

/** What one thing, or one paper, is answered with: a book begins from its envelopes. */
const HOLDERS = CONSTRUCTIONS.filter(({ does }) => does !== 'gathers');

/**
 * Every construction as an answer to a question, best first: those that can be made before those that cannot, then
 * by the paper and the work they take (contents first), or by how much they hold (paper first). What is shown was
 * folded and proved. Constructions that hold nothing answer only where the paper is asked about.
 */
export function suggest(question: Question, constructions: readonly Construction[] = HOLDERS): readonly Suggestion[] {
  const paperFirst = question.blank !== undefined;
  return constructions
    .map((construction) => answer(construction, question))
    .filter(
      (found): found is Suggestion =>
        found !== null && (paperFirst || found.largest.width > 0 || found.obstacle !== null),
    )
    .sort((a, b) => firstUnlike(rankOf(a, question), rankOf(b, question)));
}

/** Contents thicker than this want walls round them, mm. Common practice 1/8 in. */
const THICK = 3.2;

/** What comes first, the lower the better: what can be made; what suits the thickness; what closes; a good fit; little paper. */
function rankOf(found: Suggestion, { blank }: Question): readonly number[] {
  const { obstacle, does, suits, ofItsKind, paper, operations, largest, gives } = found;
  const cannot = Number(obstacle !== null);
  // More room for the paper first.
  if (blank !== undefined)
    return [cannot, -((largest.width * largest.height) / Math.max(1, paper) - operations * 0.002)];
  const open = { closes: 0, stands: 0, opens: 1, wraps: 2, decorates: 3, gathers: 4 }[does];
  // Where a sheet was told, by how many it gives.
  return [cannot, Number(!suits), Number(!ofItsKind), -(gives ?? 0), open, paper * (1 + operations * 0.02)];
}

const firstUnlike = (a: readonly number[], b: readonly number[]): number =>
  a.map((rank, i) => rank - b[i]!).find((apart) => apart !== 0) ?? 0;

/** A construction as it is begun for a question. */
const asIn = ({ name }: Construction, question: Omit<Question, 'straight'>): DesignInput =>
  begunIn({ version: 1, construction: name, ...question } as DesignInput);

function answer(construction: Construction, question: Question): Suggestion | null {
  const { straight, ...asked } = question;
  const common = asIn(construction, asked);
  const design = straight ? { ...common, tool: toolFor(common, { tool: common.tool, straight }) } : common;
  const read = readDesign(design);
  if (!read.ok) return null;
  const plan = planFor(read.design);
  const checks = checksOf(plan);
  const failed = checks.find((check) => check.level === 'fail') ?? null;
  const { made } = plan;
  const operations = made ? operationsOf(made) : 0;
  return {
    construction: construction.name,
    title: construction.title,
    design,
    paper: made ? made.pieces.reduce((sum, { piece }) => sum + piece.blank.width * piece.blank.height, 0) : Infinity,
    does: construction.does,
    ofItsKind: read.design.thickness > THICK === (construction.does === 'stands'),
    suits: !checks.some(({ level, kind }) => level === 'warn' && LOOSE.has(kind)),
    operations,
    difficulty: operations > 24 ? 'patient' : operations > 11 ? 'some care' : 'quick',
    finished: made?.finished ?? { width: mm(0), height: mm(0) },
    largest: made ? { width: made.largest.width, height: made.largest.height } : { width: mm(0), height: mm(0) },
    picture: made ? takingIn(made, read.design.contents ?? made.largest) : null,
    gives: made && !failed ? givenBy(made, read.design) : null,
    obstacle: failed,
  };
}

/** How many a sheet of a design’s paper gives. */
function givenBy(made: Made, design: Design): number | null {
  const { width, height } = design.paper;
  if (width === undefined || height === undefined) return null;
  return copiesFrom(blanksOf(made, design), sheetOf({ width, height }, design.paper), 1);
}

/** Cuts, scores and glued joins. */
const operationsOf = ({ pieces, folded }: Made): number =>
  pieces.reduce(
    (sum, { programme }) =>
      sum + 1 + programme.moves.filter((move) => !['mark', 'turn', 'place'].includes(move.do)).length,
    folded.stages.length + (folded.standing?.stages.length ?? 0),
  );

/** A paper of a stash, and what it could become. */
export interface PaperChoice {
  readonly paper: { readonly width: Mm; readonly height: Mm };
  readonly construction: string;
  /** Share of the paper that the contents' own area takes. */
  readonly use: number;
}

/**
 * Which of many papers can hold the contents, as which construction: screened by the blanks of each construction,
 * which is sized once. What is then shown is planned, folded and proved one by one. Best use of the paper first.
 */
export function papersFor(
  question: Question & { readonly contents: NonNullable<Question['contents']> },
  papers: readonly { readonly width: Mm; readonly height: Mm }[],
): readonly PaperChoice[] {
  const patterns = HOLDERS.flatMap((construction) => {
    const read = readDesign(asIn(construction, question));
    if (!read.ok) return [];
    const { sized: result } = sizedFor(read.design);
    return result.ok
      ? [
          {
            construction,
            design: read.design,
            pieces: result.built.pieces.filter(({ source }) => source === 'made'),
            holds: result.built.cavities.length > 0,
          },
        ]
      : [];
  });
  return papers
    .flatMap((paper) =>
      patterns
        .filter(({ holds, pieces }) => holds && pieces.every((piece) => liesOn(piece.blank, paper)))
        .map(({ construction, design }): PaperChoice => ({
          paper,
          construction: construction.name,
          use: (design.contents!.width * design.contents!.height) / (paper.width * paper.height),
        })),
    )
    .sort((a, b) => b.use - a.use);
}

/**
 * What each of many papers can become: screened by each construction's own inverse (its blank given), without
 * folding; the floor of its first cavity stands for what it holds. Most room for its paper first.
 */
export function becomes(
  question: Question,
  papers: readonly { readonly width: Mm; readonly height: Mm }[],
): readonly (PaperChoice & { readonly floor: { readonly width: number; readonly height: number } })[] {
  const designs = HOLDERS.flatMap((construction): Design[] => {
    const read = readDesign(asIn(construction, { ...question, blank: { width: mm(100), height: mm(100) } }));
    return read.ok ? [read.design] : [];
  });
  return papers
    .flatMap((paper) =>
      designs.flatMap((design) => {
        const result = drawn(design.construction, briefFor({ ...design, blank: paper }));
        if (!result.ok) return [];
        const [holds] = result.built.cavities;
        if (!holds) return [];
        const panel = result.built.pieces.flatMap((piece) => piece.panels).find(({ id }) => id === holds.floor)!;
        const box = boxOf(panel.polygon);
        const floor = { width: box.maxX - box.minX, height: box.maxY - box.minY };
        return [
          {
            paper,
            construction: design.construction.name,
            floor,
            use: (floor.width * floor.height) / (paper.width * paper.height),
          },
        ];
      }),
    )
    .sort((a, b) => b.use - a.use);
}

/** What says that contents lie in far too much room, or stick out of it. */
const LOOSE: ReadonlySet<string> = new Set(['loose', 'shallow-pocket']);

/** Tools that are out: one for whatever there is, and one that is better for straight scores, if there is. */
interface ToolsOut {
  readonly tool: DesignInput['tool'];
  readonly straight?: DesignInput['tool'];
}

/** The one of the tools that suits a design: straight scores go to a scoring board before an envelope board. */
export function toolFor(design: DesignInput, { tool, straight }: ToolsOut): DesignInput['tool'] {
  const read = readDesign(design);
  return straight && read.ok && hasStraightScores(read.design.construction, read.design) ? straight : tool;
}

/** True for a pattern without a notch: its scores run from edge to edge. */
function hasStraightScores(construction: Construction, design: Design): boolean {
  const pattern = drawn(construction, briefFor(design));
  return pattern.ok && pattern.built.pieces.every(({ notches }) => notches.length === 0);
}
