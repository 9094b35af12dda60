import { expose } from 'comlink';
import { hasPanel, inView, layerOf, layersAt } from '@/core/fold';
import { apply } from '@/core/geometry';
import { type Graduation, type Units, sayer } from '@/core/length';
import { asMade, finishedFront, takingIn } from '@/core/looks';
import { toEnd } from '@/core/progress';
import { pileScene, type Scene } from '@/core/scene';
import { readRescue, waysOut, type Misread, type WayOut, type WaysOut } from '@/core/rescue';
import { greets } from './helper';

/** A way out as it is shown: plain data, because a plan does not survive the crossing. */
export interface ShownWay extends Pick<WayOut, 'kind' | 'title' | 'design' | 'keeps' | 'room' | 'cost' | 'text'> {
  /** The finished thing as it is drawn small: a pile from the side its scars are seen on. */
  readonly picture: Scene | null;
  /** Where the scars are seen from; null where none is. */
  readonly scarred: 'front' | 'back' | null;
}
export interface ShownWays {
  readonly ways: readonly ShownWay[];
  readonly mistakes: readonly { readonly text: string; readonly misread: Misread }[];
  readonly done: number;
}

function shown({ plan, laid, ...way }: WayOut): ShownWay {
  const { made, design } = plan;
  const told = {
    kind: way.kind,
    title: way.title,
    design: way.design,
    keeps: way.keeps,
    room: way.room,
    cost: way.cost,
    text: way.text,
  };
  if (!made) return { ...told, picture: null, scarred: null };
  const whole = (): ShownWay => ({ ...told, picture: takingIn(made, design.contents ?? made.largest), scarred: null });
  if (made.folded.standing) return whole();
  const { sight, on } = finishedFront(made, design, 'whole');
  const { stack, view } = sight;
  // What lies beside the pile is told of in words.
  const inPile = (laid?.showing ?? []).filter(({ panel }) => hasPanel(stack, panel));
  const seen = inPile.flatMap(({ panel, points }) =>
    points.map((p) => {
      const at = apply<'folded'>(layerOf(stack, panel).map, p);
      return {
        face: layersAt(stack, at).at(-1)?.panel === panel ? ('above' as const) : ('below' as const),
        at: inView(view, at),
      };
    }),
  );
  if (seen.length === 0) return whole();
  const above = seen.filter(({ face }) => face === 'above').length;
  const from = above * 2 >= seen.length ? 'above' : 'below';
  const scars = seen.filter(({ face }) => face === from).map(({ at }) => at);
  return {
    ...told,
    picture: asMade(
      made,
      pileScene({ stack, view, from }, { given: on.given, laid: from === sight.from ? on.laid : [], scars }),
    ),
    scarred: from === 'below' ? 'front' : 'back',
  };
}

const rescueWorker = {
  ...greets,
  /** Seeks ways out of a mishap, telling of each that is found; done when all are. */
  seek(document: unknown, units: Units, graduation: Graduation, tell: (ways: ShownWays) => void): string | null {
    const read = readRescue(document);
    if (!read.ok) return read.issues[0]!.message;
    let told = '';
    const show = ({ ways, mistakes, done }: WaysOut): void => {
      const now = `${ways.map(({ title }) => title).join()} ${Math.round(done * 10)}`;
      if (now !== told || done === 1)
        tell({ ways: ways.map(shown), mistakes: mistakes.map(({ text, misread }) => ({ text, misread })), done });
      told = now;
    };
    show(toEnd(waysOut(read.mishap, sayer(units, graduation)), show));
    return null;
  },
};
export type RescueWorker = typeof rescueWorker;
expose(rescueWorker);
