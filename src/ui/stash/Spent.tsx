import { App } from 'antd';
import { Link } from '../parts/Link';
import { INCH } from '@/core/length';
import { undoCut } from '@/data/cuttings';
import type { CutRecord } from '@/data/db';
import { isExample } from '@/data/examples';
import { whyOf } from '@/data/trouble';
import { ExampleTag } from '../parts/ExampleTag';
import { Boundary } from '../parts/Boundary';
import { Empty } from '../parts/Empty';
import { OnceButton } from '../parts/once';
import { useUnits } from '../parts/InUnits';
import { useMoney } from '../parts/useMoney';
import { SavedChart } from './SavedChart';
import styles from './Stash.module.css';

/** What was cut, how much of it came from offcuts, and what can be taken back. */
export function Spent({ cuts }: { readonly cuts: readonly CutRecord[] }) {
  const { modal } = App.useApp();
  const { units } = useUnits();
  const say = useMoney();
  const unit = units === 'in' ? (12 * INCH) ** 2 : 10_000;
  // What was cut in the examples saved nobody anything: it is shown until there is something of one's own.
  const mine = cuts.filter((cut) => !isExample(cut));
  const own = mine.length > 0 ? mine : cuts;
  const saved = own.reduce((sum, cut) => sum + cut.saved, 0) / unit;
  const money = own.reduce((sum, cut) => sum + cut.savedCost, 0);
  if (cuts.length === 0)
    return (
      <section className={styles.card} aria-label="Paper saved">
        <h2>Paper saved</h2>
        <Empty>
          Nothing was cut yet. Lay something on the <Link href="/cutting">cutting table</Link>.
        </Empty>
      </section>
    );
  return (
    <section className={styles.card} aria-label="Paper saved">
      <h2>
        Paper saved
        {mine.length === 0 && <ExampleTag />}
      </h2>
      <div className={styles.spent}>
        <div>
          <p className={styles.savedHero}>
            <strong>{saved.toFixed(1)}</strong> {units === 'in' ? 'square feet' : 'dm²'} of pieces were cut from offcuts
            {money > 0 && (
              <>
                , so <strong>{say(money)}</strong> was not spent again
              </>
            )}
            .
          </p>
          <Boundary what="The chart" of={own}>
            <SavedChart cuts={own} />
          </Boundary>
        </div>
        <ol className={styles.cuts}>
          {[...cuts]
            .reverse()
            .slice(0, 8)
            .map(({ id, name, at, sheets, cost, taken }) => (
              <li key={id}>
                <span>
                  {new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })}
                </span>
                <span>
                  {name}: {sheets} {sheets === 1 ? 'sheet' : 'sheets'}
                  {cost > 0 && `, ${say(cost)}`}
                </span>
                {taken.length > 0 && (
                  <OnceButton
                    size="small"
                    onPress={() =>
                      undoCut(id).catch((error: unknown) => {
                        modal.error({ title: 'It could not be taken back', content: `${whyOf(error)}.` });
                      })
                    }
                  >
                    Take it back
                  </OnceButton>
                )}
              </li>
            ))}
        </ol>
      </div>
    </section>
  );
}
