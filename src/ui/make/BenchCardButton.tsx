'use client';

import { PrinterOutlined } from '@ant-design/icons';
import { Button, Dropdown } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { PAGES } from '@/core/files';
import type { DesignInput } from '@/core/plan';
import { helperWhy } from '@/workers/helper';
import { download, fileName } from '../parts/download';
import { printing } from '../parts/printing';
import { useTell } from '../parts/useTell';
import { useReading } from '../parts/Reading';
import styles from './Make.module.css';

interface BenchCardButtonProps {
  readonly design: DesignInput;
  readonly title: string;
  readonly copies: number;
}

/** The whole make on one page, with a label for the finished thing's inside. */
export function BenchCardButton({ design, title, copies }: BenchCardButtonProps) {
  const { units } = useReading();
  const { wrong, warn } = useTell();
  const [busy, setBusy] = useState(false);
  const print = async (page: string): Promise<void> => {
    setBusy(true);
    try {
      const day = dayjs().format('D MMM YYYY');
      const { bytes, missing } = await printing((worker) => worker.card(design, page, { title, units, copies, day }));
      download(fileName(`${title} bench card`, 'pdf'), 'application/pdf', bytes);
      if (missing) warn(missing);
    } catch (error) {
      wrong(`The bench card could not be made: ${helperWhy(error)}.`);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dropdown
      trigger={['click']}
      autoFocus
      menu={{
        items: PAGES.map(({ id, title: name }) => ({ key: id, label: `On ${name} (PDF)` })),
        onClick: ({ key }) => void print(key),
      }}
    >
      <Button size="large" icon={<PrinterOutlined />} loading={busy}>
        <span className={styles.label}>Bench card</span>
      </Button>
    </Dropdown>
  );
}
