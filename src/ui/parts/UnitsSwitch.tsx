import { Segmented } from 'antd';
import type { Units } from '@/core/length';

/** Inches or millimetres. */
export const UnitsSwitch = ({
  value,
  onChange,
}: {
  readonly value: Units;
  readonly onChange: (units: Units) => void;
}) => (
  <Segmented<Units>
    aria-label="Units"
    value={value}
    options={[
      { value: 'in', label: 'in' },
      { value: 'mm', label: 'mm' },
    ]}
    onChange={onChange}
  />
);
