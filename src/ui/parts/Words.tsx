import { Children, Fragment, type ReactNode } from 'react';
import styles from './Words.module.css';

/**
 * A length in a sentence: sign, whole number, fraction, unit, and the × that goes on to the next. `2 5/8 in ×` is one
 * thing to read, so it stays on one line.
 */
const LENGTH =
  /(?<![\d/])(−?)(?:(\d+) )?(\d+)\/(\d+)( (?:in|mm)\b)?( ×(?= ))?|(?<![\d/.])(−?\d+(?:\.\d+)?)( (?:in|mm|g\/m²|lb)\b)( ×(?= ))?/g;

/**
 * A sentence with its lengths set in type: true diagonal fractions that never break over a line. The text itself is
 * unchanged, so that it is read out, searched and copied as it was. Elements in between stay as they are.
 */
export function Words({ children }: { readonly children: ReactNode }) {
  const parts: ReactNode[] = [];
  let text = '';
  const said = (): void => {
    if (text) parts.push(...set(text));
    text = '';
  };
  // What stands between braces comes in pieces: a length may be told across two of them.
  Children.forEach(children, (child) => {
    if (typeof child === 'string' || typeof child === 'number') text += child;
    else {
      said();
      parts.push(child);
    }
  });
  said();
  return parts.map((part, i) => <Fragment key={i}>{part}</Fragment>);
}

/** What a choice and its options are set with where they name lengths: `<Select {...inWords} …>`. */
export const inWords = {
  labelRender: ({ label }: { readonly label?: ReactNode }) => <Words>{label}</Words>,
  optionRender: ({ label }: { readonly label?: ReactNode }) => <Words>{label}</Words>,
};

/** The same inside a drawing, where a line never breaks. */
export function DrawnWords({ children }: { readonly children: string }) {
  const parts: ReactNode[] = [];
  let from = 0;
  for (const { index, 0: all, 1: sign = '', 2: whole = '', 3: above, 4: below } of children.matchAll(LENGTH)) {
    if (!above) continue;
    const fraction = `${above}/${below}`;
    // A true fraction stands close to its whole number, without the space.
    parts.push(children.slice(from, index + sign.length + whole.length));
    parts.push(
      <tspan key={index} className={styles.fraction}>
        {fraction}
      </tspan>,
    );
    from = index + all.indexOf(fraction) + fraction.length;
  }
  return [...parts, children.slice(from)];
}

function set(text: string): ReactNode[] {
  const parts: ReactNode[] = [];
  let from = 0;
  for (const match of text.matchAll(LENGTH)) {
    parts.push(text.slice(from, match.index));
    from = match.index + match[0].length;
    const [all, sign = '', whole, above, below, unit = '', times = ''] = match;
    parts.push(
      <span className={styles.length}>
        {above ? (
          <>
            {sign}
            {whole}
            {/* The space is read out and copied; a true fraction stands close without it. */}
            {whole && <span className="sr-only"> </span>}
            <span className={styles.fraction}>
              {above}/{below}
            </span>
            {unit}
            {times}
          </>
        ) : (
          all
        )}
      </span>,
    );
  }
  return [...parts, text.slice(from)];
}
