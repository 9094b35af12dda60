import { PlusOutlined } from '@ant-design/icons';
import { Modal, Radio, Select } from 'antd';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { z } from '@/core/text/zod';
import { CONSTRUCTIONS, constructionNamed, DOES, type Does } from '@/core/constructions';
import { inches, mm } from '@/core/length';
import { LAYER_PLACES, type LayerPlace } from '@/core/design';
import {
  freeId,
  LIES,
  MOST_ALIKE,
  withInside,
  withOutside,
  withPart,
  withSetInside,
  withSetOutside,
  type Lie,
  type PartInput,
  type SetInput,
} from '@/core/sets';
import { uncapitalised } from '@/core/text';
import type { Project } from '@/data/db';
import { newId } from '@/data/newId';
import { shelfAndBin } from '@/data/projects';
import { LengthField } from '../parts/LengthField';
import { MenuButton } from '../parts/MenuButton';
import { NumberField } from '../parts/NumberField';
import { TextField } from '../parts/TextField';
import { LAYER_TITLE, LIE_TITLE } from '../parts/titles';
import { useAll } from '../parts/useKept';
import { useUnsent } from '../parts/useUnsent';
import type { ViewName } from '../parts/views';
import type { TogetherProps } from './props';
import styles from './Together.module.css';

interface AddPartProps extends TogetherProps {
  readonly view: ViewName;
  readonly onView: (view: ViewName) => void;
}

type How = 'in' | 'out';

/** What is being added, and how it lies. */
const ADDING = z.object({
  how: z.enum(['in', 'out']),
  /** `given`, `envelope` for a bought one, a construction, or `shelf/` and the id of a project. */
  what: z.string(),
  name: z.string(),
  count: z.number().int().positive(),
  lie: z.enum(LIES),
  size: z.object({ width: z.number(), height: z.number(), thickness: z.number() }),
  /** One for each, or one for all. */
  each: z.boolean(),
});
type Adding = z.infer<typeof ADDING>;

/** What can hold something, and what can lie in something. */
const holders = (does: readonly Does[]) =>
  DOES.filter((one) => does.includes(one)).map((one) => ({
    label: GROUP[one],
    options: CONSTRUCTIONS.filter((construction) => construction.does === one && construction.name !== 'mat').map(
      ({ name, title }) => ({ value: name, label: title }),
    ),
  }));
const GROUP: Record<Does, string> = {
  closes: 'Closes over it',
  opens: 'An open pocket',
  wraps: 'Goes round it',
  stands: 'Stands about it',
  gathers: 'An album of many',
  decorates: 'A card, a tag',
};

