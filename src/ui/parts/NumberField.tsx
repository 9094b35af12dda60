import { InputNumber, type InputNumberProps } from 'antd';
import { useHeld } from './useHeld';

interface NumberFieldProps extends Omit<InputNumberProps<number>, 'value' | 'onChange' | 'onBlur'> {
  readonly value: number;
  readonly onChange: (value: number) => void;
}

/** A number to type or to step. An empty field changes nothing; left, it shows what is kept. */
export function NumberField({ value, onChange, ...rest }: NumberFieldProps) {
  const { shown, hold, release } = useHeld<number | null>(value);
  return (
    <InputNumber<number>
      {...rest}
      value={shown}
      onChange={(typed) => {
        hold(typed);
        if (typed !== null) onChange(typed);
      }}
      onBlur={release}
    />
  );
}
