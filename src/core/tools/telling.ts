import type { Say } from '../length';
import type { Edge } from '../pattern';
import type { Stretch } from './move';
import type { RulerReading } from './tool';

/** Where a score that does not run all along starts and stops, measured from the edge that is near. */
export const partWay = (only: Stretch | undefined, edge: Edge, say: Say): string =>
  only ? `, only from ${say(only.from)} to ${say(only.to)} up from edge ${edge}` : '';

/** Where to start and stop, read up from the edge that is near. */
export const stretchReadings = (only: Stretch | undefined, edge: Edge): RulerReading[] =>
  only
    ? [
        { at: only.from, on: 'ruler', what: `up from edge ${edge}, to start` },
        { at: only.to, on: 'ruler', what: `up from edge ${edge}, to stop` },
      ]
    : [];
