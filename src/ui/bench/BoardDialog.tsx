'use client';

import { Alert, App, Button, Modal, Tabs } from 'antd';
import { useState } from 'react';
import { formatLength, inches, mm, type Graduation, type Units } from '@/core/length';
import { calibrate, type EnvelopeBoard } from '@/core/tools';
import type { MyBoard } from '@/data/db';
import { saveMyBoard } from '@/data/settings';
import { LengthField } from '../parts/LengthField';
import styles from './BoardDialog.module.css';

type DesignBoard = { readonly [K in keyof Omit<EnvelopeBoard, 'kind'>]?: string | number };

interface BoardDialogProps {
  readonly board: DesignBoard;
  readonly units: Units;
  readonly graduation: Graduation;
  readonly onClose: () => void;
  readonly onUse: (board: MyBoard) => void;
}

/** The person's own board: its four figures set by hand, or notch and offset worked out from one trial fold. */
export function BoardDialog({ board, units, graduation, onClose, onUse }: BoardDialogProps) {
  const { message } = App.useApp();
  const [mine, setMine] = useState<MyBoard>({
    notch: mm(Number(board.notch)),
    offset: mm(Number(board.offset ?? 0)),
    rulerEnd: mm(Number(board.rulerEnd)),
    grooveEnd: mm(Number(board.grooveEnd)),
  });
  const [trial, setTrial] = useState({
    sheet: inches(6),
    setting: inches(2.625),
    width: undefined as number | undefined,
    height: undefined as number | undefined,
  });
  const field = { units, graduation };
  const set = (part: keyof MyBoard) => (value: number) => setMine((now) => ({ ...now, [part]: value }));
  const measured = trial.width !== undefined && trial.height !== undefined;
  const found = measured
    ? calibrate({ sheet: trial.sheet, setting: trial.setting, width: mm(trial.width!), height: mm(trial.height!) })
    : null;
  const fine = (value: number): string =>
    units === 'in' ? formatLength(mm(value), 'in', '1/32 in', true) : formatLength(mm(value), 'mm', '1 mm', true);
  const use = (): void => {
    onUse(mine);
    saveMyBoard(mine).catch((error: Error) =>
      message.error(`The board is used here but could not be kept: ${error.message}`),
    );
    onClose();
  };
  return (
    <Modal open title="My envelope board" onCancel={onClose} onOk={use} okText="Use this board" cancelText="Leave it">
      <Tabs
        items={[
          {
            key: 'figures',
            label: 'Its figures',
            children: (
              <div className={styles.grid}>
                <LengthField
                  {...field}
                  label="Notch, along the edge"
                  hint="Punch scrap and measure the cut."
                  value={mine.notch}
                  least={5}
                  most={60}
                  onChange={set('notch')}
                />
                <LengthField
                  {...field}
                  label="Guide offset"
                  hint="True setting less what the ruler reads."
                  value={mine.offset}
                  least={-15}
                  most={15}
                  onChange={set('offset')}
                />
                <LengthField
                  {...field}
                  label="Ruler ends at"
                  value={mine.rulerEnd}
                  least={20}
                  onChange={set('rulerEnd')}
                />
                <LengthField
                  {...field}
                  label="Groove ends at"
                  value={mine.grooveEnd}
                  least={20}
                  onChange={set('grooveEnd')}
                />
              </div>
            ),
          },
          {
            key: 'trial',
            label: 'From a trial fold',
            children: (
              <>
                <p className={styles.how}>
                  Fold one envelope from a square you know, then measure its inside from fold to fold: the width first,
                  which is the side the setting makes.
                </p>
                <div className={styles.grid}>
                  <LengthField
                    {...field}
                    label="Square I folded"
                    value={trial.sheet}
                    least={50}
                    onChange={(sheet) => setTrial((now) => ({ ...now, sheet: mm(sheet) }))}
                  />
                  <LengthField
                    {...field}
                    label="Setting I used"
                    value={trial.setting}
                    least={10}
                    onChange={(setting) => setTrial((now) => ({ ...now, setting: mm(setting) }))}
                  />
                  <LengthField
                    {...field}
                    label="Inside width came out"
                    placeholder="measure"
                    value={trial.width}
                    least={10}
                    onChange={(width) => setTrial((now) => ({ ...now, width }))}
                  />
                  <LengthField
                    {...field}
                    label="Inside height came out"
                    placeholder="measure"
                    value={trial.height}
                    least={10}
                    onChange={(height) => setTrial((now) => ({ ...now, height }))}
                  />
                </div>
                {found &&
                  (found.ok ? (
                    <Alert
                      type="info"
                      title={`Notch ${fine(found.board.notch)}, guide offset ${fine(found.board.offset)}.`}
                      description="One reading in eighths is good to about 1/16 in either way."
                      action={
                        <Button onClick={() => setMine((now) => ({ ...now, ...found.board }))}>Take these</Button>
                      }
                    />
                  ) : (
                    <Alert type="warning" title={found.message} />
                  ))}
              </>
            ),
          },
        ]}
      />
      <p className={styles.now} aria-live="polite">
        Will use: notch {fine(mine.notch)}, offset {fine(mine.offset)}, ruler to {fine(mine.rulerEnd)}, groove to{' '}
        {fine(mine.grooveEnd)}.
      </p>
    </Modal>
  );
}
