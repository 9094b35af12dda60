import type { PanelId } from '../../pattern';
import { anticlockwise, applyAll, difference, invert, plainRings, sharedRegion, type Polygon } from '../../geometry';
import { layerOf, levelOf, type Side, type Stack } from './stack';

/** Where one panel lies face to face with another: on the flat sheet of the first. */
export interface Contact {
  readonly panel: PanelId;
  /** The panel it meets, or null where there is nothing but the table, or air. */
  readonly onto: PanelId | null;
  /** The face of `panel` that lies there. */
  readonly side: Side;
  readonly polygons: readonly Polygon<'sheet'>[];
}

/**
 * What lies directly under a panel (or over it), place by place, from the stack alone. Polygons are on the flat
 * sheet, so that glue can be drawn where it is put on before folding.
 */
export function contactsOf(stack: Stack, panel: PanelId, where: 'under' | 'over'): readonly Contact[] {
  const level = levelOf(stack, panel);
  const { map, polygon, up } = layerOf(stack, panel);
  const side = (up === 'outside') === (where === 'under') ? 'inside' : 'outside';
  const back = invert(map);
  const onSheet = (region: readonly Polygon<'folded'>[]): Polygon<'sheet'>[] =>
    plainRings(region).map((ring) => anticlockwise(applyAll<'sheet'>(back, ring)));
  const contacts: Contact[] = [];
  let rest: readonly Polygon<'folded'>[] = [polygon];
  const others = where === 'under' ? stack.layers.slice(0, level).reverse() : stack.layers.slice(level + 1);
  for (const other of others) {
    const shared = sharedRegion(rest, [other.polygon]);
    if (shared.length === 0) continue;
    contacts.push({ panel, onto: other.panel, side, polygons: onSheet(shared) });
    rest = difference(rest, [other.polygon]);
    if (rest.length === 0) break;
  }
  if (rest.length > 0) contacts.push({ panel, onto: null, side, polygons: onSheet(rest) });
  return contacts;
}
