'use client';

import { Input } from 'antd';
import { useId, type KeyboardEvent } from 'react';
import { formatLength, mm, parseLength, stepOf, type Graduation, type Units } from '@/core/length';
import { useHalfTyped } from './useHalfTyped';
import { useHeld } from './useHeld';
import { useUnits } from './InUnits';
import styles from './LengthField.module.css';

interface LengthFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number) => void;
  /** An empty field leaves it open, where that makes sense. */
  readonly onClear?: () => void;
  /** Least and most that make sense, mm, with the sentence for anything else. */
  readonly least?: number;
  readonly most?: number;
  readonly hint?: string;
  readonly placeholder?: string;
  /** Shown when the pointer rests on the field. */
  readonly title?: string;
}

/** A length as people type it: fractions, decimals, inches or millimetres. Arrow keys step by a mark. */
export function LengthField({
  label,
  value,
  onChange,
  onClear,
  least = 0.1,
  most = 10_000,
  hint,
  placeholder,
  title,
}: LengthFieldProps) {
  const { units, graduation } = useUnits();
  const id = useId();
  const kept = value === undefined ? '' : formatLength(mm(value), units, exactEnough(value, units, graduation));
  const { shown, typing, hold, release, leave } = useHeld(kept, (typed) => {
    const parsed = parseLength(typed, units);
    return parsed.ok ? Math.abs(parsed.value - (value ?? NaN)) < 1e-6 : typed.trim() === '' && value === undefined;
  });
  const open = shown.trim() === '' && onClear !== undefined;
  const read = !typing || open ? null : check(shown);

  function check(text: string): { value: number } | { message: string } {
    const parsed = parseLength(text, units);
    if (!parsed.ok) return { message: parsed.message };
    if (parsed.value < least) return { message: `${label}: at least ${formatLength(mm(least), units, 'exact')}.` };
    if (parsed.value > most) return { message: `${label}: at most ${formatLength(mm(most), units, 'exact')}.` };
    return { value: parsed.value };
  }
  const type = (text: string): void => {
    hold(text);
    if (text.trim() === '' && onClear) {
      if (value !== undefined) onClear();
      return;
    }
    const result = check(text);
    if ('value' in result && Math.abs(result.value - (value ?? NaN)) > 1e-9) onChange(result.value);
    else if ('value' in result && value === undefined) onChange(result.value);
  };
  const step = (event: KeyboardEvent): void => {
    // What cannot be read stays, with its sentence, until it is mended.
    if (event.key === 'Enter' && !wrong) release();
    if ((event.key !== 'ArrowUp' && event.key !== 'ArrowDown') || value === undefined) return;
    event.preventDefault();
    const by = stepOf(graduation) || 1;
    const next = value + (event.key === 'ArrowUp' ? by : -by);
    if (next < least || next > most) return;
    release();
    onChange(Math.round(next * 1e6) / 1e6);
  };
  const wrong = read && 'message' in read ? read.message : null;
  useHalfTyped(label, kept, wrong ? shown : null, (text) => {
    hold(text);
    leave();
  });
  return (
    <div className={styles.field}>
      <label htmlFor={id} title={title}>
        {label}
      </label>
      <Input
        id={id}
        value={shown}
        placeholder={placeholder}
        status={wrong ? 'error' : ''}
        aria-invalid={wrong !== null}
        aria-describedby={wrong || hint ? `${id}-note` : undefined}
        autoComplete="off"
        spellCheck={false}
        onChange={(event) => type(event.target.value)}
        onBlur={wrong ? leave : release}
        onFocus={(event) => event.target.select()}
        onKeyDown={step}
      />
      {(wrong ?? hint) && (
        <p id={`${id}-note`} className={wrong ? styles.wrong : styles.hint} role={wrong ? 'alert' : undefined}>
          {wrong ?? hint}
        </p>
      )}
    </div>
  );
}

/** The person's own marks where the value stands on them, decimals where it does not: a field must not round. */
function exactEnough(value: number, units: Units, graduation: Graduation): Graduation {
  const candidates: readonly Graduation[] = units === 'in' ? [graduation, '1/32 in'] : ['0.5 mm'];
  const read = (marks: Graduation): boolean => {
    const back = parseLength(formatLength(mm(value), units, marks), units);
    return back.ok && Math.abs(back.value - value) < 0.005;
  };
  return candidates.find(read) ?? 'exact';
}
