import { Alert, Button, Checkbox, Modal, Select } from 'antd';
import { useMemo, useState, type ReactNode } from 'react';
import { z } from '@/core/text/zod';
import { stashPaperSchema, type StashPaper } from '@/core/cutting';
import { inches, mm, USUAL_CALIPER } from '@/core/length';
import { PAPERS, sizesFor } from '@/core/design';
import type { PaperRecord } from '@/data/db';
import { addPaper, keepPaper, stashPaperOf } from '@/data/stash';
import { whyOf } from '@/data/trouble';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { Overtaken } from '../parts/Overtaken';
import { PaperThickness } from '../parts/PaperThickness';
import { TextField } from '../parts/TextField';
import { useEditing, useUnsent } from '../parts/useUnsent';
import { useUnits } from '../parts/InUnits';
import styles from './Stash.module.css';

interface DialogProps {
  readonly onClose: () => void;
}

const FRESH: StashPaper = {
  name: '',
  width: inches(12),
  height: inches(12),
  count: 1,
  caliper: USUAL_CALIPER,
  sided: 2,
  directional: false,
  colour: '',
  price: 0,
  made: 'plain',
  of: '',
  note: '',
};

/** A paper for the stash. What is typed stays until it is put in or left for good. */
export function NewPaper(props: DialogProps) {
  const { value, set, restored, forget } = useUnsent('paper', FRESH, DRAFT);
  return (
    <PaperForm
      {...props}
      title="A paper for the stash"
      okText="Put it in"
      draft={value}
      set={set}
      forget={forget}
      onSave={(paper) => addPaper(paper)}
      note={
        restored && (
          <Alert
            type="info"
            showIcon
            title="Here is the paper you were writing."
            action={<Button onClick={() => forget()}>Begin anew</Button>}
          />
        )
      }
    />
  );
}

/** A paper of the stash to change. */
export function ChangePaper({ paper, ...props }: DialogProps & { readonly paper: PaperRecord }) {
  const kept = useMemo(() => stashPaperOf(paper), [paper]);
  const editing = useEditing(`paper/${paper.id}`, kept, DRAFT);
  const { value, base, set, forget } = editing;
  const { say } = useUnits();
  return (
    <PaperForm
      {...props}
      title={`Change “${paper.name}”`}
      okText="Keep it"
      draft={value}
      set={set}
      forget={forget}
      onSave={async (next) => base && keepPaper(paper.id, base, next)}
      note={<Overtaken editing={editing} words={(field, there) => `${FIELD[field]} ${inWords(there[field], say)}`} />}
    />
  );
}

/** What was typed into the form before: not checked until it is sent off. */
const DRAFT: z.ZodType<StashPaper> = z.object({
  name: z.string(),
  width: z.number().transform(mm),
  height: z.number().transform(mm),
  count: z.number(),
  caliper: z.number().transform(mm),
  sided: z.union([z.literal(1), z.literal(2)]),
  directional: z.boolean(),
  colour: z.string(),
  price: z.number(),
  made: z.enum(['plain', 'laminated', 'joined']),
  of: z.string(),
  note: z.string(),
});

/** What the fields are called in a sentence. */
const FIELD: Record<keyof StashPaper, string> = {
  name: 'the name',
  width: 'the width',
  height: 'the height',
  count: 'sheets:',
  caliper: 'the thickness',
  sided: 'printed sides:',
  directional: 'a right way up:',
  colour: 'the colour',
  price: 'the price',
  made: 'made',
  of: 'made from',
  note: 'the note',
};
const inWords = (value: string | number | boolean, say: (length: number) => string): string =>
  typeof value === 'boolean'
    ? value
      ? 'yes'
      : 'no'
    : typeof value === 'string'
      ? `“${value}”`
      : Number.isInteger(value)
        ? String(value)
        : say(value);

interface PaperFormProps extends DialogProps {
  readonly title: string;
  readonly okText: string;
  /** What stands in the form; null until it is known what was typed before. */
  readonly draft: StashPaper | null;
  readonly set: (part: Partial<StashPaper>) => void;
  readonly forget: () => void;
  readonly onSave: (paper: StashPaper) => Promise<unknown>;
  /** What is to be said above the fields. */
  readonly note: ReactNode;
}

