import type { PanelId, PanelName } from '../../pattern';
import { inView, layerOf, mouthView } from '../../fold';
import { boxOf, TOLERANCE } from '../../geometry';
import { inches } from '../../length';
import type { ClaimType } from './claim';

/** A panel that moves in a channel between two others. */
export interface Slides {
  readonly kind: 'slides';
  readonly panel: PanelId;
  readonly between: readonly [string, string];
}
export interface SlidesFacts {
  slides: { readonly panel: PanelName };
}

/** A slider with more room than this rattles, mm. Common practice 1/4 in. */
const LOOSE = inches(1 / 4);
/** Least room a slider moves with, mm. Common practice 1/16 in, half of it at least. */
const SLIDE_LEAST = inches(1 / 32);

export const slides: ClaimType<Slides, SlidesFacts> = {
  of: 'pile',
  measure: ({ panel, between }, { folded: { finished }, cavity, name }) => {
    if (!cavity || cavity.kind === 'box') return [];
    const view = mouthView(finished, cavity);
    const deep = (id: string): number => {
      const { minY, maxY } = boxOf(layerOf(finished, id).polygon.map((p) => inView(view, p)));
      return maxY - minY;
    };
    // It runs the way its channel is open: the runner's end reaches the channel's there.
    const value = deep(between[0]) - deep(panel);
    const level = value < SLIDE_LEAST - TOLERANCE.folded ? 'fail' : value > LOOSE + TOLERANCE.folded ? 'warn' : 'pass';
    return [{ kind: 'slides', at: panel, level, value, limit: SLIDE_LEAST, about: { panel: name(panel) } }];
  },
  words: {
    slides: ({ level, value, limit, about: { panel } }, say) =>
      level === 'fail'
        ? `The ${panel} has only ${say(value)} of room in its channel and will stick: ${say(limit, 'up')} at least.`
        : level === 'warn'
          ? `The ${panel} has ${say(value)} of room in its channel and will rattle.`
          : `The ${panel} slides in its channel with ${say(value)} of room.`,
  },
};
