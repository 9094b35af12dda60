import type { SetInput } from '@/core/sets';
import { kitOf, type Toolbox } from '@/core/tools';

/** A set as it is planned at this table: with what else is out today laid beside it. Nothing of it is stored. */
export const withKit = (set: SetInput, toolbox: Toolbox | null): SetInput =>
  toolbox ? { ...set, kit: kitOf(toolbox) } : set;

/** A set as it is kept: without what only lies beside it today. */
export const withoutKit = ({ kit: _, ...set }: SetInput): SetInput => set;
