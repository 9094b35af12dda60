import { RollbackOutlined } from '@ant-design/icons';
import { Button, Select, Tooltip } from 'antd';
import { memo } from 'react';
import { GRADUATIONS, unitsOf, type Graduation } from '@/core/length';
import { MainLink } from '../parts/MainLink';
import type { PlannedSet } from '../parts/plans';
import { TextField } from '../parts/TextField';
import { UnitsSwitch } from '../parts/UnitsSwitch';
import { FileMenu } from './FileMenu';
import type { BenchStore } from './store';
import { inWords } from '../parts/Words';
import styles from './Bench.module.css';

interface ToolbarProps {
  readonly store: BenchStore;
  /** The set and its plan, for files. */
  readonly whole: PlannedSet;
}

/** The project's name, undo and redo, units and marks, and where to go from here. */
export const Toolbar = memo(function Toolbar({ store, whole }: ToolbarProps) {
  const { id, change, undo, redo } = store.getState();
  const name = store((now) => now.name);
  const units = store((now) => now.units);
  const graduation = store((now) => now.set.graduation ?? '1/8 in');
  const undoes = store(({ past }) => past.length > 0);
  const redoes = store(({ future }) => future.length > 0);
  return (
    <div className={styles.toolbar}>
      <h1 className="sr-only">{name}</h1>
      <TextField
        className={styles.name}
        variant="borderless"
        aria-label="Name of the project"
        value={name}
        maxLength={120}
        needed
        onChange={(text) => change({ name: text }, 'name')}
      />
      <div className={styles.tools}>
        <Tooltip title="Undo (Ctrl Z)">
          <Button icon={<RollbackOutlined />} disabled={!undoes} onClick={undo}>
            <span className={styles.stepName}>Undo</span>
          </Button>
        </Tooltip>
        <Tooltip title="Redo (Ctrl Shift Z)">
          <Button icon={<RollbackOutlined className={styles.forward} />} disabled={!redoes} onClick={redo}>
            <span className={styles.stepName}>Redo</span>
          </Button>
        </Tooltip>
        <UnitsSwitch value={units} onChange={(next) => change({ units: next }, 'units')} />
        <Select<Graduation>
          {...inWords}
          aria-label="Marks on your ruler"
          className={styles.marks}
          value={graduation}
          options={GRADUATIONS.map((value) => ({
            value,
            label: value === 'exact' ? 'no rounding' : `marks ${value}`,
          }))}
          onChange={(next) =>
            change(
              {
                units: next === 'exact' ? units : unitsOf(next),
                set: { ...store.getState().set, graduation: next },
              },
              'graduation',
            )
          }
        />
        <MainLink href={`/make?p=${encodeURIComponent(id)}`}>Make it</MainLink>
        <FileMenu name={name} units={units} whole={whole} />
      </div>
    </div>
  );
});
