import { Checkbox, Select } from 'antd';
import { Link } from '../parts/Link';
import { formatLength, mm } from '@/core/length';
import { PAPERS, sizesFor } from '@/core/design';
import { Empty } from '../parts/Empty';
import { useUnits } from '../parts/InUnits';
import type { CuttingTable } from './useCuttingTable';
import { Words } from '../parts/Words';
import styles from './Cutting.module.css';

interface WhatFromProps {
  readonly table: CuttingTable;
}

/** Which papers may be cut, and with what. */
export function WhatFrom({ table }: WhatFromProps) {
  const { units } = useUnits();
  const { record, stash, chosen, bought, save } = table;
  const say = (value: number): string => formatLength(mm(value), units, units === 'in' ? '1/16 in' : '0.5 mm');
  return (
    <section aria-label="Cut from" className={styles.from}>
      <h2>Cut from</h2>
      {stash.length === 0 && (
        <Empty>
          The <Link href="/stash">stash</Link> is empty. Choose a size to buy, or put your papers in first.
        </Empty>
      )}
      <ul className={styles.papers}>
        {stash.map(({ id, name, width, height, count, colour }) => (
          <li key={id}>
            <Checkbox
              checked={chosen.includes(id)}
              onChange={({ target }) =>
                save({
                  papers: target.checked ? [...chosen, id] : chosen.filter((one) => one !== id),
                  bought: [...bought],
                })
              }
            >
              <Words>
                {name}, {say(width)} × {say(height)}
              </Words>
              <span className={styles.soft}>
                {colour && ` ${colour},`} {count} {count === 1 ? 'sheet' : 'sheets'}
              </span>
            </Checkbox>
          </li>
        ))}
      </ul>
      <label className={styles.labelled}>
        And to buy, as many as are needed
        <Select
          mode="multiple"
          aria-label="And to buy, as many as are needed"
          placeholder="nothing"
          value={[...bought]}
          options={sizesFor(units, PAPERS).map(({ id, title }) => ({ value: id, label: title }))}
          onChange={(sizes) => save({ bought: sizes, papers: [...chosen] })}
        />
      </label>
      <Checkbox checked={record.offcutsFirst} onChange={({ target }) => save({ offcutsFirst: target.checked })}>
        Use offcuts first
      </Checkbox>
      <label className={styles.labelled}>
        Cut with
        <Select
          aria-label="Cut with"
          value={record.cutter}
          options={[
            { value: 'guillotine', label: 'A trimmer: from edge to edge' },
            { value: 'free', label: 'Scissors or a cutting machine' },
          ]}
          onChange={(cutter) => save({ cutter })}
        />
      </label>
    </section>
  );
}
