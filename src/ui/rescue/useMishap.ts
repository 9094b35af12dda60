import { useMemo } from 'react';
import type { DesignInput } from '@/core/design';
import { mm, sayer, type Graduation } from '@/core/length';
import { stepsOf, type Step } from '@/core/making';
import { onlyHinge } from '@/core/mending';
import type { Panel, Piece } from '@/core/pattern';
import { partNamed } from '@/core/plan';
import { readRescue, sheetAsItIs, type ScarredSheet } from '@/core/rescue';
import { designOf, setOf, type PlannedPart, type SetInput } from '@/core/sets';
import type { PaperRecord, Project } from '@/data/db';
import { takenWays } from '@/data/makes';
import type { Aside } from '@/data/way-out';
import { inputOfPart, planned, usePlannedSet } from '../parts/plans';
import { useStashPapers } from '../parts/useStash';
import { wrongOf, type Told } from './facts';

const NO_SET: SetInput = setOf({ version: 1, construction: 'mat', contents: { width: 50, height: 50 } });

/** A panel that hangs by one fold alone. */
export interface HangingFlap extends Panel {
  readonly score: string;
}

/** A mishap as it is told, and what it may have happened to. */
export interface MishapAsked {
  readonly told: Told;
  readonly aside: Aside | null;
  readonly project: Project | null;
  readonly shelf: readonly Project[];
  readonly graduation: Graduation;
  readonly units: Project['units'];
}

/** A mishap as it is told so far, worked out: what the sheet was to be, and what it is now. */
export interface ToldMishap {
  /** The parts it may have been a part of, and the one it was; none for what is on no shelf. */
  readonly parts: readonly PlannedPart[];
  readonly part: PlannedPart | null;
  readonly design: DesignInput;
  /** The pieces it may have been, and the one it was; none where there is no pattern. */
  readonly pieces: readonly Piece[];
  readonly piece: Piece | null;
  /** Flaps of the piece that could be made anew. */
  readonly flaps: readonly HangingFlap[];
  readonly steps: readonly Step[];
  /** What is asked of the rescue, and why it cannot be asked. */
  readonly document: object | null;
  readonly unread: string | null;
  readonly sheet: ScarredSheet | null;
}

/** Works a told mishap out: what a part or a size changes is planned anew, what a fact changes is only read anew. */
export function useMishap({ told, aside, project, shelf, graduation, units }: MishapAsked): ToldMishap {
  const stash = useStashPapers();
  const source = aside?.make ?? project;
  const whole = usePlannedSet(source?.set ?? NO_SET);
  const parts = useMemo(() => ('plan' in whole ? whole.plan.parts.filter(({ part }) => !part.given) : []), [whole]);
  const part = (source && (parts.find((one) => one.part.id === told.part) ?? parts[0])) ?? null;
  const { construction, width, height } = told;
  const design = useMemo(
    (): DesignInput =>
      source && part
        ? ((aside && ownDesign(aside)) ?? inputOfPart(source.set, part))
        : { version: 1, construction, contents: { width, height }, graduation },
    [source, part, aside, construction, width, height, graduation],
  );
  const say = useMemo(() => sayer(units, graduation), [units, graduation]);
  const made = useMemo(() => {
    const answer = planned(design);
    if (!('plan' in answer) || !answer.plan.made) return null;
    const { plan } = answer;
    const { pieces, layers } = answer.plan.made;
    return {
      plan,
      made: answer.plan.made,
      pieces: [...pieces, ...layers].map((one) => one.piece),
      steps: stepsOf(plan, say),
    };
  }, [design, say]);
  const piece = made && partNamed(made.made, told.piece).piece;
  const flaps = useMemo(
    () =>
      (piece?.panels ?? []).flatMap((panel): HangingFlap[] => {
        const fold = onlyHinge(piece!, panel.id);
        return fold ? [{ ...panel, score: fold.id }] : [];
      }),
    [piece],
  );
  const { step, facts } = told;
  const document = useMemo(() => {
    if (!piece) return null;
    const size = facts.find((fact) => fact.kind === 'blank');
    const blank = size ? { width: mm(size.width), height: mm(size.height) } : piece.blank;
    return {
      version: 1,
      design,
      piece: piece.name,
      ...(step !== null && { step }),
      wrong: wrongOf(facts, blank),
      papers: papersOf(stash),
      others: othersOf(shelf, project),
    };
  }, [piece, design, step, facts, stash, shelf, project]);
  const read = useMemo(() => document && readRescue(document), [document]);
  const sheet = useMemo(
    () => (made && read?.ok ? sheetAsItIs(made.plan, made.made, read.mishap, say) : null),
    [made, read, say],
  );
  return {
    parts: source ? parts : [],
    part,
    design,
    pieces: made?.pieces ?? [],
    piece,
    flaps,
    steps: made?.steps ?? [],
    document,
    unread: read && !read.ok ? read.issues[0]!.message : null,
    sheet,
  };
}

/** The design a copy in a make goes by: its own, where it went its own way before. */
const ownDesign = ({ make, sheet }: Aside): DesignInput | null =>
  takenWays(make).findLast(({ part, copy }) => part === sheet.part && copy === sheet.copy)?.design ?? null;

const MOST = 20;
/** Papers of the stash for a new one. */
const papersOf = (stash: readonly PaperRecord[]): object[] =>
  stash
    .slice(0, MOST)
    .map(({ name, width, height, caliper }) => ({ name: name.slice(0, 120), width, height, caliper }));

/** What else on the shelf goes into something: it may go into this. */
function othersOf(shelf: readonly Project[], project: Project | null): object[] {
  const sizes = shelf
    .filter((one) => one !== project)
    .flatMap(({ name, set }) =>
      set.parts.flatMap((part) => {
        const { contents } = designOf(set, part);
        const { width, height, thickness = 0 } = contents ?? {};
        return typeof width === 'number' && typeof height === 'number' && !part.given
          ? [{ width, height, thickness, name: `what goes into “${name.slice(0, 30)}”` }]
          : [];
      }),
    );
  return sizes.slice(0, 6);
}
