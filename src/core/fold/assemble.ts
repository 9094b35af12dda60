import type { Piece } from '../pattern';
import { contactsUnder, type Contact } from './contact';
import { foldOver, type Fold, type FoldProblem } from './foldOver';
import { flatStack, type Joint, type Stack } from './stack';

/** One action of putting a piece together. A fold may carry glue, put on before it is laid down. */
export interface AssemblyFold extends Fold {
  /** What a maker calls it: `Fold the left flap over`. */
  readonly name: string;
  /** Panels the moving flap is glued to as it comes down. */
  readonly gluedTo?: readonly string[];
  /** Set on the fold that closes the holder over its contents. */
  readonly closes?: boolean;
}

/** The piece after one fold, with what a glued flap came down on. */
export interface Stage {
  readonly fold: AssemblyFold;
  readonly stack: Stack;
  readonly contacts: readonly Contact[];
}

/** A piece folded from flat to finished: every stage, and every fold that could not be made. */
export interface Folded {
  readonly flat: Stack;
  readonly stages: readonly Stage[];
  readonly finished: Stack;
  readonly problems: readonly FoldProblem[];
}

/** Folds a piece step by step; glue joints are read off where the paper really meets. */
export function assemble(piece: Piece, folds: readonly AssemblyFold[]): Folded {
  const flat = flatStack(piece);
  const stages: Stage[] = [];
  const problems: FoldProblem[] = [];
  let stack = flat;
  for (const fold of folds) {
    const folded = foldOver(stack, fold);
    problems.push(...folded.problems);
    const { gluedTo } = fold;
    const contacts = gluedTo
      ? fold.moving.flatMap((panel) => contactsUnder(folded.stack, panel)).filter((contact) => !isOwn(fold, contact))
      : [];
    const joints = contacts
      .filter((contact) => contact.onto !== null && gluedTo?.includes(contact.onto))
      .map((contact): Joint => ({
        id: `glue-${contact.panel}-${contact.onto}`,
        panel: contact.panel,
        onto: contact.onto!,
        polygons: contact.polygons,
      }));
    stack = { ...folded.stack, joints: [...folded.stack.joints, ...joints] };
    stages.push({ fold, stack, contacts });
  }
  return { flat, stages, finished: stack, problems };
}

/** Paper that moved together does not meet itself anew. */
const isOwn = (fold: AssemblyFold, contact: Contact): boolean =>
  contact.onto !== null && fold.moving.includes(contact.onto);

/** The stage after the fold of that id. Throws when no fold has it. */
export function stageAfter(folded: Folded, fold: string): Stage {
  const stage = folded.stages.find((s) => s.fold.id === fold);
  if (!stage) throw new Error(`no fold is called ${fold}`);
  return stage;
}
