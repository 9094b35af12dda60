import { DeleteOutlined } from '@ant-design/icons';
import { Button, Checkbox, Select } from 'antd';
import { mm } from '@/core/length';
import {
  LIES,
  MOST_ALIKE,
  withoutPart,
  withPart,
  type HeldPart,
  type Lie,
  type PartInput,
  type PlannedPart,
} from '@/core/sets';
import { capitalised } from '@/core/text';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { SoldAs } from '../parts/SoldAs';
import { useUnits } from '../parts/InUnits';
import { TextField } from '../parts/TextField';
import { LIE_TITLE } from '../parts/titles';
import { Words } from '../parts/Words';
import type { TogetherProps } from './props';
import styles from './Together.module.css';

type GivenOf = NonNullable<PartInput['given']>;

/** What is there already may be an envelope: then it has a flap and a mouth, and things go in. */
function GivenEnvelope({
  part,
  onChange,
}: {
  readonly part: PlannedPart['part'];
  readonly onChange: (envelope: GivenOf['envelope'], key: string) => void;
}) {
  const { envelope, width, height } = part.given!;
  const deep = envelope?.opens === 'height' ? width : height;
  return (
    <>
      <Checkbox
        checked={envelope !== undefined}
        onChange={({ target: { checked } }) =>
          onChange(checked ? { flap: mm(height / 3), shape: 'straight', opens: 'width' } : undefined, 'envelope')
        }
      >
        It is an envelope
      </Checkbox>
      {envelope && (
        <div className={styles.pair}>
          <LengthField
            label="Depth of its flap"
            value={envelope.flap}
            least={3}
            most={deep}
            onChange={(flap) => onChange({ ...envelope, flap }, 'flap')}
          />
          <Select<'pointed' | 'straight'>
            aria-label="Shape of its flap"
            value={envelope.shape}
            options={[
              { value: 'straight', label: 'Straight flap' },
              { value: 'pointed', label: 'Pointed flap' },
            ]}
            onChange={(shape) => onChange({ ...envelope, shape }, 'shape')}
          />
          <Select<'width' | 'height'>
            aria-label="Where it opens"
            value={envelope.opens}
            options={[
              { value: 'width', label: 'Opens along its width' },
              { value: 'height', label: 'Opens along its height' },
            ]}
            onChange={(opens) => onChange({ ...envelope, opens }, 'opens')}
          />
          <SoldAs across={width} deep={height} className={styles.soldAs} />
        </div>
      )}
    </>
  );
}

/** The part on the table: its name, how many, what it holds and how that lies; the size of what is there already. */
export function PartHead({ whole, onSet, onShow, planned }: TogetherProps & { readonly planned: PlannedPart | null }) {
  const { say } = useUnits();
  const { set } = whole;
  if (!planned) return null;
  const { part, holds, own: outside } = planned;
  const raw = set.parts.find(({ id }) => id === part.id)!;
  const alone = set.parts.length === 1;
  if (alone && !part.given) return null;
  const change = (next: Partial<PartInput>, key: string): void =>
    onSet((now) => withPart(now, part.id, next), `${part.id}-${key}`);
  /** What is given as it stands that moment: another of its figures may have been typed since this was drawn. */
  const changeGiven = (next: (given: GivenOf) => GivenOf, key: string): void =>
    onSet((now) => {
      const given = now.parts.find(({ id }) => id === part.id)?.given;
      return given ? withPart(now, part.id, { given: next(given) }) : now;
    }, `${part.id}-${key}`);
  const named = (id: string): string => set.parts.find((one) => one.id === id)?.name ?? id;
  const holding = (index: number, next: Partial<HeldPart>): void =>
    change({ holds: raw.holds!.map((hold, i) => (i === index ? { ...hold, ...next } : hold)) }, `holds-${index}`);
  return (
    <div className={styles.head}>
      <div className={styles.headFirst}>
        <TextField
          aria-label="Name of the part"
          value={part.name}
          maxLength={120}
          needed
          onChange={(name) => change({ name }, 'name')}
        />
        <NumberField
          aria-label={`How many of ${part.name}`}
          min={1}
          max={MOST_ALIKE}
          precision={0}
          value={part.quantity}
          onChange={(quantity) => change({ quantity }, 'quantity')}
        />
        {!alone && (
          <Button
            type="text"
            icon={<DeleteOutlined />}
            aria-label={`Take ${part.name} out of the set`}
            onClick={() => onSet((now) => withoutPart(now, part.id, 'plan' in whole ? whole.plan : null), 'without')}
          />
        )}
      </div>
      {part.given && (
        <>
          <p className={styles.soft}>There already: it is checked, and never changed.</p>
          <div className={styles.pair}>
            {(['width', 'height', 'thickness'] as const).map((side) => (
              <LengthField
                key={side}
                label={capitalised(side)}
                value={part.given![side]}
                least={side === 'thickness' ? 0 : 5}
                most={side === 'thickness' ? 200 : 2000}
                onChange={(length) => changeGiven((given) => ({ ...given, [side]: length }), side)}
              />
            ))}
          </div>
          <GivenEnvelope
            part={part}
            onChange={(envelope, key) =>
              changeGiven(({ envelope: _, ...plain }) => (envelope ? { ...plain, envelope } : plain), key)
            }
          />
        </>
      )}
      {part.round && (
        <p className={styles.soft}>
          Round {part.round.count > 1 ? `${part.round.count} of ` : 'the '}
          <button type="button" className={styles.link} onClick={() => onShow(part.round!.part)}>
            {named(part.round.part)}
          </button>
        </p>
      )}
      {part.holds.length > 0 && (
        <ul className={styles.holds} aria-label="What it holds">
          {part.holds.map((hold, i) => (
            <li key={hold.part}>
              <span>
                Holds{' '}
                <button type="button" className={styles.link} onClick={() => onShow(hold.part)}>
                  {named(hold.part)}
                </button>
                {hold.fills && ', as large as it allows'}
              </span>
              <div className={styles.holding}>
                <NumberField
                  aria-label={`How many ${named(hold.part)} in one`}
                  min={1}
                  max={MOST_ALIKE}
                  precision={0}
                  value={hold.count}
                  onChange={(count) => holding(i, { count })}
                />
                <Select<Lie>
                  aria-label={`How ${named(hold.part)} lies`}
                  value={hold.lie}
                  options={LIES.map((value) => ({ value, label: LIE_TITLE[value] }))}
                  onChange={(lie) => holding(i, { lie })}
                />
              </div>
              <Checkbox checked={hold.turn} onChange={(event) => holding(i, { turn: event.target.checked })}>
                Turned a quarter
              </Checkbox>
            </li>
          ))}
        </ul>
      )}
      {(holds || outside) && (
        <p className={styles.soft}>
          <Words>
            {[
              holds && !part.fills
                ? `Takes ${say(holds.width)} × ${say(holds.height)}, ${say(holds.thickness)} thick`
                : '',
              outside ? `outside ${say(outside.width)} × ${say(outside.height)}, ${say(outside.thickness)} thick` : '',
            ]
              .filter(Boolean)
              .join('; ')}
            .
          </Words>
        </p>
      )}
    </div>
  );
}
