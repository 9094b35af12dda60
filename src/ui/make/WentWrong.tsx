import { Alert, Button, Modal, Select } from 'antd';
import { Link } from '../parts/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { partNamed, type Made } from '@/core/plan';
import { sheetNow } from '@/core/rescue';
import type { Design } from '@/core/design';
import type { Step } from '@/core/making';
import type { Stop } from '@/core/sets';
import type { SpoiledSheet } from '@/data/db';
import { whyOf } from '@/data/trouble';
import { OnceButton } from '../parts/once';
import { OnTable } from '../table/OnTable';
import { useUnits } from '../parts/InUnits';
import styles from './Make.module.css';

interface WentWrongProps {
  readonly made: Made;
  readonly makeId: string;
  readonly design: Design;
  readonly steps: readonly Step[];
  readonly stop: Stop;
  readonly onClose: () => void;
  /** Keeps the sheet for its rescue; gives back when, which tells it from others. */
  readonly onKeep: (sheet: Omit<SpoiledSheet, 'at'>) => Promise<number>;
  /** Begins a copy anew; of a sheet that lies flat only that piece of it. */
  readonly onAgain: (copy: number, piece: string | null) => void;
}

/** What the sheet now is, kept for its rescue, and what else it could become. */
export function WentWrong({ made, makeId, design, steps, stop, onClose, onKeep, onAgain }: WentWrongProps) {
  const { units, say } = useUnits();
  const { step, copies } = stop;
  const now = sheetNow(made, design, steps, step, say);
  const part = partNamed(made, now.piece.name);
  const router = useRouter();
  const [kept, setKept] = useState<{ readonly at: number } | { readonly trouble: string } | null>(null);
  const [copy, setCopy] = useState(copies[0]!);
  const { width, height } = now.piece.blank;
  const set = kept && 'at' in kept ? kept : null;
  /** Set aside, once; null where that could not be kept. */
  const keep = async (): Promise<number | null> => {
    if (set) return set.at;
    const { paper, runs } = now.state;
    try {
      const at = await onKeep({
        part: stop.part,
        copy,
        step: step.id,
        piece: now.piece.name,
        blank: { width, height },
        moves: now.moves,
        text: now.text,
        drawn: {
          paper: paper.map((ring) => ring.map(({ x, y }) => [x, y] as const)),
          scores: runs.map(({ line: { from, to } }) => [from.x, from.y, to.x, to.y] as const),
        },
      });
      setKept({ at });
      return at;
    } catch (error) {
      setKept({ trouble: whyOf(error) });
      return null;
    }
  };
  const rescue = async (): Promise<void> => {
    const at = await keep();
    if (at !== null) router.push(`/rescue?${new URLSearchParams({ make: makeId, sheet: String(at) }).toString()}`);
  };
  return (
    <Modal open title="What the sheet is now" footer={null} width={680} onCancel={onClose}>
      <div className={styles.which}>
        {copies.length > 1 && (
          <label className={styles.copies}>
            Which copy?
            <Select
              aria-label="Which copy?"
              value={copy}
              disabled={set !== null}
              options={copies.map((value) => ({ value, label: `Copy ${value}` }))}
              onChange={setCopy}
            />
          </label>
        )}
        <p className={styles.text}>{now.text}</p>
        <OnTable
          piece={now.piece.name}
          blank={now.piece.blank}
          made={made}
          tool={design.tool}
          moves={part.programme.moves.slice(0, now.moves)}
          fresh={0}
          near={now.near}
          width={600}
          height={300}
          label="The sheet as it is"
        />
        {set && <Alert type="success" showIcon title="Set aside: it lies on the shelf, with what was done on it." />}
        {kept && 'trouble' in kept && <Alert type="error" showIcon title={`It could not be kept: ${kept.trouble}.`} />}
        <div className={styles.wrongButtons}>
          <OnceButton type="primary" size="large" onPress={rescue}>
            Find a way out for it
          </OnceButton>
          {!set && (
            <OnceButton size="large" onPress={keep}>
              Set it aside
            </OnceButton>
          )}
          <Link
            className={styles.askPaper}
            href={`/choose?have=paper&width=${width}&height=${height}&units=${units}`}
            onClick={() => void keep()}
          >
            What can this sheet become?
          </Link>
          <Button size="large" onClick={() => onAgain(copy, step.phase === 'fold' ? null : now.piece.name)}>
            Take a new sheet, begin this copy again
          </Button>
          <Button size="large" onClick={onClose}>
            It is all right after all
          </Button>
        </div>
        {now.scores.length > 0 && (
          <p className={styles.how}>
            The question about the paper counts it as a plain sheet; a way out is sought with its scores and notches in
            it.
          </p>
        )}
      </div>
    </Modal>
  );
}
