import type { LogEntry } from '@/core/files';
import { mm, sayThin, type Units } from '@/core/length';
import type { Design } from '@/core/design';
import type { Made } from '@/core/plan';

/** What a plan itself tells for the log: the holder, what it was made for, the room it left, the paper. */
export function plannedEntry(
  name: string,
  made: Made,
  design: Design,
  units: Units,
): Pick<LogEntry, 'name' | 'construction' | 'contents' | 'room' | 'paper'> {
  const { width, height } = design.contents ?? made.largest;
  const { paper } = design;
  return {
    name: name.slice(0, 120) || 'Untitled',
    construction: design.construction.name,
    contents: { width: mm(Math.max(1, width)), height: mm(Math.max(1, height)), thickness: design.thickness },
    // Asked from the paper, nobody knows yet what went in: such a make is no evidence about room.
    room: made.fit ? { ...made.fit.ease } : null,
    paper: paper.width !== undefined ? `paper of ${sayThin(paper.caliper, units)}` : '',
  };
}
