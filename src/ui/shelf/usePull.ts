import { drag } from 'd3-drag';
import { select } from 'd3-selection';
import { createContext, useContext, useEffect, useRef, useState, type RefObject } from 'react';

/** A card is pulled once the pointer went so far, px: before that it is pressed. */
const PULLED = 10;

interface Pulling {
  /** The card that one is pulled over. */
  readonly over: string | null;
  readonly onOver: (id: string | null) => void;
  readonly onDrop: (pulled: string, onto: string) => void;
}

/** What the cards of a shelf know of each other while one is pulled. */
export const PullContext = createContext<Pulling>({ over: null, onOver: () => undefined, onDrop: () => undefined });

/** The card that lies under a point of the page, besides that one. */
const cardAt = (x: number, y: number, pulled: Element): string | null =>
  document
    .elementsFromPoint(x, y)
    .map((element) => element.closest<HTMLElement>('[data-card]'))
    .find((card) => card && card !== pulled)?.dataset.card ?? null;

/**
 * A card that is pulled with the mouse and let go over another; a finger moves the page. Gives how far it is from where it lies,
 * px, null while it lies there; and whether another is pulled over it.
 */
export function usePull(
  card: RefObject<HTMLElement | null>,
  id: string,
): { readonly by: readonly [number, number] | null; readonly over: boolean } {
  const pulling = useContext(PullContext);
  const latest = useRef(pulling);
  useEffect(() => {
    latest.current = pulling;
  });
  const [by, setBy] = useState<readonly [number, number] | null>(null);
  useEffect(() => {
    const own = card.current;
    if (!own) return;
    let [went, onto] = [false, null as string | null];
    const behaviour = drag<HTMLElement, unknown>()
      .container(() => window as never)
      .subject(() => ({ x: 0, y: 0 }))
      .touchable(false)
      // Pulled that far, it is not pressed as well when it is let go: the link it is would be followed.
      .clickDistance(PULLED)
      .filter((event: MouseEvent) => !event.ctrlKey && !event.button && !(event.target as Element).closest('button'))
      .on('start', () => ([went, onto] = [false, null]))
      .on('drag', ({ x, y, sourceEvent }: { x: number; y: number; sourceEvent: MouseEvent }) => {
        went ||= Math.hypot(x, y) > PULLED;
        if (!went) return;
        setBy([x, y]);
        onto = cardAt(sourceEvent.clientX, sourceEvent.clientY, own);
        latest.current.onOver(onto);
      })
      .on('end', () => {
        setBy(null);
        latest.current.onOver(null);
        if (onto !== null) latest.current.onDrop(id, onto);
      });
    select(own).call(behaviour);
    return () => void select(own).on('.drag', null);
  }, [card, id]);
  return { by, over: by === null && pulling.over === id };
}
