import { Button, Slider } from 'antd';
import styles from './StepSlider.module.css';

interface StepSliderProps {
  readonly label: string;
  /** How many steps are done; a part of one where `parts` are shown. */
  readonly at: number;
  /** What each step is, from the first on. */
  readonly words: readonly string[];
  /** Smallest pull of the slider, as a share of a step; whole steps when left out. */
  readonly parts?: number;
  /** What else is to be said under it, and its id for what it describes. */
  readonly note: { readonly id: string; readonly text: string };
  /** Pulled to there. */
  readonly onPull: (to: number) => void;
  /** One whole step on or back, by button or key. */
  readonly onStep: (by: 1 | -1) => void;
}

const KEYS: Record<string, 1 | -1> = {
  ArrowRight: 1,
  ArrowUp: 1,
  PageDown: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: -1,
};

/** Goes through the steps of a making: pulled, by buttons, or by keys, which always take whole steps. */
export function StepSlider({ label, at, words, parts = 1, note, onPull, onStep }: StepSliderProps) {
  const last = words.length - 1;
  const index = Math.min(last, Math.ceil(at - 1e-9));
  return (
    <div className={styles.order}>
      <div
        className={styles.slider}
        onKeyDownCapture={(event) => {
          const by = KEYS[event.key];
          if (by === undefined) return;
          event.preventDefault();
          event.stopPropagation();
          onStep(by);
        }}
      >
        <Button aria-label="A step back" disabled={at <= 0} onClick={() => onStep(-1)}>
          ‹
        </Button>
        <Slider
          min={0}
          max={last}
          step={parts}
          value={at}
          tooltip={{ open: false }}
          onChange={onPull}
          ariaLabelForHandle={label}
          ariaValueTextFormatterForHandle={(value) => words[Math.min(last, Math.ceil(value))] ?? ''}
        />
        <Button aria-label="A step on" disabled={at >= last} onClick={() => onStep(1)}>
          ›
        </Button>
      </div>
      <p className={styles.caption} aria-live="polite">
        <strong>
          {index} of {last}
        </strong>{' '}
        {words[index]}
      </p>
      <p id={note.id} className={styles.note} aria-live="polite">
        {note.text}
      </p>
    </div>
  );
}
