import { Alert, Button, Progress } from 'antd';
import { group } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useMemo, useRef } from 'react';
import {
  fromFits,
  fromMeasured,
  rulerHelps,
  SCISSORS,
  USUAL_HANDS,
  WORTH_HAVING,
  type Exactness,
  type Hands,
  type HandsAnswer,
} from '@/core/hands';
import { mm } from '@/core/length';
import type { DesignChange, DesignInput } from '@/core/design';
import type { LogRecord, MakeRecord } from '@/data/db';
import { evidenceIn, fitKey, ownMakes } from '@/data/log';
import { takenMeasures } from '@/data/makes';
import { HANDS } from '@/data/setting-kinds';
import { useSize } from '../draw/useSize';
import { LengthField } from '../parts/LengthField';
import { useUnits } from '../parts/InUnits';
import { useAll, useSetting } from '../parts/useKept';
import type { PlannedSet } from '../parts/plans';
import { OwnFigure } from './OwnFigure';
import { TestStrip } from './TestStrip';
import { useOdds } from './useOdds';
import { WholeSet } from './WholeSet';
import { ASKED, outOf } from './words';
import styles from './FitView.module.css';

interface FitViewProps {
  readonly of: DesignInput;
  /** The set it is a part of. */
  readonly whole: PlannedSet;
  readonly onChange: (change: DesignChange, key: string) => void;
}

const KINDS = [
  ['cut', 'What I cut is off by'],
  ['score', 'What I score is off by'],
  ['setting', 'What I set is off by'],
] as const;

/** How often it fits when hands like these make it: the share, what fails first, what matters most, and more room. */
export function FitView({ of, whole, onChange }: FitViewProps) {
  const made = 'plan' in whole ? whole.plan.parts.filter(({ part, plan }) => !part.given && plan.made) : [];
  const [kept, keep] = useSetting(HANDS);
  const hands: Hands = kept ?? USUAL_HANDS;
  const { answer, done, running, trouble, stop } = useOdds(of, hands);
  const own = useFitsSay();
  const makes = useAll<MakeRecord>('makes');
  const came = useMemo(() => fromMeasured(takenMeasures(makes?.records ?? [])), [makes]);
  return (
    <div className={styles.fit}>
      <section className={styles.hands} aria-label="How exact my hands are">
        {KINDS.map(([kind, label]) => (
          <LengthField
            key={kind}
            label={label}
            value={hands[kind]}
            least={0}
            most={10}
            onChange={(value) => keep({ ...hands, [kind]: value })}
          />
        ))}
        <p className={styles.soft}>
          {kept ? 'Your own figures: ' : 'The usual figures, until you measure your own: '}19 of 20 of your cuts and
          scores are within these.
        </p>
        {hands.cut !== SCISSORS && (
          <Button onClick={() => keep({ ...hands, cut: SCISSORS })}>I cut with scissors</Button>
        )}
        {kept && <Button onClick={() => keep(null)}>The usual figures</Button>}
      </section>
      {came && <OwnFigure from="what you measured as it came out" kind="score" found={came} />}
      {own && <OwnFigure from="the fits in your log" kind="score" found={own} />}
      <TestStrip onFigure={(kind, off) => keep({ ...hands, [kind]: mm(off) })} />
      {trouble && <Alert type="warning" showIcon title={`${trouble}.`} />}
      {!running && !answer && !trouble && (
        <p className={styles.soft}>Stopped. Change the room or the hands to count again.</p>
      )}
      {running && (
        <div className={styles.counting}>
          <Progress percent={Math.round(done * 100)} aria-label="How many makes are counted" />
          <Button onClick={stop}>Stop</Button>
        </div>
      )}
      {answer &&
        (answer.share === null ? <Nothing /> : <Found answer={answer} share={answer.share} onChange={onChange} />)}
      {made.length > 1 && (
        <WholeSet set={whole.set} hands={hands} names={new Map(made.map(({ part }) => [part.id, part.name]))} />
      )}
    </div>
  );
}

/** How exact the measured fits of one’s own makes say one is; null while they are too few. */
function useFitsSay(): Exactness | null {
  const log = useAll<LogRecord>('log');
  return useMemo(() => {
    const mine = log ? evidenceIn(ownMakes(log.records)) : [];
    return fromFits([...group(mine, ({ construction, contents }) => fitKey(construction, contents)).values()]);
  }, [log]);
}

const Nothing = () => (
  <p className={styles.soft}>Say what goes in, with its size: without it there is nothing that could fit or not.</p>
);

