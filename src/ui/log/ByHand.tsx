import { Button, Select } from 'antd';
import dayjs from 'dayjs';
import { Link } from '../parts/Link';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { z } from '@/core/text/zod';
import { CONSTRUCTIONS } from '@/core/constructions';
import { INCH, mm, type Units } from '@/core/length';
import { addLog } from '@/data/log';
import { LengthField } from '../parts/LengthField';
import { TextField } from '../parts/TextField';
import { useUnsent } from '../parts/useUnsent';
import { Waiting } from '../parts/Waiting';
import { FitForm } from './FitForm';
import styles from './Log.module.css';

const length = z.number().positive();
/** What a plan would have told: typed, because there was none. */
const TOLD = z.object({
  name: z.string().max(120),
  construction: z.string(),
  width: length,
  height: length,
  thickness: z.number().min(0),
  /** Room that was left, where the person knows it; such a make is evidence. */
  roomWidth: z.number().nullable(),
  roomHeight: z.number().nullable(),
});
const fresh = (units: Units): z.output<typeof TOLD> => ({
  name: '',
  construction: CONSTRUCTIONS[0]!.name,
  ...(units === 'in' ? { width: 3 * INCH, height: 4 * INCH } : { width: 75, height: 100 }),
  thickness: 0,
  roomWidth: null,
  roomHeight: null,
});

/** A make that was never planned here, written down by hand. */
export function ByHand({ units }: { readonly units: Units }) {
  const router = useRouter();
  const first = useMemo(() => fresh(units), [units]);
  const { value, set, forget } = useUnsent('log/by-hand', first, TOLD);
  const known = useMemo(() => {
    const { name, construction, width, height, thickness, roomWidth, roomHeight } = value ?? first;
    const room =
      roomWidth === null && roomHeight === null ? null : { width: mm(roomWidth ?? 0), height: mm(roomHeight ?? 0) };
    return {
      day: dayjs().format('YYYY-MM-DD'),
      name: name.trim() || CONSTRUCTIONS.find((one) => one.name === construction)!.title,
      construction,
      contents: { width: mm(width), height: mm(height), thickness: mm(thickness) },
      room,
      copies: 1,
      sheets: 1,
      minutes: 0,
      paper: '',
    };
  }, [value, first]);
  if (!value) return <Waiting what="Opening the form" whole />;
  const field = (label: string, part: 'width' | 'height' | 'thickness', least: number) => (
    <LengthField label={label} value={value[part]} least={least} most={2000} onChange={(to) => set({ [part]: to })} />
  );
  return (
    <main className={styles.log}>
      <p>
        <Link href="/log">‹ All entries</Link>
      </p>
      <h1>Write one down</h1>
      <div className={styles.card}>
        <div className={styles.told}>
          <label className={styles.text}>
            What was made
            <TextField value={value.name} maxLength={120} onChange={(name) => set({ name })} />
          </label>
          <label className={styles.text}>
            Holder
            <Select
              aria-label="Holder"
              showSearch={{ optionFilterProp: 'label' }}
              value={value.construction}
              options={CONSTRUCTIONS.map(({ name, title }) => ({ value: name, label: title }))}
              onChange={(construction) => set({ construction })}
            />
          </label>
          {field('Width of what went in', 'width', 1)}
          {field('Height of what went in', 'height', 1)}
          {field('Thickness of what went in', 'thickness', 0)}
          <LengthField
            label="Room in the width, if you know it"
            value={value.roomWidth ?? undefined}
            least={0}
            most={500}
            onChange={(room) => set({ roomWidth: room })}
          />
          <LengthField
            label="Room in the height, if you know it"
            value={value.roomHeight ?? undefined}
            least={0}
            most={500}
            onChange={(room) => set({ roomHeight: room })}
          />
        </div>
        <FitForm
          form="log/by-hand/fit"
          known={known}
          saveText="Write it in the log"
          onSave={async (entry) => {
            const id = await addLog(entry, { units });
            forget();
            router.push(`/log?e=${encodeURIComponent(id)}`);
          }}
          beside={(leave) => (
            <Button
              size="large"
              onClick={() => {
                leave();
                forget();
                router.push('/log');
              }}
            >
              Leave it
            </Button>
          )}
        />
      </div>
    </main>
  );
}