/** Adds to the set: what goes in the part on the table, what it goes in or what goes round it, a layer, more of it. */
export function AddPart({ whole, part, onSet, onShow, view, onView }: AddPartProps) {
  const project = useSearchParams().get('p') ?? '';
  const [begun, setBegun] = useState<Adding | null>(null);
  const raw = whole.set.parts.find(({ id }) => id === part) ?? whole.set.parts.at(-1)!;
  const planned = 'plan' in whole ? whole.plan.parts.find((one) => one.part.id === raw.id) : undefined;
  const name = raw.name ?? titleOf(raw);
  const decorates = constructionNamed(String(raw.design?.construction))?.does === 'decorates';
  const begin = (how: How): void => {
    const contents = planned?.plan.design.contents ?? planned?.plan.made?.largest;
    const [what, count] = how === 'in' ? ['given', 1] : ['seam-envelope', raw.quantity ?? 1];
    setBegun({
      how,
      what,
      name: how === 'in' ? 'Card' : (constructionNamed(what)?.title ?? ''),
      count,
      lie: 'stacked',
      size: {
        width: contents && contents.width > 0 ? contents.width : inches(3),
        height: contents && contents.height > 0 ? contents.height : inches(4),
        thickness: contents?.thickness ?? 0,
      },
      each: true,
    });
  };
  const run: Record<string, () => void> = {
    in: () => begin('in'),
    out: () => begin('out'),
    round: () => {
      const id = freeId(whole.set, 'band');
      onSet(
        (set) =>
          withOutside(set, {
            id,
            name: 'Band',
            quantity: raw.quantity ?? 1,
            ...paperLike(set, raw),
            design: { construction: 'belly-band' },
            round: raw.id,
          }),
        `add-${id}`,
      );
      onShow(id, view === 'together' ? 'together' : 'sheet');
    },
    more: () =>
      onSet((set) => withPart(set, raw.id, { quantity: Math.min(MOST_ALIKE, (raw.quantity ?? 1) + 1) }), 'more'),
  };
  const layer = (on: LayerPlace): void =>
    onSet(
      (set) => withPart(set, raw.id, { layers: [...(raw.layers ?? []), { id: newId(), on }] }),
      `layer-${on}-${raw.layers?.length ?? 0}`,
    );
  const lower = uncapitalised(name);
  return (
    <>
      <MenuButton
        icon={<PlusOutlined />}
        aria-label="Add to the set"
        items={[
          ...((raw.given && !raw.given.envelope) || decorates
            ? []
            : [{ key: 'in', label: `What goes in the ${lower}` }]),
          { key: 'out', label: `What the ${lower} goes in` },
          { key: 'round', label: `A band round the ${lower}` },
          {
            key: 'layer',
            label: `A layer on the ${lower}`,
            children: LAYER_PLACES.filter((on) => on !== 'sheet' && !(raw.given && on === 'inside')).map((on) => ({
              key: `layer-${on}`,
              label: LAYER_TITLE[on],
            })),
          },
          { key: 'more', label: `One more of the ${lower}` },
          ...(view === 'together' ? [] : [{ key: 'together', label: 'See all of it together' }]),
        ]}
        onPick={(key) => {
          if (key === 'together') onView('together');
          else if (key.startsWith('layer-')) layer(key.slice('layer-'.length) as LayerPlace);
          else run[key]?.();
        }}
      >
        Add
      </MenuButton>
      {begun && (
        <AddDialog
          form={`add/${project}/${raw.id}/${begun.how}`}
          begun={begun}
          to={lower}
          quantity={raw.quantity ?? 1}
          onClose={() => setBegun(null)}
          onAdd={(adding, projects) => {
            const { set, shown } = added(whole.set, raw, adding, projects);
            onSet(
              (now) => added(now, now.parts.find(({ id }) => id === raw.id) ?? raw, adding, projects).set,
              `add-${set.parts.length}`,
            );
            onShow(shown, 'together');
            setBegun(null);
          }}
        />
      )}
    </>
  );
}

const titleOf = (part: PartInput): string => constructionNamed(String(part.design?.construction))?.title ?? part.id;

/** The paper of another part, for one that is added beside it. */
const paperLike = (set: SetInput, part: PartInput): Pick<PartInput, 'paper'> => {
  const paper = part.paper ?? set.papers?.[0]?.id;
  return paper === undefined ? {} : { paper };
};

/** The set with what the dialog says, and the part that is looked at then. */
function added(
  set: SetInput,
  to: PartInput,
  { how, what, name, count, lie, size, each }: Adding,
  projects: readonly Project[],
): { readonly set: SetInput; readonly shown: string } {
  const quantity = to.quantity ?? 1;
  const project = projects.find(({ id }) => what === `shelf/${id}`);
  if (project)
    return how === 'in'
      ? { set: withSetInside(set, to.id, project.set, { count, lie }), shown: to.id }
      : { set: withSetOutside(set, to.id, project.set, { count, lie, each }), shown: to.id };
  const id = freeId(set, name || what);
  const named = { id, name };
  if (how === 'in') {
    const inner: PartInput =
      what === 'given'
        ? { ...named, quantity: count * quantity, given: { ...size } }
        : { ...named, quantity: count * quantity, ...paperLike(set, to), design: { construction: what } };
    // What is there tells the size; what is made for it is as large as there is room.
    const fills = what !== 'given';
    return { set: withInside(set, to.id, inner, { count, lie, ...(fills && { fills }) }), shown: id };
  }
  const holds = [{ part: to.id, count: each ? 1 : count, lie }];
  if (what === 'envelope') {
    const given = { ...size, thickness: 0, envelope: { flap: mm(size.height / 3) } };
    return { set: withOutside(set, { ...named, quantity: each ? quantity : 1, given, holds }), shown: id };
  }
  const outer: PartInput = {
    ...named,
    quantity: each ? quantity : 1,
    ...paperLike(set, to),
    design: { construction: what },
    ...(constructionNamed(what)?.name === 'belly-band'
      ? { round: { part: to.id, count: each ? 1 : count, lie } }
      : { holds }),
  };
  return { set: withOutside(set, outer), shown: id };
}

