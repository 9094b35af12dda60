import { Button, Input, Select } from 'antd';
import { z } from '@/core/text/zod';
import { fromStrip, readMeasures, type Hands } from '@/core/hands';
import { inches, mm } from '@/core/length';
import { LengthField } from '../parts/LengthField';
import { useUnits } from '../parts/InUnits';
import { useAsked } from '../parts/useUnsent';
import styles from './FitView.module.css';

const KINDS = [
  { value: 'cut', label: 'pieces I cut' },
  { value: 'score', label: 'lines I scored' },
  { value: 'setting', label: 'settings of my board' },
] as const;

/** What is typed of a strip before its figure is taken. */
const STRIP = z.object({
  kind: z.enum(['cut', 'score', 'setting']),
  wanted: z.number().positive(),
  text: z.string().max(400),
});
type Strip = z.output<typeof STRIP>;
const IN: Strip = { kind: 'cut', wanted: inches(4), text: '' };
const METRIC: Strip = { kind: 'cut', wanted: 100, text: '' };

/** One’s own figure from a test strip: one length cut, scored or set five times, and what the ruler says of each. */
export function TestStrip({ onFigure }: { readonly onFigure: (kind: keyof Hands, off: number) => void }) {
  const { units, say } = useUnits();
  const { value, set, forget } = useAsked('test strip', units === 'in' ? IN : METRIC, STRIP);
  const strip = value ?? (units === 'in' ? IN : METRIC);
  const { kind, wanted, text } = strip;
  const read = readMeasures(text, units);
  const found = read.ok ? fromStrip(wanted, read.measured) : null;
  return (
    <details className={styles.strip}>
      <summary>Measure my own figure from a test strip</summary>
      <div className={styles.hands}>
        <Select<keyof Hands>
          aria-label="What was measured"
          value={kind}
          options={[...KINDS]}
          onChange={(next) => set({ ...strip, kind: next })}
        />
        <LengthField
          label="Each was to be"
          value={mm(wanted)}
          least={5}
          most={1000}
          onChange={(next) => set({ ...strip, wanted: next })}
        />
        <label className={styles.measures}>
          What the ruler says of each, with semicolons between
          <Input
            aria-label="What the ruler says of each"
            value={text}
            maxLength={400}
            placeholder={units === 'in' ? '4; 4 1/32; 3 31/32; 4; 4 1/32' : '100; 100,5; 99,5; 100; 100,5'}
            onChange={({ target }) => set({ ...strip, text: target.value })}
          />
        </label>
        <p role="status">
          {!read.ok
            ? read.message
            : found
              ? `You are off by ${say(found.off)}, give or take ${say(found.sure)}: ${found.measured} measures.`
              : 'Three measures at least, five are better.'}
        </p>
        <Button
          disabled={!found}
          onClick={() => {
            if (!found) return;
            onFigure(kind, found.off);
            forget();
          }}
        >
          Use this figure
        </Button>
      </div>
    </details>
  );
}
