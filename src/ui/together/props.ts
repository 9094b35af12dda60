import type { SetInput } from '@/core/sets';
import type { ViewName } from '../parts/views';
import type { PlannedSet } from '../parts/plans';

/** What everything about the whole set is drawn from and changes. */
export interface TogetherProps {
  readonly whole: PlannedSet;
  /** The project's id. */
  readonly id: string;
  /** The part on the table. */
  readonly part: string;
  /** Changes the set as it stands this moment; changes with the same key in one go undo together. */
  readonly onSet: (change: (set: SetInput) => SetInput, key: string) => void;
  /** Lays a part on the table. */
  readonly onShow: (part: string, then?: ViewName) => void;
}
