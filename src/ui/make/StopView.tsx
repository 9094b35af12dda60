import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { countedLength, formatLength, mm } from '@/core/length';
import { leftOf } from '@/core/pattern';
import { cutFromSheet } from '@/core/looks';
import { partNamed, type Made } from '@/core/plan';
import type { Design } from '@/core/design';
import type { RulerReading } from '@/core/tools';
import { stopWords, type Stop } from '@/core/sets';
import { capitalised, listed, uncapitalised } from '@/core/text';
import { StepPicture } from '../bench/StepPicture';
import { RulerCloseUp } from '../draw/RulerCloseUp';
import { useSize } from '../draw/useSize';
import { ACTION_TITLE } from '../parts/titles';
import { OnTable } from '../table/OnTable';
import { useUnits } from '../parts/InUnits';
import { Words } from '../parts/Words';
import { Folding } from './Folding';
import { SheetsCut } from './SheetsCut';
import { useFit } from './useFit';
import type { useSwipe } from './useSwipe';
import styles from './Make.module.css';

interface StopViewProps {
  /** Its place on the way, from 0. */
  readonly at: number;
  readonly stop: Stop;
  /** Copies there are of its part. */
  readonly of: number;
  readonly made: Made;
  readonly design: Design;
  /** The part it is of, where there are several. */
  readonly part: string | null;
  /** What is told of it besides, from what went wrong before, or would. */
  readonly beware: readonly string[];
  /** A finger drawn across it. */
  readonly swipe: ReturnType<typeof useSwipe>;
}

/** What a length is read on, in words. */
const READ_ON: Record<RulerReading['on'], string> = {
  board: 'on the board’s ruler',
  fence: 'on the scoring board',
  ruler: 'with a ruler',
  trimmer: 'on the trimmer’s ruler',
};

/** One step: what to do in large words, the table from above or the fold, and the ruler with its tick. */
export function StopView({ at, stop, of, made, design, part, beware, swipe }: StopViewProps) {
  const { step } = stop;
  const { picture } = step;
  const { who, actions, first, text, follows, how, rhythm, cautions, readings } = stopWords(stop, of);
  const folds = picture.kind !== 'flat' && !picture.before && !picture.done && step.action !== 'punch';
  const several = made.pieces.length + made.layers.length > 1;
  // Which of its lengths is at hand: of each stop the first.
  const [length, setLength] = useState({ at, next: 0 });
  const chosen = length.at === at ? Math.min(length.next, Math.max(0, readings.length - 1)) : 0;
  const words = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    words.current?.scrollTo(0, 0);
  }, [at]);
  const { more, down } = useFit(words, `${at} ${beware.join(' ')}`);
  return (
    <div className={styles.stop} {...swipe}>
      <section className={styles.words} aria-live="polite" aria-label="What to do">
        <div ref={words} className={styles.scroll}>
          <h1>
            {stop.sheets && !stop.sheets.group
              ? 'Cut already'
              : capitalised(actions.map((action) => uncapitalised(ACTION_TITLE[action])).join(', '))}
            {!stop.sheets && (several || part) && (
              <span className={styles.piece}>
                {' '}
                {[part, several ? listed([step.piece, ...(step.alike ?? [])]) : null].filter(Boolean).join(': ')}
              </span>
            )}
          </h1>
          {first.map((laid) => (
            <p key={laid} data-needed className={styles.then}>
              <Words>{laid}</Words>
            </p>
          ))}
          <p data-needed className={styles.text}>
            {who && <strong>{who}: </strong>}
            <Words>{text}</Words>
          </p>
          {follows.map((next) => (
            <p key={next} data-needed className={styles.then}>
              <strong>Then </strong>
              <Words>{uncapitalised(next)}</Words>
            </p>
          ))}
          {picture.kind === 'flat' && !picture.glued && step.phase === 'flat' && (
            <p data-needed className={styles.edges}>
              <strong>Edge {picture.near}</strong> near you, <strong>edge {leftOf(picture.near)}</strong> on the left
            </p>
          )}
          {beware.map((told) => (
            <p key={told} data-needed className={styles.beware}>
              {told}
            </p>
          ))}
          {/* Before the ruler: on a phone what comes after it is out of sight. */}
          {cautions.map((caution) => (
            <p key={caution} data-needed className={styles.caution}>
              {caution}
            </p>
          ))}
          <Readings readings={readings} chosen={chosen} onChoose={(next) => setLength({ at, next })} />
          {rhythm && <p className={styles.rhythm}>{rhythm}</p>}
          {how.map((one) => (
            <p key={one} className={styles.how}>
              <Words>{one}</Words>
            </p>
          ))}
          {step.ifRough && (
            <details key={`rough ${at}`} className={styles.rough}>
              <summary>The sheet is torn, or off a roll</summary>
              <p>{step.ifRough.text}</p>
              <p className={styles.caution}>{step.ifRough.caution}</p>
            </details>
          )}
        </div>
        {more && (
          <button type="button" className={styles.more} onClick={down}>
            More below ↓
          </button>
        )}
      </section>
      <section className={styles.picture} aria-label="How it lies">
        {stop.sheets ? (
          <SheetsCut {...stop.sheets} />
        ) : folds ? (
          <Folding key={at} made={made} design={design} step={step} />
        ) : (
          <Flat stop={stop} made={made} design={design} shown={alongAt(readings, chosen)} />
        )}
      </section>
    </div>
  );
}

