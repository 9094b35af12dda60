import { sideOf, type Polygon, type Segment, TOLERANCE } from '../../geometry';
import { inches, type Mm } from '../../length';
import type { FoldLine, Panel, Trim } from '../../pattern';
import { refuse } from './building';
import type { BuildResult, Refusal } from './construction';
import { roundFree } from './corners';
import { idleNotch } from './finger-notch';
import { lengthOption } from './options';

/** The corner radius any closing flap may have. */
export const cornerOption = (fallback = inches(1 / 8)) =>
  lengthOption(
    'Corner radius',
    'A rounded closing flap does not catch or fray; 0 leaves it sharp.',
    fallback,
    { least: 0 },
    { madeWith: 'corner rounder' },
  );

/** A flap with the corners away from its fold rounded, and what comes off. */
export function roundedFlap(
  shape: Polygon<'sheet'>,
  foldLine: Segment<'sheet'>,
  radius: Mm,
  id: string,
  name: string,
):
  | { readonly ok: true; readonly polygon: Polygon<'sheet'>; readonly trims: readonly Trim[] }
  | { readonly ok: false; readonly refusal: Refusal } {
  if (radius === 0) return { ok: true, polygon: shape, trims: [] };
  const outward = shape.some((p) => sideOf(foldLine, p) > TOLERANCE.length);
  const away = outward ? { from: foldLine.to, to: foldLine.from } : foldLine;
  const rounded = roundFree(shape, away, radius, `round-${id}`, name);
  if ('limit' in rounded)
    return { ok: false, refusal: { code: 'corner-too-round', value: radius, limit: rounded.limit } };
  return { ok: true, ...rounded };
}

/** What a closing flap adds to the piece it hangs on: nothing where there is none. */
interface ClosingFlap {
  readonly ok: true;
  readonly panels: readonly Panel[];
  readonly folds: readonly FoldLine[];
  readonly trims: readonly Trim[];
}

/** A closing flap on the fold between it and the panel `on`; left out where it has no depth. */
export function closingFlap(
  on: string,
  depth: number,
  shape: Polygon<'sheet'>,
  foldLine: Segment<'sheet'>,
  radius: Mm,
): ClosingFlap | { readonly ok: false; readonly refused: BuildResult } {
  if (depth <= 0) return { ok: true, panels: [], folds: [], trims: [] };
  const flap = roundedFlap(shape, foldLine, radius, 'closing', 'closing flap');
  if (!flap.ok) return { ok: false, refused: refuse(flap.refusal) };
  return {
    ok: true,
    panels: [{ id: 'closing', name: 'closing flap', polygon: flap.polygon }],
    folds: [{ id: 's-closing', between: [on, 'closing'] }],
    trims: flap.trims,
  };
}

/** What changes nothing of a holder that has a closing flap, or a finger notch where it is left open. */
export const idleWithFlap = (options: { readonly closingFlap: Mm; readonly fingerNotch: Mm }): readonly string[] =>
  options.closingFlap > 0 ? ['fingerNotch', 'notchDepth', 'notchWhen'] : ['corner', ...idleNotch(options)];