function Found({
  answer,
  share,
  onChange,
}: {
  readonly answer: HandsAnswer;
  readonly share: number;
  readonly onChange: FitViewProps['onChange'];
}) {
  const { say } = useUnits();
  const fails = answer.by.filter((one) => outOf(one.share) < 100);
  const [most] = answer.matters;
  const { enough } = answer;
  const helps = rulerHelps(answer);
  const now = answer.room[0];
  const next = answer.room.find(({ share: more }) => now && outOf(more) > outOf(now.share));
  return (
    <>
      <p className={styles.share}>
        <strong>{outOf(share)}</strong> of 100 come out right
      </p>
      {fails.length > 0 ? (
        <ul className={styles.list} aria-label="What goes wrong">
          {fails.map((one) => (
            <li key={one.check}>
              {ASKED[one.check]}: {outOf(one.share)} of 100
            </li>
          ))}
        </ul>
      ) : (
        <p className={styles.soft}>
          Of {answer.runs} makes in the computer {Math.round(share * answer.runs)} came out right.
        </p>
      )}
      {outOf(share) < 100 && most && most.share > 0.05 && (
        <p>
          What matters most is{' '}
          <strong>
            {most.what}
            {most.mark && ` at ${say(most.mark.at)} on edge ${most.mark.edge}`}
          </strong>
          : do that with care.
        </p>
      )}
      {helps && (
        <p>
          Measure all four sides instead of bringing the score to the pointer: {outOf(helps.ruler)} of 100 instead of{' '}
          {outOf(helps.pointer)}.
        </p>
      )}
      {answer.room.length > 1 && <Curve room={answer.room} />}
      {now && next && (
        <p>
          A little more room, {say(next.ease.width)} × {say(next.ease.height)}: {outOf(now.share)} → {outOf(next.share)}{' '}
          of 100.
        </p>
      )}
      {share < WORTH_HAVING && enough && (
        <Button type="primary" onClick={() => onChange({ ease: enough.ease }, 'fit-room')}>
          Take the room that fits {outOf(enough.share)} of 100: {say(enough.ease.width)} × {say(enough.ease.height)}
        </Button>
      )}
      {share < WORTH_HAVING && answer.room.length > 1 && !enough && (
        <p className={styles.soft}>
          More room alone does not bring it to 95 of 100: cut and score more exactly, or choose another holder.
        </p>
      )}
    </>
  );
}

const HIGH = 200;
const MARGIN = { left: 44, right: 30, top: 12, bottom: 36 };

/** The share of makes that fit, against the room that is aimed for. */
function Curve({ room }: { readonly room: HandsAnswer['room'] }) {
  const { say } = useUnits();
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const wide = Math.min(size?.width ?? 0, 620);
  const widths = room.map(({ ease }) => ease.width);
  const x = scaleLinear([widths[0]!, widths.at(-1)!], [MARGIN.left, wide - MARGIN.right]);
  const y = scaleLinear([Math.min(0.5, ...room.map(({ share }) => share)), 1], [HIGH - MARGIN.bottom, MARGIN.top]);
  const path = line<HandsAnswer['room'][number]>(
    ({ ease }) => x(ease.width),
    ({ share }) => y(share),
  )([...room]);
  return (
    <div ref={frame} className={styles.curve}>
      {wide > 0 && (
        <svg
          width={wide}
          height={HIGH}
          role="img"
          aria-label={`How often it fits against the room aimed for: ${room.map(({ ease, share }) => `${say(ease.width)}, ${outOf(share)} of 100`).join('; ')}`}
        >
          {y.ticks(4).map((tick) => (
            <g key={tick}>
              <line x1={MARGIN.left} x2={wide - MARGIN.right} y1={y(tick)} y2={y(tick)} className={styles.grid} />
              <text x={MARGIN.left - 8} y={y(tick) + 4} className={styles.tickLeft}>
                {outOf(tick)}
              </text>
            </g>
          ))}
          {y.domain()[0]! < WORTH_HAVING && (
            <line
              x1={MARGIN.left}
              x2={wide - MARGIN.right}
              y1={y(WORTH_HAVING)}
              y2={y(WORTH_HAVING)}
              className={styles.enough}
            />
          )}
          <path d={path ?? ''} className={styles.line} />
          {room.map(({ ease, share }, i) => (
            <g key={i}>
              <circle
                cx={x(ease.width)}
                cy={y(share)}
                r={i === 0 ? 6 : 4}
                className={i === 0 ? styles.here : styles.dot}
              />
              <text x={x(ease.width)} y={HIGH - MARGIN.bottom + 18} className={styles.tick}>
                {say(ease.width)}
              </text>
            </g>
          ))}
        </svg>
      )}
      <p className={styles.soft}>
        Of 100 makes so many fit, against the room aimed for; the large dot is this plan, the dashed line 95.
      </p>
    </div>
  );
}
