import { Checkbox, Collapse, Segmented, Select } from 'antd';
import {
  ADHESIVES,
  CLOSURES,
  DECORATIONS,
  type Adhesive,
  type Closure,
  type Design,
  type DesignChange,
} from '@/core/design';
import { closureOf, closurePlan, glueAdvice, type Made } from '@/core/plan';
import { LengthField } from '../parts/LengthField';
import { useUnits } from '../parts/InUnits';
import { Layers } from './Layers';
import styles from './Brief.module.css';

interface ExtrasProps {
  readonly design: Design;
  readonly made: Made | null;
  readonly onChange: (change: DesignChange, key: string) => void;
}

const HOLDS: Record<Adhesive, string> = {
  'wet-glue': 'Wet glue',
  tape: 'Tape',
  'tape-runner': 'Tape runner',
  'hot-glue': 'Hot glue',
  'hook-dot': 'Hook-and-loop dot',
};
const SHUTS: Record<Closure, string> = {
  none: 'Nothing more',
  cord: 'Cord once round',
  bow: 'Ribbon with a bow',
  laced: 'Laced through holes',
  buttons: 'Two buttons and cord',
  ribbon: 'Ribbon under a mat',
  dot: 'Hook-and-loop dot',
  tuck: 'Flap tucked in',
  band: 'Belly band',
};
/** What holds it together, what shuts it, what is laid on it: each with the figures that follow from the fold. */
export function Extras({ design, made, onChange }: ExtrasProps) {
  const { say } = useUnits();
  const { adhesive, closure, decorate } = design;
  const advice = made ? glueAdvice(made, design) : [];
  const shut = made ? closurePlan(made, design) : null;
  const nameOf = (step: string): string => made?.built.assembly.find(({ id }) => id === step)?.name ?? step;
  return (
    <Collapse
      ghost
      className={styles.more}
      items={[
        {
          key: 'glue',
          label: 'Glue and order of work',
          children: (
            <>
              {advice.map(({ step, chosen, breadth, tape, margin, slides }) => (
                <label key={step} className={styles.join}>
                  {nameOf(step)}
                  <Select<Adhesive>
                    className={styles.wide}
                    aria-label={`Glue for: ${nameOf(step)}`}
                    value={chosen}
                    options={ADHESIVES.map((value) => ({ value, label: HOLDS[value] }))}
                    onChange={(value) =>
                      onChange(
                        { adhesive: { ...adhesive, joins: { ...adhesive.joins, [step]: value } } },
                        `glue-${step}`,
                      )
                    }
                  />
                  <small>
                    {say(breadth)} broad{tape === null ? ', too narrow for tape' : `: tape up to ${say(tape)} fits`}.
                    {margin > 0 && ` Wet glue creeps: stay ${say(margin)} away from the pocket’s side.`}
                    {slides && ' A part slides here: wet glue lets you line it up.'}
                  </small>
                </label>
              ))}
              {advice.some(({ chosen }) => chosen === 'tape') && (
                <LengthField
                  label="Width of the tape"
                  value={adhesive.tape}
                  least={1}
                  most={60}
                  onChange={(tape) => onChange({ adhesive: { ...adhesive, tape } }, 'tape')}
                />
              )}
              {advice.length === 0 && <p className={styles.purpose}>Nothing is glued.</p>}
              <div className={styles.ticks}>
                {DECORATIONS.map((what) => (
                  <Checkbox
                    key={what}
                    checked={decorate.includes(what)}
                    onChange={(event) =>
                      onChange(
                        {
                          decorate: event.target.checked
                            ? [...decorate, what]
                            : decorate.filter((other) => other !== what),
                        },
                        `decorate-${what}`,
                      )
                    }
                  >
                    {what === 'ink' ? 'Ink the edges' : 'Emboss'}
                  </Checkbox>
                ))}
              </div>
              <Segmented<Design['order']>
                block
                aria-label="Order of work"
                value={design.order}
                options={
                  design.construction.does === 'gathers'
                    ? [
                        { value: 'by-operation', label: 'By kind of work' },
                        { value: 'by-piece', label: 'Page by page' },
                      ]
                    : [
                        { value: 'by-operation', label: 'Cut all first' },
                        { value: 'by-piece', label: 'Piece by piece' },
                      ]
                }
                onChange={(order) => onChange({ order }, 'order')}
              />
            </>
          ),
        },
        {
          key: 'closure',
          label: 'How it is shut',
          children: (
            <>
              <Select<Closure>
                className={styles.wide}
                aria-label="How it is shut"
                value={made ? closureOf(made.built, closure) : closure.kind}
                // What the holder's own options tie is never left open.
                options={CLOSURES.filter((kind) => kind !== 'none' || !made?.built.ties).map((value) => ({
                  value,
                  label: SHUTS[value],
                }))}
                onChange={(kind) => onChange({ closure: { ...closure, kind } }, 'closure')}
              />
              {(closure.kind === 'buttons' || closure.kind === 'dot') && (
                <LengthField
                  label="Disc, across"
                  value={closure.disc}
                  least={3}
                  most={60}
                  onChange={(disc) => onChange({ closure: { ...closure, disc } }, 'disc')}
                />
              )}
              {closure.kind === 'buttons' && (
                <>
                  <LengthField
                    label="From a flap’s tip to its disc"
                    value={closure.fromTip}
                    least={3}
                    most={300}
                    placeholder="worked out"
                    onChange={(fromTip) =>
                      onChange({ closure: { ...closure, fromTip, otherFromTip: undefined } }, 'disc-from-tip')
                    }
                    onClear={() =>
                      onChange(
                        { closure: { ...closure, fromTip: undefined, otherFromTip: undefined } },
                        'disc-from-tip',
                      )
                    }
                  />
                  <Checkbox
                    checked={closure.cut}
                    onChange={({ target }) => onChange({ closure: { ...closure, cut: target.checked } }, 'disc-cut')}
                  >
                    Cut discs that would lap along one line
                  </Checkbox>
                </>
              )}
              {shut && shut.length > 0 && <p className={styles.purpose}>Needs {say(shut.length)}, the tie included.</p>}
            </>
          ),
        },
        {
          key: 'layers',
          label: 'Mats, liners, templates',
          children: <Layers design={design} made={made} onChange={onChange} />,
        },
      ]}
    />
  );
}