interface AddDialogProps {
  /** What the form is called, whose draft it is. */
  readonly form: string;
  /** What stands in it before anything is typed. */
  readonly begun: Adding;
  readonly to: string;
  readonly quantity: number;
  readonly onAdd: (adding: Adding, projects: readonly Project[]) => void;
  readonly onClose: () => void;
}

/** What it is, how many of it, and how it lies. */
function AddDialog({ form, begun, to, quantity, onAdd, onClose }: AddDialogProps) {
  const { value, set: onChange, forget } = useUnsent<Adding>(form, begun, ADDING);
  const adding = value ?? begun;
  const { how, what, name, count, lie, size, each } = adding;
  const all = useAll<Project>('projects');
  const shelf = all ? shelfAndBin(all).shelf : [];
  const groups = [
    ...(how === 'in'
      ? [{ label: 'There already', options: [{ value: 'given', label: 'A card, a photo, a sweet' }] }]
      : [{ label: 'There already', options: [{ value: 'envelope', label: 'An envelope that is bought' }] }]),
    ...holders(how === 'in' ? ['decorates', 'closes', 'opens'] : ['closes', 'opens', 'stands', 'wraps']),
    {
      label: 'From the shelf',
      options: shelf.map(({ id, name: called }) => ({ value: `shelf/${id}`, label: called })),
    },
  ];
  return (
    <Modal
      open
      title={how === 'in' ? `What goes in the ${to}?` : `What does the ${to} go in?`}
      okText="Add it"
      onOk={() => {
        forget();
        onAdd(adding, shelf);
      }}
      onCancel={() => {
        forget();
        onClose();
      }}
    >
      <div className={styles.adding}>
        <Select
          aria-label="What it is"
          value={what}
          showSearch={{ optionFilterProp: 'label' }}
          options={groups}
          onChange={(next: string) =>
            onChange({
              what: next,
              name:
                next === 'given'
                  ? 'Card'
                  : next === 'envelope'
                    ? 'Envelope'
                    : (constructionNamed(next)?.title ?? shelf.find(({ id }) => next === `shelf/${id}`)?.name ?? name),
            })
          }
        />
        {!what.startsWith('shelf/') && (
          <label className={styles.labelled}>
            What it is called
            <TextField
              aria-label="What it is called"
              value={name}
              maxLength={60}
              needed
              onChange={(next) => onChange({ name: next })}
            />
          </label>
        )}
        {(what === 'given' || what === 'envelope') && (
          <div className={styles.pair}>
            {(what === 'envelope' ? (['width', 'height'] as const) : (['width', 'height', 'thickness'] as const)).map(
              (side) => (
                <LengthField
                  key={side}
                  label={`Its ${side}`}
                  value={size[side]}
                  least={side === 'thickness' ? 0 : 5}
                  most={side === 'thickness' ? 200 : 2000}
                  onChange={(length) => onChange({ size: { ...size, [side]: mm(length) } })}
                />
              ),
            )}
          </div>
        )}
        {how === 'out' && quantity > 1 && (
          <Radio.Group
            value={each}
            options={[
              { value: true, label: 'Each in one of its own' },
              { value: false, label: 'All together in one' },
            ]}
            onChange={(event) => onChange({ each: event.target.value as boolean })}
          />
        )}
        {(how === 'in' || (quantity > 1 && !each)) && (
          <div className={styles.headLine}>
            <label className={styles.labelled}>
              How many in one
              <NumberField
                aria-label="How many in one"
                min={1}
                max={MOST_ALIKE}
                precision={0}
                value={count}
                onChange={(next) => onChange({ count: next })}
              />
            </label>
            {count > 1 && (
              <Select<Lie>
                aria-label="How they lie"
                value={lie}
                options={LIES.map((value) => ({ value, label: LIE_TITLE[value] }))}
                onChange={(next) => onChange({ lie: next })}
              />
            )}
          </div>
        )}
      </div>
    </Modal>
  );
}
