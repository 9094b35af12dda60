import { PlusOutlined } from '@ant-design/icons';
import { Button, Checkbox, Select } from 'antd';
import { useMemo, useState, type ReactNode } from 'react';
import { inches } from '@/core/length';
import { PAPERS, sizesFor } from '@/core/design';
import { cutListOf, freeId, sheetsTaken, withPaper, type SetPaperInput } from '@/core/sets';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { PaperThickness } from '../parts/PaperThickness';
import { useUnits } from '../parts/InUnits';
import { TextField } from '../parts/TextField';
import { useStashPapers } from '../parts/useStash';
import { inWords, Words } from '../parts/Words';
import type { TogetherProps } from './props';
import { tintOf } from './tint';
import styles from './Together.module.css';

/** The paper picked up to be given away, and how to lay it down. */
export interface Giving {
  readonly paper: string | null;
  readonly nameOf: (id: string | null) => string;
}

/** The papers of the set in one row; one picked up is given to a part or a piece by tapping that. */
export function Papers({
  whole,
  onSet,
  children,
}: TogetherProps & { readonly children: (giving: Giving) => ReactNode }) {
  const { say } = useUnits();
  const [picked, setPicked] = useState<string | null>(null);
  const papers = whole.set.papers ?? [];
  const paper = papers.find(({ id }) => id === picked) ?? null;
  const nameOf = (id: string | null): string => {
    const one = papers.find((other) => other.id === id);
    return one?.name || (id === null ? 'any paper' : papers.length > 1 ? `Paper ${papers.indexOf(one!) + 1}` : 'Paper');
  };
  const takes = useMemo(() => {
    if (!('plan' in whole)) return new Map<string, number | null>();
    const { set } = whole.plan;
    return new Map(
      cutListOf(whole.plan).map(({ paper: id, pieces }) => [
        id,
        sheetsTaken(
          set.papers.find((one) => one.id === id),
          pieces,
        ),
      ]),
    );
  }, [whole]);
  const add = (): void => {
    const id = freeId(whole.set, 'paper', 'papers');
    onSet(
      (set) => withPaper(set, { id, name: `Paper ${papers.length + 1}`, width: inches(12), height: inches(12) }),
      `paper-${id}`,
    );
    setPicked(id);
  };
  return (
    <>
      <section className={styles.papers} aria-label="Papers of the set">
        <div className={styles.row} role="group" aria-label="Papers">
          {papers.map(({ id, width, height, count }) => {
            const sheets = takes.get(id);
            const short = count !== undefined && sheets !== null && sheets !== undefined && sheets > count;
            return (
              <button
                key={id}
                type="button"
                aria-pressed={picked === id}
                data-paper={id}
                data-short={short || undefined}
                style={tintOf(whole.set, id)}
                className={styles.paper}
                onClick={() => setPicked(picked === id ? null : id)}
              >
                <strong>{nameOf(id)}</strong>
                <small>
                  <Words>
                    {width !== undefined && height !== undefined
                      ? `${say(Number(width))} × ${say(Number(height))}`
                      : 'any size'}
                  </Words>
                </small>
                <small>{sheetsSaid(sheets, count)}</small>
              </button>
            );
          })}
          <Button icon={<PlusOutlined />} onClick={add}>
            A paper
          </Button>
        </div>
        {picked && paper && (
          <PaperForm
            paper={paper}
            takes={takes.get(paper.id) ?? 0}
            onChange={(next, key) => onSet((set) => withPaper(set, { ...paper, ...next }), `paper-${picked}-${key}`)}
          />
        )}
        {picked && <p className={styles.soft}>Now tap what it is for, below: a part, or one of its pieces.</p>}
      </section>
      {children({ paper: picked, nameOf })}
    </>
  );
}

/** What it takes of a paper, and has. */
function sheetsSaid(sheets: number | null | undefined, count: number | undefined): string {
  if (sheets === undefined) return 'nothing is cut from it';
  if (sheets === null) return count === undefined ? '' : `${count} at hand`;
  if (!Number.isFinite(sheets)) return 'too small for a piece';
  const takes = `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`;
  if (count === undefined) return takes;
  return sheets > count ? `${takes}, ${count} at hand: buy ${sheets - count}` : `${takes} of ${count}`;
}

function PaperForm({
  paper,
  takes,
  onChange,
}: {
  readonly paper: SetPaperInput;
  /** Sheets of it that the set takes. */
  readonly takes: number;
  readonly onChange: (next: Partial<SetPaperInput>, key: string) => void;
}) {
  const { say, units } = useUnits();
  const stash = useStashPapers();
  const { name = '', width, height, count, caliper, sided = 2, directional = false, stash: own } = paper;
  return (
    <div className={styles.paperForm} role="group" aria-label="The paper">
      <label className={styles.labelled}>
        Name
        <TextField
          aria-label="Name of the paper"
          value={name}
          maxLength={120}
          onChange={(next) => onChange({ name: next }, 'name')}
        />
      </label>
      <Select
        {...inWords}
        aria-label="Which paper it is"
        value={own ?? PAPERS.find((one) => one.width === width && one.height === height)?.id ?? 'free'}
        options={[
          { value: 'free', label: 'My own size' },
          ...sizesFor(units, PAPERS).map(({ id, title }) => ({ value: id, label: title })),
          ...(stash.length > 0
            ? [
                {
                  label: 'In your stash',
                  options: stash.map((one) => ({
                    value: one.id,
                    label: `${one.name}, ${say(one.width)} × ${say(one.height)}, ${one.count}`,
                  })),
                },
              ]
            : []),
        ]}
        onChange={(id: string) => {
          const kept = stash.find((one) => one.id === id);
          const sold = PAPERS.find((one) => one.id === id);
          if (kept)
            onChange(
              {
                name: kept.name,
                width: kept.width,
                height: kept.height,
                count: kept.count,
                caliper: kept.caliper,
                sided: kept.sided,
                directional: kept.directional,
                stash: kept.id,
              },
              'stash',
            );
          else if (sold) onChange({ width: sold.width, height: sold.height, stash: undefined }, 'size');
        }}
      />
      <div className={styles.pair}>
        <LengthField
          label="Sheet width"
          value={width === undefined ? undefined : Number(width)}
          least={10}
          onChange={(length) => onChange({ width: length, height: height ?? length }, 'width')}
        />
        <LengthField
          label="Sheet height"
          value={height === undefined ? undefined : Number(height)}
          least={10}
          onChange={(length) => onChange({ height: length, width: width ?? length }, 'height')}
        />
        {count === undefined ? (
          <Button onClick={() => onChange({ count: Number.isFinite(takes) ? takes : 0 }, 'count')}>
            Count the sheets
          </Button>
        ) : (
          <label className={styles.labelled}>
            Sheets at hand
            <NumberField
              aria-label="Sheets at hand"
              min={0}
              max={10_000}
              precision={0}
              value={count}
              onChange={(next) => onChange({ count: next }, 'count')}
            />
          </label>
        )}
      </div>
      <PaperThickness caliper={Number(caliper ?? 0.25)} onChange={(next) => onChange({ caliper: next }, 'caliper')} />
      <div className={styles.headLine}>
        <Checkbox
          checked={sided === 1}
          onChange={(event) => onChange({ sided: event.target.checked ? 1 : 2 }, 'sided')}
        >
          Printed on one side
        </Checkbox>
        <Checkbox
          checked={directional}
          onChange={(event) => onChange({ directional: event.target.checked }, 'directional')}
        >
          Print has a right way up
        </Checkbox>
      </div>
    </div>
  );
}
