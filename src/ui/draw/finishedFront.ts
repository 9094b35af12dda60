import { seatIn } from '@/core/fit';
import type { Stack, View } from '@/core/fold';
import type { Polygon } from '@/core/geometry';
import {
  basePieces,
  dressing,
  glueAreas,
  inPile,
  insertOf,
  viewOf,
  type ClosurePlan,
  type Design,
  type Finish,
  type Made,
} from '@/core/plan';

type Rect = ReturnType<typeof seatIn>;

/** The finished pile as its front is drawn: what lies in it, what is glued on it, where its paper is glued, what shuts it. */
interface FinishedFront {
  readonly stack: Stack;
  readonly view: View;
  readonly face: 'below' | 'above';
  readonly given: ReadonlySet<string>;
  readonly contents: Rect | null;
  readonly insert: Rect | null;
  readonly glue: readonly Polygon<'folded'>[];
  readonly laid: readonly Polygon<'folded'>[];
  readonly closure: ClosurePlan | null;
}

/** Everything that is drawn on the front of a finished pile, in its view, mm. */
export function finishedFront(made: Made, design: Design, done: Finish): FinishedFront {
  const { built, folded, inside } = made;
  const stack = folded.finished;
  const view = viewOf(built, stack);
  const [cavity] = built.cavities;
  const seat = (size: Parameters<typeof seatIn>[2]): Rect | null =>
    cavity && cavity.kind !== 'box' ? seatIn(cavity, inside, size) : null;
  const insert = insertOf(made, design);
  const { laid, closure } = dressing(made, design, done);
  return {
    stack,
    view,
    face: built.front,
    given: basePieces(built),
    contents: seat(design.contents ?? made.largest),
    insert: insert && seat(insert),
    glue: glueAreas(made).flatMap(({ joint: { panel, polygons } }) => inPile(panel, polygons, stack, view)),
    laid: laid.flatMap(({ panel, polygon }) => inPile(panel, [polygon], stack, view)),
    closure,
  };
}
