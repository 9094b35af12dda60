import type { DesignInput } from '@/core/plan';
import { kitOf, type Toolbox } from '@/core/tools';

/** A design as it is planned at this table: with what else is out today laid beside it. Nothing of it is stored. */
export const withKit = (design: DesignInput, toolbox: Toolbox | null): DesignInput =>
  toolbox ? { ...design, kit: kitOf(toolbox) } : design;
