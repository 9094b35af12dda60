import { DeleteOutlined } from '@ant-design/icons';
import { Button, Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import type { Edge } from '@/core/pattern';
import { LengthField } from '../parts/LengthField';
import type { HangingFlap } from './useMishap';
import { begun, isDeep, type ToldFact } from './facts';
import styles from './Rescue.module.css';

const NAMES: Record<ToldFact['kind'], string> = {
  blank: 'It is another size',
  score: 'A score',
  notch: 'A notch',
  slit: 'A slit, or a cut that ran on',
  hole: 'A hole',
  torn: 'It is torn',
  'flap-off': 'A flap came off at its fold',
  glued: 'It is glued, and cannot be opened',
};
const BEGIN = ['blank', 'score', 'notch', 'slit', 'hole', 'torn', 'flap-off', 'glued'] as const;
const EDGES: readonly { readonly value: Edge; readonly label: string }[] = [
  { value: 1, label: 'edge 1, near' },
  { value: 2, label: 'edge 2, right' },
  { value: 3, label: 'edge 3, far' },
  { value: 4, label: 'edge 4, left' },
];

interface FactsProps {
  readonly facts: readonly ToldFact[];
  readonly blank: { readonly width: number; readonly height: number };
  /** Parts that hang by one fold: what may be stuck, and made anew. */
  readonly flaps: readonly Flap[];
  readonly onChange: (facts: readonly ToldFact[]) => void;
  /** What it is answered with. */
  readonly children?: ReactNode;
}
type Flap = Pick<HangingFlap, 'id' | 'name' | 'score'>;

/** Everything that is wrong, one line each, as the ruler says. */
export function Facts({ facts, blank, flaps, onChange, children }: FactsProps) {
  const put = (i: number, fact: ToldFact): void => onChange(facts.map((one, k) => (k === i ? fact : one)));
  return (
    <section className={styles.facts} aria-label="What is wrong">
      <h2>What is wrong?</h2>
      {facts.length === 0 && (
        <p className={styles.soft}>
          Drag a score or notch on the sheet to where it really is, tap where something happened, or add it here.
        </p>
      )}
      <ul>
        {facts.map((fact, i) => (
          <li key={i} aria-label={NAMES[fact.kind]}>
            <strong>{NAMES[fact.kind]}</strong>
            <FactFields fact={fact} flaps={flaps} onChange={(next) => put(i, next)} />
            <Button
              size="small"
              type="text"
              icon={<DeleteOutlined aria-hidden />}
              aria-label={`Take out: ${NAMES[fact.kind]}`}
              onClick={() => onChange(facts.filter((_, k) => k !== i))}
            />
          </li>
        ))}
      </ul>
      <Select<ToldFact['kind'] | null>
        className={styles.add}
        aria-label="Add what is wrong"
        value={null}
        placeholder="Add what is wrong"
        options={BEGIN.filter((kind) =>
          kind === 'flap-off'
            ? flaps.length > 0
            : (kind !== 'blank' && kind !== 'glued') || !facts.some((one) => one.kind === kind),
        ).map((kind) => ({ value: kind, label: NAMES[kind] }))}
        onChange={(kind) =>
          kind && onChange([...facts, kind === 'flap-off' ? { kind, score: flaps[0]!.score } : begun(kind, blank)])
        }
      />
      {children}
    </section>
  );
}

interface FieldsProps {
  readonly fact: ToldFact;
  readonly flaps: readonly Flap[];
  readonly onChange: (fact: ToldFact) => void;
}

function FactFields({ fact, flaps, onChange }: FieldsProps) {
  switch (fact.kind) {
    case 'blank':
      return (
        <div className={styles.fields}>
          <LengthField
            label="It is wide"
            value={fact.width}
            least={5}
            most={2000}
            onChange={(width) => onChange({ ...fact, width })}
          />
          <LengthField
            label="It is high"
            value={fact.height}
            least={5}
            most={2000}
            onChange={(height) => onChange({ ...fact, height })}
          />
        </div>
      );
    case 'glued':
      return (
        <div className={styles.fields}>
          <Select
            aria-label="What is stuck"
            value={fact.panel ?? ''}
            options={[
              { value: '', label: 'All of it' },
              ...flaps.map(({ id, name }) => ({ value: id, label: `Only the ${name}` })),
            ]}
            onChange={(panel) => onChange({ kind: 'glued', ...(panel && { panel }) })}
          />
        </div>
      );
    case 'flap-off':
      return (
        <div className={styles.fields}>
          <Select
            aria-label="Which flap came off"
            value={fact.score}
            options={flaps.map(({ score, name }) => ({ value: score, label: `The ${name}` }))}
            onChange={(score) => onChange({ kind: 'flap-off', score })}
          />
        </div>
      );
    case 'torn':
      return (
        <div className={styles.fields}>
          <OnEdge value={fact.edge} onChange={(edge) => onChange({ ...fact, edge })} />
          <LengthField
            label="From the edge’s left end"
            value={fact.at}
            least={0}
            most={2000}
            onChange={(at) => onChange({ ...fact, at })}
          />
          <LengthField
            label="Torn, wide"
            value={fact.wide}
            least={1}
            most={500}
            onChange={(wide) => onChange({ ...fact, wide })}
          />
          <LengthField
            label="Torn, deep"
            value={fact.deep}
            least={1}
            most={500}
            onChange={(deep) => onChange({ ...fact, deep })}
          />
        </div>
      );
    default:
      return (
        <div className={styles.fields}>
          <OnEdge value={fact.edge} onChange={(edge) => onChange({ ...fact, edge })} />
          <LengthField
            label={fact.instead === null ? 'It is at' : 'It should be at'}
            value={fact.at}
            least={0}
            most={2000}
            onChange={(at) => onChange({ ...fact, at })}
          />
          {fact.instead !== null && (
            <LengthField
              label="It really is at"
              value={fact.instead}
              least={0}
              most={2000}
              onChange={(instead) => onChange({ ...fact, instead })}
            />
          )}
          {isDeep(fact) && (
            <LengthField
              label={fact.kind === 'slit' ? 'It is cut in' : 'In from the edge'}
              value={fact.deep ?? 0}
              least={1}
              most={2000}
              onChange={(deep) => onChange({ ...fact, deep })}
            />
          )}
          <Checkbox
            checked={fact.instead === null}
            onChange={({ target }) => onChange({ ...fact, instead: target.checked ? null : fact.at })}
          >
            One too many
          </Checkbox>
        </div>
      );
  }
}

const OnEdge = ({ value, onChange }: { readonly value: Edge; readonly onChange: (edge: Edge) => void }) => (
  <Select<Edge> aria-label="Which edge" value={value} options={[...EDGES]} onChange={onChange} />
);
