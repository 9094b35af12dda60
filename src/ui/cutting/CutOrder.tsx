import { Alert, Button } from 'antd';
import { useMemo } from 'react';
import { fenceCare, partWords, type FenceGroup, type Layout, type TrimmerCut } from '@/core/cutting';
import { formatLength, mm } from '@/core/length';
import { Figure } from '../parts/Figure';
import { useUnits } from '../parts/InUnits';
import { Words } from '../parts/Words';
import styles from './Cutting.module.css';

interface CutOrderProps {
  readonly layout: Layout;
  readonly groups: readonly FenceGroup[];
  readonly step: number;
  /** Longest cut of the trimmer that is out, mm. */
  readonly longest: number | undefined;
  readonly onStep: (step: number) => void;
}

/** The cuts one by one, in the order that moves the fence least; which part lies at the fence, and what becomes of it. */
export function CutOrder({ layout, groups, step, longest, onStep }: CutOrderProps) {
  const { units, graduation } = useUnits();
  const cuts = useMemo(() => groups.flatMap((group) => group.cuts), [groups]);
  const starts = useMemo(
    () => groups.map((_, i) => groups.slice(0, i).reduce((sum, g) => sum + g.cuts.length, 0)),
    [groups],
  );
  const say = (value: number): string => formatLength(mm(value), units, graduation);
  const cut: TrimmerCut | undefined = cuts[step];
  const now = starts.findLastIndex((start) => start <= step);
  const tooLong = longest === undefined ? 0 : cuts.filter(({ length }) => length > longest + 1e-3).length;
  if (cuts.length === 0) return null;
  return (
    <section aria-label="Cuts in order" className={styles.order}>
      <h2>Cuts in order</h2>
      <p className={styles.soft}>
        {cuts.length} {cuts.length === 1 ? 'cut' : 'cuts'} with {groups.length}{' '}
        {groups.length === 1 ? 'setting' : 'settings'} of the fence, strips first.
      </p>
      {tooLong > 0 && (
        <Alert
          type="warning"
          showIcon
          title={`${tooLong} ${tooLong === 1 ? 'cut is' : 'cuts are'} longer than your trimmer’s ${say(longest!)}: mark ${tooLong === 1 ? 'it' : 'them'} and cut along a ruler.`}
        />
      )}
      <div className={styles.cutCard} aria-live="polite">
        {cut ? (
          <>
            <div className={styles.fence}>
              <span>Fence at</span>
              <Figure value={cut.setting} size="hero" />
            </div>
            <p>
              <strong>
                Cut {step + 1} of {cuts.length}, sheet {cut.sheet + 1}.
              </strong>{' '}
              <Words>
                Lay the {say(cut.part.width)} × {say(cut.part.height)} part
              </Words>{' '}
              with its {cut.upright ? 'left' : 'near'} edge at the fence. At the fence:{' '}
              {partWords(cut.first, layout.sheets[cut.sheet]!)}. The other part:{' '}
              {partWords(cut.second, layout.sheets[cut.sheet]!)}.
            </p>
            {fenceCare({ setting: cut.setting, cuts: [cut] }, graduation, longest, say).map((told) => (
              <p key={told} className={styles.warn}>
                <Words>{told}</Words>
              </p>
            ))}
            <p className={styles.soft}>Fingers behind the guard; lock the blade down when you put it by.</p>
          </>
        ) : (
          <p>
            <strong>Every cut is made.</strong> Mark it as cut, and the stash follows.
          </p>
        )}
        <div className={styles.cutButtons}>
          <Button size="large" disabled={step === 0} onClick={() => onStep(step - 1)}>
            ‹ Back
          </Button>
          <Button size="large" type="primary" disabled={!cut} onClick={() => onStep(step + 1)}>
            Next cut ›
          </Button>
        </div>
      </div>
      <ol className={styles.groups}>
        {groups.map(({ setting, cuts: own }, i) => (
          <li key={i} aria-current={i === now && cut ? 'step' : undefined}>
            <Button type="text" className={styles.group} onClick={() => onStep(starts[i]!)}>
              <Figure value={setting} />
              <span className={styles.soft}>
                {own.length} {own.length === 1 ? 'cut' : 'cuts'}
                {starts[i]! + own.length <= step ? ', made' : ''}
              </span>
            </Button>
          </li>
        ))}
      </ol>
      <ol className={styles.printedCuts}>
        {cuts.map((one, i) => (
          <li key={i}>
            <Words>
              Fence {say(one.setting)}, sheet {one.sheet + 1}: {say(one.part.width)} × {say(one.part.height)},
            </Words>{' '}
            {one.upright ? 'left' : 'near'} edge at the fence. {partWords(one.first, layout.sheets[one.sheet]!)}
          </li>
        ))}
      </ol>
    </section>
  );
}
