import { Select } from 'antd';
import { useState } from 'react';
import { caliperOf, gramsAt, gramsOf, INCH, mm, poundsOf, type Mm, feelsLike, sayThin } from '@/core/length';
import { NumberField } from './NumberField';
import { useUnits } from './InUnits';
import styles from './PaperThickness.module.css';

/** How a packet of paper says how thick it is, and what one unit of it comes to in mm and back. */
const MEASURES = {
  gsm: { title: 'g/m²', digits: 0, step: 10, from: gramsAt, to: (v: number): Mm => caliperOf(v) },
  cover: {
    title: 'lb cover',
    digits: 0,
    step: 5,
    from: (c: number) => poundsOf(gramsAt(c), 'cover'),
    to: (v: number): Mm => caliperOf(gramsOf(v, 'cover')),
  },
  text: {
    title: 'lb text',
    digits: 0,
    step: 5,
    from: (c: number) => poundsOf(gramsAt(c), 'text'),
    to: (v: number): Mm => caliperOf(gramsOf(v, 'text')),
  },
  mm: { title: 'mm', digits: 2, step: 0.01, from: (c: number) => c, to: (v: number): Mm => mm(v) },
  mil: {
    title: '1/1000 in',
    digits: 1,
    step: 0.5,
    from: (c: number) => (c / INCH) * 1000,
    to: (v: number): Mm => mm((v * INCH) / 1000),
  },
} as const;
type Measure = keyof typeof MEASURES;

/** Thinnest and thickest sheet there is a plan for, mm. */
const [THINNEST, THICKEST] = [0.02, 5];

interface PaperThicknessProps {
  readonly caliper: number;
  readonly onChange: (caliper: Mm) => void;
}

/** How thick the paper is, by what its packet says: a weight or a caliper. */
export function PaperThickness({ caliper, onChange }: PaperThicknessProps) {
  const { units } = useUnits();
  const [measure, setMeasure] = useState<Measure>('gsm');
  const { from, to, digits, step } = MEASURES[measure];
  const rounded = (value: number): number => Number(value.toFixed(digits));
  const weighed = measure !== 'mm' && measure !== 'mil';
  return (
    <div className={styles.thickness}>
      <label htmlFor="paper-thickness">Weight or thickness of a sheet</label>
      <div className={styles.pair}>
        <NumberField
          id="paper-thickness"
          aria-label="Weight or thickness of a sheet"
          value={rounded(from(caliper))}
          min={rounded(from(THINNEST))}
          max={rounded(from(THICKEST))}
          step={step}
          precision={digits}
          aria-describedby="paper-thickness-note"
          onChange={(value) => onChange(to(value))}
        />
        <Select<Measure>
          aria-label="Measured in"
          value={measure}
          options={(Object.keys(MEASURES) as Measure[]).map((value) => ({ value, label: MEASURES[value].title }))}
          onChange={setMeasure}
        />
      </div>
      <p id="paper-thickness-note" className={styles.note}>
        {weighed
          ? `About ${sayThin(caliper, units)}, ${feelsLike(caliper)}. Ten sheets under a rule tell it better.`
          : `About ${Math.round(gramsAt(caliper))} g/m², ${Math.round(poundsOf(gramsAt(caliper), 'cover'))} lb cover.`}
      </p>
    </div>
  );
}
