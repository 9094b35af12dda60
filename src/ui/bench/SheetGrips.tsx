import type { Grip } from '@/core/constructions';
import { middle, type Point } from '@/core/geometry';
import { stepOf } from '@/core/length';
import type { Made } from '@/core/plan';
import { Grab } from '../draw/Grab';
import { useUnits } from '../parts/InUnits';
import type { SheetSeat } from '@/core/looks';
import { scoresOf, type Scene } from '@/core/scene';
import type { OnScreen } from '../draw/SceneDrawn';
import type { Dragging } from './useDrag';

interface GripsProps {
  readonly sight: OnScreen;
  readonly dragging: Dragging;
  /** The scale is held while something is dragged. */
  readonly onHold: (held: boolean) => void;
}

/** The folds that can be pulled. */
export function FoldGrips({
  made,
  scene,
  sight: { at, scale },
  dragging: { onFold },
  onHold,
}: GripsProps & { readonly made: Made; readonly scene: Scene }) {
  const { graduation, say } = useUnits();
  const step = stepOf(graduation) || 1;
  return made.built.grips.map((grip: Grip) => {
    const score = scoresOf(scene).find(({ id }) => id === grip.hinge);
    if (!score) return null;
    const { along, does } = grip;
    const ease = made.fit?.ease;
    return (
      <Grab
        key={`${grip.hinge}-${grip.label}`}
        at={at(middle(score.from, score.to))}
        label={`Score ${score.number}: ${grip.label}`}
        text={does.kind === 'option' ? say(does.from) : `room ${say(ease?.width ?? 0)} by ${say(ease?.height ?? 0)}`}
        value={does.kind === 'option' ? does.from : (ease?.[does.side] ?? 0)}
        onStart={() => {
          onHold(true);
          onFold(grip, 0, 'start');
        }}
        onDrag={(dx, dy) => onFold(grip, (dx * along.x - dy * along.y) / scale, 'move')}
        onEnd={() => {
          onHold(false);
          onFold(grip, 0, 'end');
        }}
        onStep={(dx, dy) => {
          // Along the fold's own way where the key points that way, else more for up and right.
          const way = dx * along.x + dy * along.y;
          const by = (Math.abs(way) > 0.1 ? Math.sign(way) : dx + dy) * step;
          onFold(grip, by / Math.abs(does.rate), 'step');
        }}
      />
    );
  });
}

/** The corner of the contents, pulled to make them larger or smaller. */
export function ContentsGrip({
  seat,
  sight: { at, scale },
  dragging: { onContents },
  onHold,
}: GripsProps & { readonly seat: SheetSeat }) {
  const { graduation, say } = useUnits();
  const step = stepOf(graduation) || 1;
  const { corner, heart, across, deep, width, height } = seat;
  return (
    <Grab
      at={at(corner)}
      label="Corner of the contents: drag to resize"
      text={`${say(width)} by ${say(height)}`}
      value={width}
      corner
      onStart={() => {
        onHold(true);
        onContents(0, 0, 'start');
      }}
      onEnd={() => onHold(false)}
      onDrag={(dx, dy) => {
        const pull = { x: dx / scale, y: -dy / scale };
        const outward = (axis: Point): number =>
          Math.sign((corner.x - heart.x) * axis.x + (corner.y - heart.y) * axis.y) *
          (pull.x * axis.x + pull.y * axis.y);
        onContents(2 * outward(across), 2 * outward(deep), 'move');
      }}
      onStep={(dx, dy) => onContents(dx * step, dy * step, 'step')}
    />
  );
}
