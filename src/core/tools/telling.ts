import type { Say } from '../length';
import type { Stretch } from './move';
import type { RulerReading } from './tool';

/** Where a score that does not run all along starts and stops. */
export const partWay = (only: Stretch | undefined, say: Say): string =>
  only ? `, only from ${say(only.from)} to ${say(only.to)} up from the near edge` : '';

/** Where to start and stop, read up from the near edge. */
export const stretchReadings = (only: Stretch | undefined): RulerReading[] =>
  only
    ? [
        { at: only.from, on: 'ruler', what: 'up from the near edge, to start' },
        { at: only.to, on: 'ruler', what: 'up from the near edge, to stop' },
      ]
    : [];
