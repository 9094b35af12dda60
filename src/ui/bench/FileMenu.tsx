'use client';

import { DownloadOutlined } from '@ant-design/icons';
import { Button, Dropdown } from 'antd';
import { useRef, useState } from 'react';
import { allDrawings, PAGES, sheetSvg } from '@/core/files';
import { inches, type Units } from '@/core/length';
import { planFor, readDesign, sayer, stepsOf, type DesignInput, type Plan } from '@/core/plan';
import { helperWhy } from '@/workers/helper';
import { download, fileName } from '../parts/download';
import { printing } from '../parts/printing';
import { projectAlong } from '../parts/projectAlong';
import { useTell } from '../parts/useTell';
import styles from './Bench.module.css';

interface FileMenuProps {
  readonly name: string;
  readonly units: Units;
  readonly design: DesignInput;
  readonly plan: Plan | null;
}

/** The pattern at true size, with its first numbers in the foot. */
function printPdf(design: DesignInput, page: string, name: string, units: Units): ReturnType<typeof printing> {
  const read = readDesign(design);
  const say = sayer(units, design.graduation ?? '1/8 in');
  const numbers = read.ok
    ? stepsOf(planFor(read.design), say)
        .slice(0, 2)
        .map((step) => step.text)
        .join(' ')
    : '';
  const bar =
    units === 'in'
      ? { length: inches(4), label: 'This bar must measure 4 in. If not, print again at 100 %.' }
      : { length: 100, label: 'This bar must measure 100 mm. If not, print again at 100 %.' };
  return printing((worker) => worker.print(design, page, { title: name, numbers, bar }));
}

/** Files to keep, cut or print. */
export function FileMenu({ name, units, design, plan }: FileMenuProps) {
  const made = plan?.made ?? null;
  const { wrong, warn } = useTell();
  const [busy, setBusy] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const pdf = async (page: string): Promise<void> => {
    setBusy(true);
    try {
      const { bytes, missing } = await printPdf(design, page, name, units);
      download(fileName(name, 'pdf'), 'application/pdf', bytes);
      if (missing) warn(missing);
    } catch (error) {
      wrong(`The PDF could not be made: ${helperWhy(error)}.`);
    } finally {
      setBusy(false);
    }
  };
  const run: Record<string, () => void> = {
    project: () =>
      download(fileName(name, 'json'), 'application/json', projectAlong({ name, units, design }).content()),
    svg: () =>
      plan?.made &&
      download(fileName(name, 'svg'), 'image/svg+xml', sheetSvg(allDrawings(plan.made, plan.design, true), name)),
    dxf: () =>
      plan?.made &&
      void import('@/core/files/dxf')
        .then(({ sheetDxf }) =>
          download(fileName(name, 'dxf'), 'image/vnd.dxf', sheetDxf(allDrawings(plan.made!, plan.design, true))),
        )
        .catch((error: unknown) => wrong(`The drawing could not be made: ${helperWhy(error)}.`)),
    ...Object.fromEntries(PAGES.map((page) => [`pdf-${page.id}`, () => void pdf(page.id)])),
  };
  return (
    <Dropdown
      trigger={['click']}
      autoFocus
      menu={{
        items: [
          { key: 'project', label: 'Save as file (JSON)' },
          { key: 'svg', label: 'Cutting drawing (SVG)', disabled: !made },
          { key: 'dxf', label: 'For a cutting machine (DXF)', disabled: !made },
          ...PAGES.map((page) => ({
            key: `pdf-${page.id}`,
            label: `Print at true size on ${page.title} (PDF)`,
            disabled: !made,
          })),
        ],
        onClick: ({ key }) => {
          run[key]?.();
          // Later, or the Enter that chose the item would press the button again.
          setTimeout(() => button.current?.focus());
        },
      }}
    >
      <Button ref={button} icon={<DownloadOutlined />} loading={busy}>
        <span className={styles.alongLabel}>Take it along</span>
      </Button>
    </Dropdown>
  );
}
