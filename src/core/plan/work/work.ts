import type { Decoration } from '../design/extras';
import { pieceOf, type MadePiece, type Plan } from '../plan';
import { closurePlan, type ClosurePlan } from './closures';
import { companionsOf, type Companion } from './companions';
import { inOrder, type Operation } from './order';

/** Cutting the blanks, working on the flat sheets, folding and gluing. */
export type Phase = 'cut' | 'flat' | 'fold';

/** One thing that is done on the way, by what it works on. Stages are those of the folding, flat or in space. */
type Done =
  | { readonly do: 'cut'; readonly part: MadePiece }
  /** All moves of the tool on the flat sheet. */
  | { readonly do: 'flat'; readonly part: MadePiece }
  | { readonly do: 'decorate'; readonly part: MadePiece; readonly what: Decoration }
  | { readonly do: 'fold'; readonly stage: number }
  | { readonly do: 'raise'; readonly stage: number }
  /** What is laid down before the first wall stands. */
  | { readonly do: 'lay-contents' }
  | { readonly do: 'companion'; readonly companion: Companion }
  | { readonly do: 'closure'; readonly closure: ClosurePlan }
  | { readonly do: 'glue-mat' };

export type Work = Operation & { readonly phase: Phase } & Done;

/**
 * Everything a make takes, in an order that can be followed: each operation names what must come before it. A piece is
 * cut before it is scored, flat work and looks come before folding, a pile waits for the step that worked on it last, a
 * ribbon is laid before the mat that covers it.
 */
export function workOf({ made, design }: Plan): readonly Work[] {
  if (!made) return [];
  const byPiece = design.order === 'by-piece';
  const { stages } = made.folded;
  const raised = made.folded.standing?.stages ?? [];
  const work: Work[] = made.pieces.flatMap((part, i): Work[] => {
    const { name } = part.piece;
    const rank = byPiece ? 2 * i + 1 : 1 + i;
    return [
      { do: 'cut', part, id: `cut ${name}`, phase: 'cut', after: [], rank: byPiece ? 2 * i : 0 },
      { do: 'flat', part, id: `flat ${name}`, phase: 'flat', after: [`cut ${name}`], rank },
      // Looks come while the piece is flat and cut out: neither inks nor dies reach a folded edge.
      ...design.decorate.map((what): Work => {
        return { do: 'decorate', part, what, id: `${what} ${name}`, phase: 'flat', after: [`flat ${name}`], rank };
      }),
    ];
  });
  const own = new Set(made.pieces.map(({ piece }) => piece.name));
  /** What was done before a piece was bought is behind already. */
  const toCome = new Set([...stages, ...raised].map(({ step }) => step.id));
  // A pile waits for the flat work of its pieces, and for the step that worked on it last.
  const lastOn = new Map<string, string>();
  const floor = made.pieces.length * 2 + 1;
  stages.forEach(({ step, stack }, i) => {
    const pieces = [...new Set(stack.layers.map(({ piece }) => piece))];
    const after = pieces.flatMap((name) => [
      // What is bought, or there already, is not cut or scored; it waits for what was done to it all the same.
      ...(own.has(name) ? [`flat ${name}`, ...design.decorate.map((what) => `${what} ${name}`)] : []),
      ...(lastOn.has(name) ? [lastOn.get(name)!] : []),
    ]);
    work.push({
      do: 'fold',
      stage: i,
      id: step.id,
      phase: 'fold',
      after: [...new Set([...after, ...(step.after ?? []).filter((id) => toCome.has(id))])],
      rank: floor + i,
    });
    for (const name of pieces) lastOn.set(name, step.id);
  });
  const risen = floor + stages.length;
  const [cavity] = made.built.cavities;
  const layFirst = cavity?.insertAfter === 'flat';
  raised.forEach(({ step, motions }, i) => {
    const moved = new Set(motions.flatMap(({ moving }) => [...moving]));
    const pieces = made.pieces.filter(({ piece }) => piece.panels.some(({ id }) => moved.has(id)));
    work.push({
      do: 'raise',
      stage: i,
      id: step.id,
      phase: 'fold',
      // In space one thing is done after the other, once all the flat work on what moves is done.
      after: [
        ...pieces.map(({ piece }) => `flat ${piece.name}`),
        ...stages.map((stage) => stage.step.id),
        ...(i > 0 ? [raised[i - 1]!.step.id] : []),
        ...(layFirst && i === 0 ? ['lay contents'] : []),
      ],
      rank: risen + i + 1,
    });
  });
  if (layFirst) {
    const { name } = pieceOf(made.built, cavity.floor);
    work.push({ do: 'lay-contents', id: 'lay contents', phase: 'fold', after: [`flat ${name}`], rank: risen });
  }
  const finished = [...stages, ...raised].map(({ step }) => step.id);
  const last = risen + raised.length + 1;
  const companions = companionsOf(made, design);
  for (const companion of companions)
    work.push({
      do: 'companion',
      companion,
      id: `companion ${companion.name}`,
      phase: 'fold',
      after: [],
      rank: last + 1,
    });
  const hasMat = companions.some(({ name }) => name === 'mat');
  const closure = closurePlan(made, design);
  const closes = closure !== null && closure.trouble === null;
  // A ribbon under a mat is laid before the mat; everything else closes what is finished.
  const under = closes && closure.kind === 'ribbon';
  if (closes) {
    const after = under || !hasMat ? finished : [...finished, 'glue mat'];
    work.push({ do: 'closure', closure, id: 'closure', phase: 'fold', after, rank: last + 3 });
  }
  if (hasMat) {
    const after = [...finished, 'companion mat', ...(under ? ['closure'] : [])];
    work.push({ do: 'glue-mat', id: 'glue mat', phase: 'fold', after, rank: last + 2 });
  }
  return inOrder(work);
}
