import { useMemo } from 'react';
import { paperOf } from '@/core/design';
import { MOST_ALIKE, minutesOf, walkOf, withPart, type PartInput, type PlannedPart } from '@/core/sets';
import { NumberField } from '../parts/NumberField';
import { useUnits } from '../parts/InUnits';
import { timeSaid } from '../parts/titles';
import { Words } from '../parts/Words';
import type { Giving } from './Papers';
import type { TogetherProps } from './props';
import { tintOf } from './tint';
import styles from './Together.module.css';

/** Every part with how many there are of it, how large it is and which papers it is of; and how long all of it takes. */
export function Parts({ whole, part: shown, onSet, onShow, giving }: TogetherProps & { readonly giving: Giving }) {
  const { say } = useUnits();
  const plan = 'plan' in whole ? whole.plan : null;
  const walk = useMemo(() => (plan ? walkOf(plan, say, 1, 'together') : []), [plan, say]);
  if (!plan) return null;
  const minutes = minutesOf(walk);
  return (
    <section aria-label="Parts of the set">
      <ul className={styles.parts}>
        {[...plan.parts].reverse().map((one) => {
          const { part, own: outside } = one;
          return (
            <li key={part.id} data-part={part.id} data-shown={part.id === shown || undefined}>
              <button
                type="button"
                className={styles.partName}
                onClick={() => onShow(part.id, part.given ? 'together' : 'sheet')}
              >
                {part.name}
              </button>
              <NumberField
                aria-label={`How many of ${part.name} in the set`}
                min={1}
                max={MOST_ALIKE}
                precision={0}
                value={part.quantity}
                onChange={(quantity) => onSet((set) => withPart(set, part.id, { quantity }), `${part.id}-quantity`)}
              />
              <span className={styles.size}>
                {outside ? (
                  <Words>
                    {say(outside.width)} × {say(outside.height)}, {say(outside.thickness)} thick
                  </Words>
                ) : (
                  'no pattern'
                )}
              </span>
              <span className={styles.pieces}>
                {piecesOf(one).map(({ key, label, paper, give }) => (
                  <button
                    key={key}
                    type="button"
                    className={styles.piece}
                    style={tintOf(whole.set, paper)}
                    disabled={giving.paper === null}
                    aria-label={`${part.name}, ${label}: ${giving.nameOf(paper)}${giving.paper === null ? '' : `; give it ${giving.nameOf(giving.paper)}`}`}
                    onClick={() =>
                      onSet(
                        (set) => withPart(set, part.id, give(rawOf(set.parts, part.id), giving.paper!)),
                        `${part.id}-paper-${key}`,
                      )
                    }
                  >
                    {label}: <em>{giving.nameOf(paper)}</em>
                  </button>
                ))}
              </span>
            </li>
          );
        })}
      </ul>
      <p className={styles.soft}>
        {walk.length} steps in all, {timeSaid(minutes)} at the table by usual figures.
      </p>
    </section>
  );
}

const rawOf = (parts: readonly PartInput[], id: string): PartInput => parts.find((part) => part.id === id)!;

interface Piece {
  readonly key: string;
  readonly label: string;
  readonly paper: string | null;
  readonly give: (part: PartInput, paper: string) => Partial<PartInput>;
}

/** What of a part is cut from paper: its first piece and all like it, pieces of papers of their own, layers. */
function piecesOf({ part, plan: { made, design } }: PlannedPart): readonly Piece[] {
  if (!made) return [];
  const layers = made.layers.map(({ piece, layer: { index, paper } }): Piece => ({
    key: `layer-${index}`,
    label: piece.name,
    paper: paper.id ?? null,
    give: (raw, id) => ({
      layers: raw.layers!.map((layer, i) => (i === index ? { ...layer, paper: id } : layer)),
    }),
  }));
  if (part.given) return layers;
  const names = made.pieces.map(({ piece }) => piece.name);
  return [
    ...names.map((name, i): Piece => ({
      key: name,
      label: name,
      paper: paperOf(design, name).id ?? null,
      give: (raw, id) => (i === 0 ? { paper: id, from: undefined } : { papers: { ...raw.papers, [name]: id } }),
    })),
    ...layers,
  ];
}
