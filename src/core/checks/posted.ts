import { constructionNamed } from '../constructions';
import { holdOf, type OpenCavity } from '../fit';
import type { Check } from './check';
import { calipersOf, type Design } from '../design';
import type { Made, Plan } from '../plan';

/** A plan and its checks as plain data, as one thread hands them to another: a holder by its name, no open cavities. */
export interface PostedPlan {
  readonly design: Omit<Design, 'construction'> & { readonly construction: string };
  readonly made: Omit<Made, 'holds'> | null;
  readonly refusal: Plan['refusal'];
  readonly checks: readonly Check[];
}

/** Makes a plan ready to be handed over. */
export function postPlan({ design, made, refusal }: Plan, checks: readonly Check[]): PostedPlan {
  const { construction, ...rest } = design;
  const { holds: _, ...data } = made ?? { holds: [] };
  return {
    design: { ...rest, construction: construction.name },
    made: made && (data as Omit<Made, 'holds'>),
    refusal,
    checks,
  };
}

/** The plan that was handed over; its cavities are opened when they are asked for. */
export function receivePlan({ design, made, refusal, checks }: PostedPlan): {
  readonly plan: Plan;
  readonly checks: readonly Check[];
} {
  const construction = constructionNamed(design.construction);
  if (!construction) throw new Error(`a plan of ${design.construction} was handed over, and no such holder is known`);
  const own: Design = { ...design, construction };
  let holds: readonly OpenCavity[] | null = null;
  const whole = made && {
    ...made,
    get holds(): readonly OpenCavity[] {
      return (holds ??= made.built.cavities.map((cavity) => holdOf(made.folded, cavity, calipersOf(own))));
    },
  };
  return { plan: { design: own, made: whole, refusal } as Plan, checks };
}
