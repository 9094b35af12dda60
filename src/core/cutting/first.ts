/** A first layout, at once and without the solver: few sheets, not proved to be the fewest. */
import type { CutList, Layout } from './cut-list';
import { packing } from './pack';

export function firstLayout(list: CutList): Layout {
  const { value } = packing(list, null).next();
  return 'layout' in value ? value.layout : value;
}
