import { Switch } from 'antd';
import { useMemo, useRef, useState, type PointerEvent } from 'react';
import { bookOf, leafBox, type Book, type BookLeaf, type Made } from '@/core/plan';
import { asMade, printOn, type Showing } from '@/core/looks';
import type { Design } from '@/core/design';
import { heightOf, pileScene, STYLE, widthOf } from '@/core/scene';
import { SceneDrawn, sightOf } from '../draw/SceneDrawn';
import { useSize } from '../draw/useSize';
import { StepSlider } from '../parts/StepSlider';
import styles from './LeafThrough.module.css';

/** How the print lies that shows on a panel. */
type Arrows = (shown: Pick<Showing, 'panel' | 'side'>) => number | null;

/** A finger that moves so far across turns a leaf, px. */
const SWIPE = 40;
/** Share of a card that stands out when it is pulled. */
const PULLED = 0.55;
/** Room round the open book, as a share of a page: while its cards are in, and for cards that are pulled out. */
const AROUND = { in: 0.08, out: 0.62 };

/** The open book, turned leaf by leaf with the keys, the slider or a finger; cards slide out of their pockets. */
export function LeafThrough({ made, design }: { readonly made: Made; readonly design: Design }) {
  const book = useMemo(() => bookOf(made), [made]);
  return book && <Opened made={made} book={book} arrows={(shown) => printOn(made, design, shown)} />;
}

function Opened({ made, book, arrows }: { readonly made: Made; readonly book: Book; readonly arrows: Arrows }) {
  const { view } = book;
  const leaves = book.leaves.flatMap((leaf) => Array.from({ length: leaf.pages[1] - leaf.pages[0] + 1 }, () => leaf));
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const [at, setAt] = useState(0);
  const [out, setOut] = useState(false);
  const began = useRef<number | null>(null);
  const open = Math.min(at, leaves.length);
  const turn = (by: number): void => setAt(Math.max(0, Math.min(leaves.length, open + by)));
  const box = leafBox(leaves[0]!, view);
  const around = out ? AROUND.out : AROUND.in;
  // Lying on its side: its free edge is away from the spine.
  const [deep, tall] = [box.maxY - box.minY, box.maxX - box.minX];
  const scale = size ? Math.min(size.width / (2 * deep * (1 + around)), 420 / (tall * (1 + 2 * around))) : 1;
  const [wide, high] = [2 * deep * (1 + around) * scale, tall * (1 + 2 * around) * scale];
  const words = Array.from({ length: leaves.length + 1 }, (_, i) =>
    i === 0
      ? 'The cover is open: the first page'
      : i === leaves.length
        ? `The back of page ${i}, and the cover`
        : `The back of page ${i}, and page ${i + 1}`,
  );
  const swiped = (event: PointerEvent): void => {
    const from = began.current;
    began.current = null;
    if (from !== null && Math.abs(event.clientX - from) > SWIPE) turn(event.clientX < from ? 1 : -1);
  };
  const hasCards = leaves.some(({ cards }) => cards.length > 0);
  return (
    <div ref={frame} className={styles.frame}>
      {size && (
        <svg
          width={wide}
          height={high}
          role="img"
          aria-label={words[open]}
          className={styles.book}
          onPointerDown={(event) => (began.current = event.clientX)}
          onPointerUp={swiped}
          onPointerCancel={() => (began.current = null)}
        >
          <g transform={`translate(${wide / 2} ${high / 2})${book.top === 'right' ? '' : ' rotate(180)'}`}>
            <path d={`M0 ${(-tall * scale) / 2}V${(tall * scale) / 2}`} className={styles.spine} />
            {([open, open - 1] as const).map((index, side) => {
              const leaf = leaves[index];
              return (
                leaf && (
                  <g key={side} transform={side === 0 ? 'rotate(90)' : 'rotate(-90)'}>
                    <Page
                      made={made}
                      book={book}
                      leaf={leaf}
                      face={side === 0 ? 'above' : 'below'}
                      scale={scale}
                      out={out}
                      arrows={arrows}
                    />
                  </g>
                )
              );
            })}
          </g>
        </svg>
      )}
      {hasCards && (
        <label className={styles.out}>
          <Switch checked={out} onChange={setOut} aria-label="Pull the cards out" /> Pull the cards out
        </label>
      )}
      <StepSlider
        label="Which pages lie open"
        at={open}
        words={words}
        note={{ id: 'leaf-note', text: 'The arrow keys turn a leaf, and so does a finger swept across the page.' }}
        onPull={setAt}
        onStep={turn}
      />
    </div>
  );
}

interface PageProps {
  readonly made: Made;
  readonly book: Book;
  readonly leaf: BookLeaf;
  readonly face: 'above' | 'below';
  readonly scale: number;
  readonly out: boolean;
  readonly arrows: Arrows;
}

/** One page, its free edge upwards and the spine along its foot, with the cards in it. */
function Page({ made, book: { view }, leaf, face, scale, out, arrows }: PageProps) {
  const { stack, cards } = leaf;
  const moved = out ? PULLED : 0.06;
  const own = cards
    .filter((card) => card.face === null || card.face === face)
    .map(({ name, x, y, width, height, out: way }) => ({
      name,
      x: x + way.x * moved,
      y: y + way.y * moved,
      width,
      height,
    }));
  const scene = asMade(made, pileScene({ stack, view, from: face }, { cards: own, upward: arrows }));
  const sight = sightOf(scene, scale, (-widthOf(scene) * scale) / 2, -heightOf(scene) * scale);
  return <SceneDrawn scene={scene} sight={sight} look={STYLE.page} />;
}
