'use client';

import { DownloadOutlined } from '@ant-design/icons';
import { useState } from 'react';
import { PAGES, setSheets, sheetSvg } from '@/core/files';
import { inches, type Say, type Units, sayer } from '@/core/length';
import { partSteps, pieceName, type SetPlan } from '@/core/sets';
import { helperWhy } from '@/workers/helper';
import { download, fileName } from '../parts/download';
import { MenuButton } from '../parts/MenuButton';
import type { PlannedSet } from '../parts/plans';
import { withoutKit } from '../parts/withKit';
import { printing } from '../parts/printing';
import { projectAlong } from '../parts/projectAlong';
import { useTell } from '../parts/useTell';
import styles from './Bench.module.css';

interface FileMenuProps {
  readonly name: string;
  readonly units: Units;
  readonly whole: PlannedSet;
}

/** What is done first to each piece, by its name in the set: how it is cut, and the first thing done to it flat. */
function figuresOfPieces(plan: SetPlan, say: Say): Readonly<Record<string, string>> {
  const told = new Map<string, string[]>();
  for (const one of plan.parts.filter(({ part }) => !part.given || part.layers.length > 0))
    for (const step of partSteps(one, say)) {
      if (step.phase === 'fold') continue;
      for (const piece of [step.piece, ...(step.alike ?? [])]) {
        const name = pieceName(plan.set, one.part.id, piece);
        const own = told.get(name) ?? [];
        if (own.length < 2) told.set(name, [...own, step.text]);
      }
    }
  return Object.fromEntries([...told].map(([name, texts]) => [name, texts.join(' ')]));
}

/** The patterns of all parts at true size, with what is done first to each. */
function printPdf(whole: PlannedSet, page: string, name: string, units: Units): ReturnType<typeof printing> {
  const say = sayer(units, whole.set.graduation ?? '1/8 in');
  const pieces = 'plan' in whole ? figuresOfPieces(whole.plan, say) : {};
  const bar =
    units === 'in'
      ? { length: inches(4), label: 'This bar must measure 4 in. If not, print again at 100 %.' }
      : { length: 100, label: 'This bar must measure 100 mm. If not, print again at 100 %.' };
  return printing((worker) => worker.print(whole.set, page, { title: name, pieces, bar }));
}

/** Files to keep, cut or print. */
export function FileMenu({ name, units, whole }: FileMenuProps) {
  const made = 'plan' in whole && whole.plan.parts.some(({ part, plan }) => plan.made && !part.given);
  const { wrong, warn } = useTell();
  const [busy, setBusy] = useState(false);
  const pdf = async (page: string): Promise<void> => {
    setBusy(true);
    try {
      const { bytes, missing } = await printPdf(whole, page, name, units);
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
      download(
        fileName(name, 'json'),
        'application/json',
        projectAlong({ name, units, set: withoutKit(whole.set) }).content(),
      ),
    svg: () =>
      'plan' in whole && download(fileName(name, 'svg'), 'image/svg+xml', sheetSvg(setSheets(whole.plan, true), name)),
    dxf: () =>
      'plan' in whole &&
      void import('@/core/files/dxf')
        .then(({ sheetDxf }) => download(fileName(name, 'dxf'), 'image/vnd.dxf', sheetDxf(setSheets(whole.plan, true))))
        .catch((error: unknown) => wrong(`The drawing could not be made: ${helperWhy(error)}.`)),
    ...Object.fromEntries(PAGES.map((page) => [`pdf-${page.id}`, () => void pdf(page.id)])),
  };
  return (
    <MenuButton
      icon={<DownloadOutlined />}
      loading={busy}
      items={[
        // By what they are for: print, cut by machine, hand on and keep.
        ...PAGES.map((page) => ({
          key: `pdf-${page.id}`,
          label: `Print at true size on ${page.title} (PDF)`,
          disabled: !made,
        })),
        { key: 'svg', label: 'Cut by machine: drawing (SVG)', disabled: !made },
        { key: 'dxf', label: 'Cut by machine: lines (DXF)', disabled: !made },
        { key: 'project', label: 'Hand on or keep: project file (JSON)' },
      ]}
      onPick={(key) => run[key]?.()}
    >
      <span className={styles.alongLabel}>Take it along</span>
    </MenuButton>
  );
}
