import { Checkbox, Input, InputNumber, Modal, Select } from 'antd';
import { useState } from 'react';
import { stashPaperSchema, type StashPaper } from '@/core/cutting';
import { inches, mm, type Graduation, type Units } from '@/core/length';
import { PAPERS } from '@/core/plan';
import { LengthField } from '../parts/LengthField';
import { PaperThickness } from '../parts/PaperThickness';
import styles from './Stash.module.css';

interface PaperFormProps {
  /** The paper to change; null to add one. */
  readonly paper: StashPaper | null;
  readonly units: Units;
  readonly graduation: Graduation;
  readonly onSave: (paper: StashPaper) => Promise<unknown>;
  readonly onClose: () => void;
}

const FRESH: StashPaper = {
  name: '',
  width: inches(12),
  height: inches(12),
  count: 1,
  caliper: mm(0.25),
  sided: 2,
  directional: false,
  colour: '',
  price: 0,
  made: 'plain',
  of: '',
  note: '',
};

/** A paper of the stash, put in or changed. */
export function PaperForm({ paper, units, graduation, onSave, onClose }: PaperFormProps) {
  const [draft, setDraft] = useState<StashPaper>(paper ?? FRESH);
  const [trouble, setTrouble] = useState<string | null>(null);
  const set = (part: Partial<StashPaper>): void => setDraft((now) => ({ ...now, ...part }));
  const save = async (): Promise<void> => {
    const read = stashPaperSchema.safeParse(draft);
    if (!read.success) return setTrouble(read.error.issues.map(({ message }) => message).join(' '));
    try {
      await onSave(read.data);
      onClose();
    } catch (error) {
      setTrouble(`It could not be kept: ${(error as Error).message}.`);
    }
  };
  return (
    <Modal
      open
      title={paper ? `Change “${paper.name}”` : 'A paper for the stash'}
      okText={paper ? 'Keep it' : 'Put it in'}
      cancelText="Leave it"
      onOk={() => void save()}
      onCancel={onClose}
      width={560}
    >
      <form
        className={styles.form}
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <label>
          Name
          <Input value={draft.name} maxLength={80} autoFocus onChange={({ target }) => set({ name: target.value })} />
        </label>
        <label>
          Usual sizes
          <Select
            aria-label="Usual paper sizes"
            value={PAPERS.find(({ width, height }) => width === draft.width && height === draft.height)?.id ?? 'free'}
            options={[
              { value: 'free', label: 'My own size' },
              ...PAPERS.map(({ id, title }) => ({ value: id, label: title })),
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
              units={units}
              graduation={graduation}
              least={5}
              value={draft[side]}
              onChange={(length) => set({ [side]: mm(length) })}
            />
          ))}
          <label>
            Sheets
            <InputNumber
              aria-label="Sheets"
              min={0}
              max={9999}
              precision={0}
              value={draft.count}
              onChange={(count) => count !== null && set({ count })}
            />
          </label>
        </div>
        <PaperThickness caliper={draft.caliper} onChange={(caliper) => set({ caliper })} />
        <div className={styles.three}>
          <label>
            Colour
            <Input value={draft.colour} maxLength={40} onChange={({ target }) => set({ colour: target.value })} />
          </label>
          <label>
            Price of a sheet
            <InputNumber
              aria-label="Price of a sheet"
              min={0}
              max={10_000}
              step={0.05}
              value={draft.price}
              onChange={(price) => price !== null && set({ price })}
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
            <Input value={draft.of} maxLength={120} onChange={({ target }) => set({ of: target.value })} />
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
          <Input.TextArea
            value={draft.note}
            maxLength={500}
            autoSize={{ minRows: 1, maxRows: 4 }}
            onChange={({ target }) => set({ note: target.value })}
          />
        </label>
        {trouble && (
          <p role="alert" className={styles.trouble}>
            {trouble}
          </p>
        )}
        <button type="submit" hidden />
      </form>
    </Modal>
  );
}
