import { Alert } from 'antd';
import { useMemo } from 'react';
import type { Blank } from '@/core/pattern';
import { pictureOf } from '@/core/looks';
import type { Made } from '@/core/plan';
import { differences, enclosedBy, faultWords, type Move, type Simulated, type Tool } from '@/core/tools';
import { madeOf } from '../parts/plans';
import { SmallPicture } from '../draw/SmallPicture';
import { useUnits } from '../parts/InUnits';
import styles from './Tools.module.css';

/** A sheet on a board: by itself, or a piece of a plan. */
export interface TrialProps {
  readonly blank: Blank;
  readonly tool: Tool;
  readonly plan: { readonly made: Made; readonly part: Made['pieces'][number] } | null;
}

/** What the sheet would fold to, as far as it is made; what went wrong on the way. */
export function Outcome({
  blank,
  tool,
  moves,
  made,
  plan,
}: TrialProps & { readonly moves: readonly Move[]; readonly made: Simulated }) {
  const { say } = useUnits();
  const inside = enclosedBy(made.scores);
  const folded = useMemo(() => foldedAs(blank, tool, moves, made, plan), [blank, tool, moves, made, plan]);
  return (
    <div className={styles.outcome} aria-live="polite">
      <h2>It would fold to</h2>
      {made.faults.map((fault, i) => (
        <Alert key={i} type="warning" showIcon title={`${upperFirst(faultWords(fault, say))}.`} />
      ))}
      {moves.length === 0 && <p>Nothing yet: the sheet is flat and whole.</p>}
      {moves.length > 0 && (
        <p>
          {made.notches.length} {made.notches.length === 1 ? 'notch' : 'notches'}, {made.scores.length}{' '}
          {made.scores.length === 1 ? 'score' : 'scores'}
          {inside
            ? `. The scores enclose ${say(Math.min(inside.width, inside.height))} × ${say(Math.max(inside.width, inside.height))}.`
            : ': no inside is closed in yet.'}
        </p>
      )}
      {folded && (
        <>
          <SmallPicture
            picture={pictureOf(folded)}
            scale={1.4}
            room={{ width: 260, height: 170 }}
            label="The folded thing"
          />
          <p>
            <strong>It folds.</strong> Inside {say(folded.inside.width)} × {say(folded.inside.height)}
            {plan ? ', as the plan says.' : '.'}
          </p>
        </>
      )}
    </div>
  );
}

/** What these very scores and notches fold to: the plan's own, or an envelope from this square; null while neither. */
function foldedAs(
  blank: Blank,
  tool: Tool,
  moves: readonly Move[],
  made: Simulated,
  plan: TrialProps['plan'],
): Made | null {
  if (plan) return differences(made, plan.part.piece).length === 0 ? plan.made : null;
  const first = moves.find((move) => move.do === 'place' && move.by === 'ruler');
  if (tool.kind !== 'envelope-board' || first?.do !== 'place' || made.notches.length !== 4) return null;
  const own = madeOf({
    version: 1,
    construction: 'diagonal-envelope',
    blank,
    tool,
    graduation: 'exact',
    // What is rounded off later is no business of the board's.
    options: { setting: first.at, corner: 0 },
  });
  return own && differences(made, own.pieces[0].piece).length === 0 ? own : null;
}

const upperFirst = (words: string): string => `${words[0]!.toUpperCase()}${words.slice(1)}`;
