/** What goes round a packet of some thickness: a wrap with a crease at each of the packet's four edges. */
import type { AssemblyRaise, BoxCavity } from '../../fold';
import { mm, type Mm } from '../../length';
import { LEAST, rect, type FoldLine, type Panel } from '../../pattern';
import { raiseStep, segment } from '../shared/building';
import type { Brief } from '../shared/construction';
import { onMark } from '../shared/sizing';

/** Packets thicker than this want four creases, mm. Common practice 1/8 in. */
const CREASED = 3;

/** How broad the sides of a wrap round the contents are, mm; 0 where these are thin and one fold at each edge does. */
export const sideFor = (brief: Brief): Mm =>
  brief.thickness > CREASED
    ? onMark(Math.max(brief.thickness + brief.caliper, brief.deep, LEAST.folded.warns), brief, 'up')
    : mm(0);

/** A wrap that stands round its packet, mm along the strip: ends, sides and front, and how tall the strip is. */
interface Wrap {
  readonly first: number;
  readonly side: number;
  readonly width: number;
  readonly second: number;
  readonly tall: number;
  /** Its cavity's name. */
  readonly id: string;
  /** Whatever is wrapped may stand out at both ends. */
  readonly through: boolean;
}

/** The parts of a wrap from its first end to the front, those after the front, and how it is raised. */
export interface Wrapped {
  readonly front: readonly Panel[];
  readonly frontFolds: readonly FoldLine[];
  /** With the place along the strip where they start. */
  readonly rest: (from: number) => readonly Panel[];
  /** @param on the panel they hang on */
  readonly restFolds: (on: string) => readonly FoldLine[];
  readonly steps: readonly AssemblyRaise[];
  readonly cavity: BoxCavity;
  /** Length of the whole strip, mm. */
  readonly length: number;
}

/** Draws a wrap: end, side, front, side and end in a row; the ends lap on the packet's back. */
export function drawWrap({ first, side, width, second, tall, id, through }: Wrap): Wrapped {
  const [x1, x2, x3] = [first, first + side, first + side + width];
  return {
    front: [
      { id: 'front', name: 'front', polygon: rect(x2, 0, x3, tall) },
      { id: 'side-1', name: 'first side', polygon: rect(x1, 0, x2, tall) },
      { id: 'end-1', name: 'first end', polygon: rect(0, 0, x1, tall) },
    ],
    frontFolds: [
      { id: 's-side-1', between: ['front', 'side-1'], angle: 90 },
      { id: 's-end-1', between: ['side-1', 'end-1'], angle: 90 },
    ],
    rest: (from) => [
      { id: 'side-2', name: 'second side', polygon: rect(from, 0, from + side, tall) },
      { id: 'end-2', name: 'second end', polygon: rect(from + side, 0, from + side + second, tall) },
    ],
    restFolds: (on) => [
      { id: 's-side-2', between: [on, 'side-2'], angle: 90 },
      { id: 's-end-2', between: ['side-2', 'end-2'], angle: 90 },
    ],
    steps: [
      raiseStep('raise-sides', 'Raise both sides', [['s-side-1'], ['s-side-2']]),
      raiseStep('fold-end-1', 'Fold the first end over', [['s-end-1']]),
      raiseStep('fold-end-2', 'Fold the second end over it', [['s-end-2']], {
        joins: [{ panel: 'end-2', onto: 'end-1', face: 'outside' }],
      }),
    ],
    cavity: {
      kind: 'box',
      id,
      floor: 'front',
      across: segment(x2, tall / 2, x3, tall / 2),
      tall: 'side-1',
      onEdge: false,
      insertAfter: 'fold-end-2',
      from: 'end',
      ...(through && { through }),
    },
    length: x3 + side + second,
  };
}
