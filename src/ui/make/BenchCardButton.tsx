'use client';

import { PrinterOutlined } from '@ant-design/icons';
import { App, Button, Dropdown } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { PAGES } from '@/core/files';
import type { Units } from '@/core/length';
import type { DesignInput } from '@/core/plan';
import { download, fileName } from '../parts/download';
import { printing } from '../parts/printing';
import styles from './Make.module.css';

interface BenchCardButtonProps {
  readonly design: DesignInput;
  readonly title: string;
  readonly units: Units;
  readonly copies: number;
}

/** The whole make on one page, with a label for the finished thing's inside. */
export function BenchCardButton({ design, title, units, copies }: BenchCardButtonProps) {
  const { message } = App.useApp();
  const [busy, setBusy] = useState(false);
  const print = async (page: string): Promise<void> => {
    setBusy(true);
    try {
      const day = dayjs().format('D MMM YYYY');
      const bytes = await printing((worker) => worker.card(design, page, { title, units, copies, day }));
      download(fileName(`${title} bench card`, 'pdf'), 'application/pdf', bytes);
    } catch (error) {
      void message.error(`The bench card could not be made: ${(error as Error).message}`);
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
