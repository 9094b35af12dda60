import { Input, type InputProps } from 'antd';
import type { ChangeEvent } from 'react';
import { manyLines, oneLine } from '@/core/text';
import { useHeld } from './useHeld';

interface TextFieldProps extends Omit<InputProps, 'value' | 'onChange' | 'onBlur' | 'type' | 'size'> {
  readonly value: string;
  /** The text as it can be printed; the field itself shows what was typed. */
  readonly onChange: (text: string) => void;
  /** A field of several lines, at least and at most so many. */
  readonly lines?: readonly [least: number, most: number];
  /** An empty field is not passed on: left, it shows what is kept. */
  readonly needed?: boolean;
}

/** A text to type. */
export function TextField({ value, onChange, lines, needed = false, ...rest }: TextFieldProps) {
  const clean = lines ? manyLines : oneLine;
  const { shown, hold, release } = useHeld(value, (typed, kept) => clean(typed) === kept);
  const type = (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>): void => {
    const typed = event.target.value;
    hold(typed);
    const text = clean(typed);
    if (text !== '' || !needed) onChange(text);
  };
  if (lines)
    return (
      <Input.TextArea
        {...(rest as object)}
        autoSize={{ minRows: lines[0], maxRows: lines[1] }}
        value={shown}
        onChange={type}
        onBlur={release}
      />
    );
  return <Input {...rest} value={shown} onChange={type} onBlur={release} />;
}
