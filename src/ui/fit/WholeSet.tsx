import { Alert, Progress } from 'antd';
import type { MakeCheck, Hands, SetAnswer } from '@/core/hands';
import type { SetInput } from '@/core/sets';
import { useSetOdds } from './useOdds';
import { ASKED, outOf } from './words';
import styles from './FitView.module.css';

interface WholeSetProps {
  readonly set: SetInput;
  readonly hands: Hands;
  /** What its parts are called, by id. */
  readonly names: ReadonlyMap<string, string>;
}

/** How often all of a set comes out right: each part must take the others as they became. */
export function WholeSet({ set, hands, names }: WholeSetProps) {
  const { answer, done, running, trouble } = useSetOdds(set, hands);
  return (
    <section className={styles.whole} aria-label="The whole set">
      <h3>The whole set</h3>
      {trouble && <Alert type="warning" showIcon title={`${trouble}.`} />}
      {running && <Progress percent={Math.round(done * 100)} size="small" aria-label="How many sets are counted" />}
      {answer && <Told answer={answer} names={names} />}
    </section>
  );
}

function Told({
  answer: { share, parts, runs },
  names,
}: {
  readonly answer: SetAnswer;
  readonly names: WholeSetProps['names'];
}) {
  const worst = (by: SetAnswer['parts'][number]['by']): MakeCheck => by[0]!.check;
  const failing = parts.filter((one) => outOf(one.share) < 100);
  return (
    <>
      <p>
        <strong>{outOf(share)}</strong> of 100 sets come out right in all their parts, each of which must take the
        others as they became ({runs} sets counted).
      </p>
      {failing.length > 0 && (
        <ul className={styles.list} aria-label="Which part goes wrong">
          {failing.map((one) => (
            <li key={one.part}>
              {names.get(one.part) ?? one.part}: {ASKED[worst(one.by)]}, {outOf(one.by[0]!.share)} of 100
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
