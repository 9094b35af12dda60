import { MinusOutlined, PlusOutlined } from '@ant-design/icons';
import { Button, InputNumber, Space, type InputNumberProps } from 'antd';
import { useMedia } from '../shell/useMedia';
import { useHeld } from './useHeld';
import styles from './NumberField.module.css';

interface NumberFieldProps extends Omit<InputNumberProps<number>, 'value' | 'onChange' | 'onBlur'> {
  readonly value: number;
  readonly onChange: (value: number) => void;
  /** What is counted: its name for who does not see the label beside it. */
  readonly 'aria-label': string;
}

/**
 * A number to type or to step. An empty field changes nothing; left, it shows what is kept. A finger finds a step less and a step
 * more on its sides.
 */
export function NumberField({ value, onChange, ...rest }: NumberFieldProps) {
  const { shown, hold, release } = useHeld<number | null>(value);
  const touched = useMedia('(pointer: coarse)');
  const field = (
    <InputNumber<number>
      {...rest}
      value={shown}
      // A finger hits neither of the small arrows; what is read out as the field’s name would have them in it.
      controls={!touched}
      onChange={(typed) => {
        hold(typed);
        if (typed !== null) onChange(typed);
      }}
      onBlur={release}
    />
  );
  if (!touched) return field;
  const { step = 1, min = -Infinity, max = Infinity, precision, disabled, 'aria-label': label } = rest;
  const name = label.replace(/\?$/, '');
  const by = (steps: number): void => {
    const next = Math.min(Number(max), Math.max(Number(min), value + steps * Number(step)));
    release();
    onChange(Number(next.toFixed(precision ?? 4)));
  };
  return (
    <Space.Compact className={styles.steps}>
      <Button
        icon={<MinusOutlined aria-hidden />}
        aria-label={`${name}: less`}
        disabled={disabled === true || value <= Number(min)}
        onClick={() => by(-1)}
      />
      {field}
      <Button
        icon={<PlusOutlined aria-hidden />}
        aria-label={`${name}: more`}
        disabled={disabled === true || value >= Number(max)}
        onClick={() => by(1)}
      />
    </Space.Compact>
  );
}
