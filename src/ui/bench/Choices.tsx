import { Checkbox, Collapse, Radio } from 'antd';
import { useMemo } from 'react';
import type { OptionField } from '@/core/constructions';
import { consequenceOf } from '@/core/choosing';
import { usualWords } from '@/core/length';
import { constructionOptions, type Design, type DesignChange } from '@/core/design';
import { planFor } from '@/core/plan';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { useUnits } from '../parts/InUnits';
import styles from './Brief.module.css';

interface ChoicesProps {
  readonly design: Design;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** Every option the construction declares that makes a difference now, the room aimed for, and its usual mistakes. */
export function Choices(props: ChoicesProps) {
  const { design, onChange } = props;
  const { construction, aim } = design;
  const { units } = useUnits();
  const idle = construction.idle(design.options);
  const options = constructionOptions(construction.name).filter(
    ({ name, onPaper }) => !onPaper && !idle.includes(name),
  );
  const room = (side: 'width' | 'height') => (
    <LengthField
      label={`Room, ${side}`}
      value={aim[side]}
      least={0}
      most={100}
      onChange={(length) => onChange({ ease: { ...aim, [side]: length } }, `ease-${side}`)}
    />
  );
  return (
    <Collapse
      // A book follows from its envelopes: they are asked for at once.
      key={construction.does === 'gathers' ? 'book' : 'one'}
      defaultActiveKey={construction.does === 'gathers' ? ['choices'] : []}
      ghost
      className={styles.more}
      items={[
        {
          key: 'choices',
          label: 'Choices and room',
          children: (
            <>
              {options.map((option) => (
                <OptionInput key={option.name} option={option} {...props} />
              ))}
              {!design.blank && construction.ease.aim.width > 0 && (
                <div className={styles.pair}>
                  {room('width')}
                  {room('height')}
                </div>
              )}
            </>
          ),
        },
        {
          key: 'advice',
          label: 'Usual mistakes',
          children: (
            <dl className={styles.advice}>
              {construction.advice.map(({ mistake, instead }) => (
                <div key={mistake}>
                  <dt>{mistake}</dt>
                  <dd>{usualWords(instead, units)}</dd>
                </div>
              ))}
            </dl>
          ),
        },
      ]}
    />
  );
}

/** One option: a length to type, or a choice with what speaks for each. */
export function OptionInput({ option, design, onChange }: ChoicesProps & { readonly option: OptionField }) {
  const { units } = useUnits();
  const { name, title, choices, unit, limits } = option;
  const open = option.open && usualWords(option.open, units);
  const description = usualWords(option.description, units);
  const value = (design.options as Record<string, string | number | boolean | undefined>)[name];
  const change = (to: string | number | boolean | undefined): void =>
    onChange({ options: { [name]: to } }, `option-${name}`);
  if (unit === 'mm')
    return (
      <LengthField
        label={title}
        value={typeof value === 'number' ? value : undefined}
        placeholder={open}
        title={description}
        least={limits?.least ?? (limits?.over ?? 0) + 0.1}
        most={limits?.most}
        onChange={change}
        onClear={open ? () => change(undefined) : undefined}
      />
    );
  if (unit === 'count')
    return (
      <label className={styles.choice}>
        <span>{title}</span>
        <NumberField
          aria-label={title}
          value={Number(value)}
          min={limits?.least}
          max={limits?.most}
          precision={0}
          title={description}
          onChange={change}
        />
      </label>
    );
  if (unit === 'yes-no')
    return (
      <div className={styles.choice}>
        <Checkbox checked={value === true} title={description} onChange={(event) => change(event.target.checked)}>
          {title}
        </Checkbox>
      </div>
    );
  const schoolOf = (choice: string) =>
    design.construction.schools.find((school) => school.option === name && school.value === choice);
  return (
    <div className={styles.choice}>
      <span id={`choice-${name}`}>{title}</span>
      <Radio.Group
        aria-labelledby={`choice-${name}`}
        value={value}
        onChange={(event) => change(event.target.value as string)}
      >
        {choices.map((choice) => (
          <Radio key={choice} value={choice} className={styles.school}>
            {schoolOf(choice)?.title ?? choice}
            <small>
              {schoolOf(choice)?.why} <Consequence design={design} option={name} value={choice} />
            </small>
          </Radio>
        ))}
      </Radio.Group>
    </div>
  );
}

/** What a choice would come to, read off its own folding. */
function Consequence({
  design,
  option,
  value,
}: {
  readonly design: Design;
  readonly option: string;
  readonly value: string;
}) {
  const { say } = useUnits();
  const words = useMemo(() => {
    const options = { ...(design.options as Record<string, unknown>), [option]: value };
    try {
      return consequenceOf(planFor({ ...design, options }), say);
    } catch {
      // What it would come to is a hint; where it cannot be worked out there is none.
      return '';
    }
  }, [design, option, value, say]);
  return <em>{words}</em>;
}
