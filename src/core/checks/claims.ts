import type { PanelId, PanelName } from '../pattern';
import { measured } from '../constructions';
import { calipersOf, type Design } from '../design';
import { type Made, panelName } from '../plan';
import { claimed, type Check } from './check';

/** What the construction promises of the pile, or of what stands, measured on the folded thing. */
export function claimChecks(of: 'pile' | 'standing', design: Design, { built, folded }: Made): Check[] {
  if (of === 'standing' && !folded.standing) return [];
  const name = (panel: PanelId): PanelName => panelName(built, panel);
  const thing = { folded, cavity: built.cavities[0], caliper: calipersOf(design), name };
  return measured(built.claims, of, thing, design.construction.claims).map((finding) => claimed(finding, design));
}
