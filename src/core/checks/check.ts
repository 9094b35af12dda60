import type { AskedKind, ClaimFacts, Facts, Finding, FindingOf, Level, OwnFacts } from '../constructions';
import type { Fault, Tool, ToolLimitFacts } from '../tools';
import { usualUnits, usualWords, type Graduation, type Mm } from '../length';
import { type DesignChange, constructionOptions, type Design } from '../design';

export { type Level } from '../constructions';

/** A change to the design that would cure a problem; one of the construction's own brings its label. */
export type Remedy = { readonly change: DesignChange } & (
  | { readonly code: 'cure'; readonly label: string }
  | { readonly code: 'other_paper'; readonly name: string }
  | { readonly code: 'square_blank'; readonly side: Mm }
  | { readonly code: 'larger'; readonly of: 'contents' | 'blank'; readonly side: 'width' | 'height'; readonly to: Mm }
  | { readonly code: 'from_contents' }
  | { readonly code: 'turn_blank'; readonly quarters: number }
  | { readonly code: 'turn_all' }
  | { readonly code: 'back_with_mat' }
  | { readonly code: 'narrower_tape'; readonly width: Mm }
  | { readonly code: 'wet_glue' }
  | { readonly code: 'no_closure' }
  | { readonly code: 'move_disc'; readonly to: Mm }
  | { readonly code: 'cut_discs' }
  | { readonly code: 'smaller_discs'; readonly to: Mm }
  | { readonly code: 'own_size'; readonly what: 'punch' | 'corner rounder'; readonly size: Mm }
  | { readonly code: 'groove_marks'; readonly pitch: Mm }
  | { readonly code: 'finer_marks'; readonly graduation: Graduation }
  | { readonly code: 'less_room' }
  | { readonly code: 'turned'; readonly what: 'contents' | 'sheet' }
  | { readonly code: 'usual_options' }
  | { readonly code: 'usual_option'; readonly title: string }
  | { readonly code: 'smaller_part'; readonly title: string; readonly to: Mm }
  | { readonly code: 'more_sheets'; readonly sheets: number }
  | { readonly code: 'all_from_one' }
  | { readonly code: 'own_paper'; readonly name: string }
  | { readonly code: 'other_holder'; readonly title: string }
  | { readonly code: 'other_sheet'; readonly width: Mm; readonly height: Mm }
);
/** Everything that can be found of a plan: of the holder and its paper, and of the tool it is made with. */
export interface PlanFacts extends Facts, ToolLimitFacts {
  /** `piece` where there are several. */
  'tool-proof': { readonly fault: Fault | null; readonly piece: string | null; readonly tool: Tool['kind'] };
}
type PlanKind = keyof PlanFacts;

/** One thing asked of the folded shape, as data; its sentence is made in words.ts. */
export type CheckOf<Kind extends PlanKind> = Finding<Kind, PlanFacts[Kind]> & {
  /** Its kind, and which of several: `lid-width`, `glue-fold-bottom`. */
  readonly id: string;
  readonly remedies: readonly Remedy[];
};
export type Check = { [Kind in PlanKind]: CheckOf<Kind> }[PlanKind];

export function check<Kind extends PlanKind>(
  kind: Kind,
  level: Level,
  value: number,
  limit: number,
  about: PlanFacts[Kind],
  remedies: readonly Remedy[] = [],
  at?: string,
): Check {
  const id = at === undefined ? kind : `${kind}-${at}`;
  return { kind, id, level, value, limit, about, remedies, ...(at !== undefined && { at }) } as CheckOf<Kind> as Check;
}

/** A check of what a claim found, with what the construction itself offers where it is not as it should be. */
export function claimed(
  { kind, level, value, limit, about, cure, at }: FindingOf<ClaimFacts & OwnFacts>,
  design: Design,
): Check {
  const remedies = level === 'pass' || cure === undefined ? [] : curesFor(design, kind, cure, at);
  return check(kind, level, value, limit, about, remedies, at);
}

/** What the construction itself offers against a check or a refusal. */
export const curesFor = (
  { construction, options, thickness, graduation }: Design,
  problem: AskedKind,
  limit: Mm,
  id: string | undefined = undefined,
): Remedy[] =>
  construction.cures
    .filter((cure) => cure.for === problem && (cure.id === undefined || (cure.id === id && limit > 0.5)))
    .flatMap((cure) => {
      const change = cure.options(limit, options as Readonly<Record<string, unknown>>, { thickness, graduation });
      return change
        ? [{ code: 'cure', label: usualWords(cure.label, usualUnits(graduation)), change: { options: change } }]
        : [];
    });

/** Asks the contents-first question instead: without the sheet, and without what was fixed on it. */
export const fromContents = ({ construction }: Design): Remedy => ({
  code: 'from_contents',
  change: {
    blank: undefined,
    sheets: undefined,
    options: Object.fromEntries(
      constructionOptions(construction.name).flatMap(({ name, onPaper }) => (onPaper ? [[name, undefined]] : [])),
    ),
  },
});
