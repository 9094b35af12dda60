import { Select } from 'antd';
import { CONSTRUCTIONS } from '@/core/constructions';
import { goesOnWith } from '@/data/makes';
import { LengthField } from '../parts/LengthField';
import { USUAL, type Told } from './facts';
import type { MishapAsked, ToldMishap } from './useMishap';
import styles from './Rescue.module.css';

const HOLDERS = CONSTRUCTIONS.map(({ name, title }) => ({ value: name, label: title }));

interface WhatItWasToBeProps extends Pick<MishapAsked, 'told' | 'aside' | 'project' | 'shelf'> {
  readonly mishap: ToldMishap;
  readonly onTell: (part: Partial<Told>) => void;
}

/** Which thing went wrong, which piece of it, and at which step. */
export function WhatItWasToBe({ told, aside, project, shelf, mishap, onTell }: WhatItWasToBeProps) {
  const { parts, part, pieces, piece, steps } = mishap;
  return (
    <section className={styles.which} aria-label="What it was to be">
      {aside ? (
        <p className={styles.of}>
          <strong>{aside.make.name}</strong>, as it was begun: copy {aside.sheet.copy}
          {parts.length > 1 && part ? ` of ${part.part.name}` : ''}, step {aside.sheet.step}.
          {goesOnWith(aside.make, aside.sheet) && ' What you take goes on from there.'}
        </p>
      ) : (
        <label>
          What it was to be
          <Select
            aria-label="What it was to be"
            className={styles.wide}
            value={told.project}
            options={[
              { value: '', label: 'Nothing on the shelf' },
              ...shelf.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(id) => onTell({ ...USUAL, project: id })}
          />
        </label>
      )}
      {!aside && parts.length > 1 && (
        <label>
          Which of them
          <Select
            aria-label="Which of them"
            value={part?.part.id ?? null}
            options={parts.map((one) => ({ value: one.part.id, label: one.part.name ?? one.part.id }))}
            onChange={(id) => id && onTell({ part: id, piece: '', step: null, facts: [] })}
          />
        </label>
      )}
      {!aside && !project && (
        <>
          <label>
            Holder
            <Select
              aria-label="Holder"
              className={styles.wide}
              value={told.construction}
              options={HOLDERS}
              onChange={(construction) => onTell({ construction, piece: '', step: null, facts: [] })}
            />
          </label>
          <LengthField
            label="What goes in, wide"
            value={told.width}
            least={5}
            most={1000}
            onChange={(width) => onTell({ width })}
          />
          <LengthField
            label="What goes in, high"
            value={told.height}
            least={5}
            most={1000}
            onChange={(height) => onTell({ height })}
          />
        </>
      )}
      {piece && pieces.length > 1 && (
        <label>
          Which piece
          <Select
            aria-label="Which piece"
            value={piece.name}
            options={pieces.map(({ name }) => ({ value: name, label: name }))}
            onChange={(name) => onTell({ piece: name, step: null, facts: [] })}
          />
        </label>
      )}
      {piece && (
        <label>
          It went wrong at
          <Select
            aria-label="It went wrong at"
            className={styles.wide}
            value={told.step ?? 0}
            options={[
              ...steps
                .filter((step) => step.piece === piece.name && step.phase !== 'fold')
                .map(({ id, text }) => ({ value: id, label: `${id}. ${text}` })),
              { value: 0, label: 'Later: all of it is scored and cut' },
            ]}
            onChange={(id) => onTell({ step: id || null })}
          />
        </label>
      )}
    </section>
  );
}