/** The length along the edge that is at hand; of a depth the one it belongs to. */
const alongAt = (readings: readonly RulerReading[], chosen: number): number | undefined =>
  readings.slice(0, chosen + 1).findLast(({ what }) => !what.startsWith('up from'))?.at;

/** The lengths of a step: one at a time close up, the others a touch away. */
function Readings({
  readings,
  chosen,
  onChoose,
}: {
  readonly readings: readonly RulerReading[];
  readonly chosen: number;
  readonly onChoose: (next: number) => void;
}) {
  const { units, graduation } = useUnits();
  const reading = readings[chosen];
  if (!reading) return null;
  return (
    <div data-needed className={styles.readings}>
      {readings.length > 1 && (
        <div className={styles.chips} role="group" aria-label="Lengths of this step">
          {readings.map(({ at }, i) => (
            <button
              key={i}
              type="button"
              aria-pressed={i === chosen}
              data-done={i < chosen || undefined}
              // Ticked off, the ruler goes on to the next.
              onClick={() => onChoose(i === chosen ? Math.min(i + 1, readings.length - 1) : i)}
            >
              {i < chosen && <span>✓ </span>}
              <Words>{formatLength(mm(at), units, graduation, true)}</Words>
            </button>
          ))}
        </div>
      )}
      <RulerCloseUp at={reading.at} runs={reading.on === 'board' ? 'left' : 'right'} />
      <p className={styles.counted}>
        <strong>
          <Words>{countedLength(reading.at, units, graduation)}</Words>
        </strong>
        <br />
        {READ_ON[reading.on]}, {reading.what}
      </p>
    </div>
  );
}

/** The sheet on the table, in its tool; what is part-folded as it lies, with its glue. */
function Flat({
  stop,
  made,
  design,
  shown,
}: Pick<StopViewProps, 'stop' | 'made' | 'design'> & { readonly shown: number | undefined }) {
  const { step } = stop;
  const { picture } = step;
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const part = partNamed(made, step.piece);
  const moves = useMemo(
    () => (picture.kind === 'flat' ? part.programme.moves.slice(0, picture.moves) : []),
    [picture, part],
  );
  const { blank } = part.piece;
  const from = step.phase === 'cut' ? cutFromSheet(made, design, part) : null;
  return (
    <div ref={frame} className={styles.frame}>
      {size &&
        (picture.kind === 'flat' && !picture.done && !picture.glued ? (
          <OnTable
            piece={step.piece}
            blank={blank}
            made={made}
            tool={design.tool}
            moves={moves}
            fresh={picture.fresh}
            near={picture.near}
            width={size.width}
            height={size.height}
            from={from}
            shown={shown}
            label={`The table from above: ${step.text}`}
          />
        ) : (
          <StepPicture picture={picture} made={made} design={design} size={Math.min(size.width, size.height)} />
        ))}
    </div>
  );
}