/** A paper of the stash, put in or changed. */
function PaperForm({ title, okText, draft, set, forget, onSave, note, onClose }: PaperFormProps) {
  const { units } = useUnits();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [save, busy] = useOnce(async () => {
    const read = stashPaperSchema.safeParse(draft);
    if (!read.success) {
      setTrouble(read.error.issues.map(({ message }) => message).join(' '));
      return false;
    }
    try {
      await onSave(read.data);
      forget();
      onClose();
    } catch (error) {
      setTrouble(`It could not be kept: ${whyOf(error)}.`);
      return false;
    }
    return true;
  });
  return (
    <Modal
      open
      title={title}
      okText={okText}
      okButtonProps={{ loading: busy, disabled: !draft }}
      cancelText="Leave it"
      // The button leaves it for good; closed by other means, what was typed is still there the next time.
      cancelButtonProps={{
        onClick: () => {
          forget();
          onClose();
        },
      }}
      onOk={() => save()}
      onCancel={onClose}
      width={560}
    >
      {note}
      {draft && (
        <form
          className={styles.form}
          onSubmit={(event) => {
            event.preventDefault();
            save();
          }}
        >
          <label>
            Name
            <TextField value={draft.name} maxLength={80} autoFocus onChange={(name) => set({ name })} />
          </label>
          <label>
            Usual sizes
            <Select
              aria-label="Usual sizes"
              value={PAPERS.find(({ width, height }) => width === draft.width && height === draft.height)?.id ?? 'free'}
              options={[
                { value: 'free', label: 'My own size' },
                ...sizesFor(units, PAPERS).map(({ id, title }) => ({ value: id, label: title })),
              ]}
              onChange={(id) => {
                const size = PAPERS.find((one) => one.id === id);
                if (size) set({ width: size.width, height: size.height });
              }}
            />
          </label>
          <div className={styles.three}>
            {(['width', 'height'] as const).map((side) => (
              <LengthField
                key={side}
                label={side === 'width' ? 'Width' : 'Height'}
                least={5}
                value={draft[side]}
                onChange={(length) => set({ [side]: mm(length) })}
              />
            ))}
            <label>
              Sheets
              <NumberField
                aria-label="Sheets"
                min={0}
                max={9999}
                precision={0}
                value={draft.count}
                onChange={(count) => set({ count })}
              />
            </label>
          </div>
          <PaperThickness caliper={draft.caliper} onChange={(caliper) => set({ caliper })} />
          <div className={styles.three}>
            <label>
              Colour
              <TextField value={draft.colour} maxLength={40} onChange={(colour) => set({ colour })} />
            </label>
            <label>
              Price of a sheet
              <NumberField
                aria-label="Price of a sheet"
                min={0}
                max={10_000}
                step={0.05}
                value={draft.price}
                onChange={(price) => set({ price })}
              />
            </label>
            <label>
              Made
              <Select
                aria-label="Made"
                value={draft.made}
                options={[
                  { value: 'plain', label: 'as bought' },
                  { value: 'laminated', label: 'laminated' },
                  { value: 'joined', label: 'joined' },
                ]}
                onChange={(made) => set({ made })}
              />
            </label>
          </div>
          {draft.made !== 'plain' && (
            <label>
              From what
              <TextField value={draft.of} maxLength={120} onChange={(of) => set({ of })} />
            </label>
          )}
          <Checkbox checked={draft.sided === 1} onChange={({ target }) => set({ sided: target.checked ? 1 : 2 })}>
            Printed on one side
          </Checkbox>
          <Checkbox checked={draft.directional} onChange={({ target }) => set({ directional: target.checked })}>
            Print or grain has a right way up
          </Checkbox>
          <label>
            Note
            <TextField lines={[1, 4]} value={draft.note} maxLength={500} onChange={(text) => set({ note: text })} />
          </label>
          {trouble && (
            <p role="alert" className={styles.trouble}>
              {trouble}
            </p>
          )}
          <button type="submit" hidden />
        </form>
      )}
    </Modal>
  );
}
