import { mm, type Mm } from '@/core/length';
import { LengthField } from '../parts/LengthField';
import styles from './Brief.module.css';

interface SizeFieldsProps {
  readonly labels: readonly [width: string, height: string];
  readonly value: { readonly width: Mm; readonly height: Mm };
  /** Least either length may be, mm. */
  readonly least: number;
  readonly onChange: (side: 'width' | 'height', length: Mm) => void;
}

/** A width and a height beside each other. */
export function SizeFields({ labels, value, least, onChange }: SizeFieldsProps) {
  return (
    <div className={styles.pair}>
      {(['width', 'height'] as const).map((side, i) => (
        <LengthField
          key={side}
          label={labels[i]!}
          value={value[side]}
          least={least}
          onChange={(length) => onChange(side, mm(length))}
        />
      ))}
    </div>
  );
}
