'use client';

import { PrinterOutlined } from '@ant-design/icons';
import dayjs from 'dayjs';
import { useState } from 'react';
import { PAGES } from '@/core/files';
import type { SetInput } from '@/core/sets';
import { helperWhy } from '@/workers/helper';
import { download, fileName } from '../parts/download';
import { MenuButton } from '../parts/MenuButton';
import { printing } from '../parts/printing';
import { useTell } from '../parts/useTell';
import { useUnits } from '../parts/InUnits';
import styles from './Make.module.css';

interface BenchCardButtonProps {
  readonly set: SetInput;
  readonly title: string;
  readonly copies: number;
}

/** The whole make on one page, with a label for the finished thing's inside. */
export function BenchCardButton({ set, title, copies }: BenchCardButtonProps) {
  const { units } = useUnits();
  const { wrong, warn } = useTell();
  const [busy, setBusy] = useState(false);
  const print = async (page: string): Promise<void> => {
    setBusy(true);
    try {
      const day = dayjs().format('D MMM YYYY');
      const { bytes, missing } = await printing((worker) => worker.card(set, page, { title, units, copies, day }));
      download(fileName(`${title} bench card`, 'pdf'), 'application/pdf', bytes);
      if (missing) warn(missing);
    } catch (error) {
      wrong(`The bench card could not be made: ${helperWhy(error)}.`);
    } finally {
      setBusy(false);
    }
  };
  return (
    <MenuButton
      size="large"
      icon={<PrinterOutlined />}
      loading={busy}
      items={PAGES.map(({ id, title: name }) => ({ key: id, label: `On ${name} (PDF)` }))}
      onPick={(page) => void print(page)}
    >
      <span className={styles.second}>Bench card</span>
    </MenuButton>
  );
}
