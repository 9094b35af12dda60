import { CONSTRUCTIONS, drawn, type Construction } from '../../constructions';
import { boxOf } from '../../geometry';
import { mm, type Mm } from '../../length';
import { checksOf, type Check } from '../checks';
import { briefFor, readDesign, type Design, type DesignInput } from '../design/design';
import { liesOn } from '../design/papers';
import { pictureOf, type Picture } from '../looks/picture';
import { planFor, type Made } from '../plan';

/** What is known: something to put in, or a paper; and the rest of a design that all answers share. */
export type Question = Omit<DesignInput, 'construction' | 'options' | 'version'>;

/** One construction as an answer. */
export interface Suggestion {
  readonly construction: string;
  readonly title: string;
  readonly design: DesignInput;
  /** Paper all its pieces take, mm². */
  readonly paper: number;
  /** True for what goes round the contents but is no place to keep them in. */
  readonly wraps: boolean;
  /** Operations to make it: cuts, scores, glued joins. */
  readonly operations: number;
  readonly difficulty: 'quick' | 'some care' | 'patient';
  readonly finished: { readonly width: Mm; readonly height: Mm };
  readonly largest: { readonly width: Mm; readonly height: Mm };
  /** The finished thing for a drawing; null when there is none. */
  readonly picture: Picture | null;
  /** Why it cannot be: the first check that fails; null when it can. */
  readonly obstacle: Check | null;
}

/**
 * Every construction as an answer to a question, best first: those that can be made before those that cannot, then
 * by the paper and the work they take (contents first), or by how much they hold (paper first). What is shown was
 * folded and proved. Constructions that hold nothing answer only where the paper is asked about.
 */
export function suggest(
  question: Question,
  constructions: readonly Construction[] = CONSTRUCTIONS,
): readonly Suggestion[] {
  const paperFirst = question.blank !== undefined;
  return constructions
    .map((construction) => answer(construction, question))
    .filter(
      (found): found is Suggestion =>
        found !== null && (paperFirst || found.largest.width > 0 || found.obstacle !== null),
    )
    .sort(
      (a, b) =>
        Number(a.obstacle !== null) - Number(b.obstacle !== null) || worth(b, paperFirst) - worth(a, paperFirst),
    );
}

/** What makes one answer better than another: more room for the paper, or less paper and work for the contents. */
const worth = ({ largest, paper, operations, wraps }: Suggestion, paperFirst: boolean): number =>
  // A band holds together but holds nothing in: it comes after whatever does.
  (wraps ? -1e9 : 0) +
  (paperFirst
    ? (largest.width * largest.height) / Math.max(1, paper) - operations * 0.002
    : -paper * (1 + operations * 0.02));

function answer(construction: Construction, question: Question): Suggestion | null {
  const design = { version: 1, construction: construction.name, ...question } as DesignInput;
  const read = readDesign(design);
  if (!read.ok) return null;
  const plan = planFor(read.design);
  const failed = checksOf(plan).find((check) => check.level === 'fail') ?? null;
  const { made } = plan;
  const operations = made ? operationsOf(made) : 0;
  return {
    construction: construction.name,
    title: construction.title,
    design,
    paper: made ? made.pieces.reduce((sum, { piece }) => sum + piece.blank.width * piece.blank.height, 0) : Infinity,
    wraps: made ? goesRound(made) : false,
    operations,
    difficulty: operations > 24 ? 'patient' : operations > 11 ? 'some care' : 'quick',
    finished: made?.finished ?? { width: mm(0), height: mm(0) },
    largest: made ? { width: made.largest.width, height: made.largest.height } : { width: mm(0), height: mm(0) },
    picture: made ? pictureOf(made) : null,
    obstacle: failed,
  };
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
 * Which of many papers can hold the contents, as which construction: screened by drawing each construction's blanks
 * once, without folding. What is then shown is planned, folded and proved one by one. Best use of the paper first.
 */
export function papersFor(
  question: Question & { readonly contents: NonNullable<Question['contents']> },
  papers: readonly { readonly width: Mm; readonly height: Mm }[],
): readonly PaperChoice[] {
  const patterns = CONSTRUCTIONS.flatMap((construction) => {
    const read = readDesign({ version: 1, construction: construction.name, ...question });
    if (!read.ok) return [];
    const result = drawn(construction, briefFor(read.design));
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
  const designs = CONSTRUCTIONS.flatMap((construction): Design[] => {
    const read = readDesign({
      version: 1,
      construction: construction.name,
      ...question,
      blank: { width: mm(100), height: mm(100) },
    });
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

/** A band that lets things stick out, or a wrap that is glued round them for good. */
const goesRound = ({ built: { cavities } }: Made): boolean => {
  const [cavity] = cavities;
  if (!cavity) return false;
  return cavity.insertAfter === 'flat' || cavity.through === true;
};
