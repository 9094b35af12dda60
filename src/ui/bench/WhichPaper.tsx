import { Checkbox, Select } from 'antd';
import type { KeptPaper } from '@/core/cutting';
import { PAPERS, sizeNamed, sizesFor, type Design } from '@/core/design';
import { inches } from '@/core/length';
import { PaperThickness } from '../parts/PaperThickness';
import { useUnits } from '../parts/InUnits';
import { useStashPapers } from '../parts/useStash';
import { inWords } from '../parts/Words';
import { sizeLabel, type BriefProps } from './brief';
import { EnoughPaper } from './EnoughPaper';
import { SizeFields } from './SizeFields';
import styles from './Brief.module.css';

/** The paper of the stash a design is planned on, told by its size and kind. */
const paperFrom = (stash: readonly KeptPaper[], { paper }: Design): KeptPaper | undefined =>
  stash.find(
    ({ width, height, caliper, sided, directional }) =>
      paper.width === width &&
      paper.height === height &&
      paper.caliper === caliper &&
      paper.sided === sided &&
      paper.directional === directional,
  );

/** The paper it is made from: a size, one of the stash, how thick, and its print. */
export function WhichPaper({ design, made, onChange }: BriefProps) {
  const { units } = useUnits();
  const { paper } = design;
  const stash = useStashPapers();
  const own = paperFrom(stash, design);
  const { width, height } = paper;
  const known = width !== undefined && height !== undefined ? sizeNamed(PAPERS, width, height) : null;
  const change = (part: Partial<typeof paper>, key: string): void => onChange({ paper: { ...paper, ...part } }, key);
  return (
    <>
      <h2>Paper</h2>
      <Select
        {...inWords}
        aria-label="Paper sizes"
        className={styles.wide}
        showSearch={{ optionFilterProp: 'label' }}
        value={width === undefined ? 'any' : (own?.id ?? known?.id ?? 'free')}
        options={[
          { value: 'any', label: 'Any that is large enough' },
          { value: 'free', label: 'My own size' },
          ...sizesFor(units, PAPERS).map((p) => ({ value: p.id, label: sizeLabel(p, units), title: p.source })),
          ...(stash.length > 0
            ? [
                {
                  label: 'In your stash',
                  options: stash.map((p) => ({
                    value: p.id,
                    label: `${sizeLabel({ ...p, title: p.name, source: '' }, units)}, ${p.count} ${p.count === 1 ? 'sheet' : 'sheets'}`,
                  })),
                },
              ]
            : []),
        ]}
        onChange={(id) => {
          const sheet = PAPERS.find((p) => p.id === id);
          const kept = stash.find((p) => p.id === id);
          if (kept) {
            const { width: w, height: h, caliper, sided, directional } = kept;
            change({ width: w, height: h, caliper, sided, directional }, 'paper');
          } else if (sheet) change({ width: sheet.width, height: sheet.height }, 'paper');
          else if (id === 'any') change({ width: undefined, height: undefined }, 'paper');
          // A size of one's own starts where no listed size is, so that its fields show.
          else change({ width: inches(10), height: inches(10) }, 'paper');
        }}
      />
      {width !== undefined && height !== undefined && !known && !own && (
        <SizeFields
          labels={['Paper width', 'Paper height']}
          value={{ width, height }}
          least={10}
          onChange={(side, length) => change({ [side]: length }, `paper-${side}`)}
        />
      )}
      {own && made && <EnoughPaper paper={own} made={made} design={design} />}
      <PaperThickness caliper={paper.caliper} onChange={(caliper) => change({ caliper }, 'caliper')} />
      <div className={styles.ticks}>
        <Checkbox
          checked={paper.sided === 1}
          onChange={(event) => change({ sided: event.target.checked ? 1 : 2 }, 'sided')}
        >
          Printed on one side
        </Checkbox>
        <Checkbox
          checked={paper.directional}
          onChange={(event) => change({ directional: event.target.checked }, 'directional')}
        >
          Print has a right way up
        </Checkbox>
      </div>
    </>
  );
}
