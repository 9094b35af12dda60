import { anticlockwise, applyAll, difference, invert, plainRings, sharedRegion, type Polygon } from '../geometry';
import { layerOf, levelOf, type Stack } from './stack';

/** Where one panel lies face to face on another: on the flat sheet of the upper panel. */
export interface Contact {
  readonly panel: string;
  /** The panel underneath, or null where there is nothing but the table. */
  readonly onto: string | null;
  readonly polygons: readonly Polygon<'sheet'>[];
}

/**
 * What lies directly under a panel, place by place, from the stack alone. Polygons are on the flat sheet, so
 * that glue can be drawn where it is put on before folding.
 */
export function contactsUnder(stack: Stack, panel: string): readonly Contact[] {
  const level = levelOf(stack, panel);
  const { map, polygon } = layerOf(stack, panel);
  const back = invert(map);
  const onSheet = (region: readonly Polygon<'folded'>[]): Polygon<'sheet'>[] =>
    plainRings(region).map((ring) => anticlockwise(applyAll<'sheet'>(back, ring)));
  const contacts: Contact[] = [];
  let rest: readonly Polygon<'folded'>[] = [polygon];
  for (const below of stack.layers.slice(0, level).reverse()) {
    const shared = sharedRegion(rest, [below.polygon]);
    if (shared.length === 0) continue;
    contacts.push({ panel, onto: below.panel, polygons: onSheet(shared) });
    rest = difference(rest, [below.polygon]);
    if (rest.length === 0) break;
  }
  if (rest.length > 0) contacts.push({ panel, onto: null, polygons: onSheet(rest) });
  return contacts;
}
