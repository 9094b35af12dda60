import {
  AudioMutedOutlined,
  AudioOutlined,
  CloseOutlined,
  ColumnWidthOutlined,
  QuestionCircleOutlined,
  WarningOutlined,
} from '@ant-design/icons';
import { Button } from 'antd';
import type { MakeRecord } from '@/data/db';
import { Link } from '../parts/Link';
import { BenchCardButton } from './BenchCardButton';
import type { Speech } from './useTable';
import styles from './Make.module.css';

interface MakeBarProps {
  readonly make: MakeRecord;
  readonly minutes: number;
  readonly awake: boolean;
  readonly speech: Speech;
  /** A step is at hand; and it is on a blank, not on whole sheets. */
  readonly going: boolean;
  readonly onBlank: boolean;
  readonly onEdge: () => void;
  readonly onWrong: () => void;
  readonly onMeasure: () => void;
  readonly onStop: () => void;
}

/** Over the table: whose make it is, how long it has been at, and what one may ask for at any step. */
export function MakeBar({
  make,
  minutes,
  awake,
  speech,
  going,
  onBlank,
  onEdge,
  onWrong,
  onMeasure,
  onStop,
}: MakeBarProps) {
  return (
    <div className={styles.bar}>
      <Link href={`/bench?p=${encodeURIComponent(make.projectId)}`} className={styles.name}>
        ‹ <span className={styles.label}>{make.name}</span>
      </Link>
      <span className={styles.time}>
        {minutes} min{awake && ', screen kept awake'}
      </span>
      <div className={styles.tools}>
        <BenchCardButton set={make.set} title={make.name} copies={make.copies} />
        {speech.able && (
          <Button
            size="large"
            aria-pressed={speech.on}
            icon={speech.on ? <AudioOutlined /> : <AudioMutedOutlined />}
            onClick={speech.toggle}
          >
            <span className={styles.second}>{speech.on ? 'Reading out' : 'Read out'}</span>
          </Button>
        )}
        <Button size="large" icon={<QuestionCircleOutlined />} disabled={!onBlank} onClick={onEdge}>
          <span className={styles.label}>Which edge?</span>
        </Button>
        <Button size="large" icon={<ColumnWidthOutlined />} onClick={onMeasure}>
          <span className={styles.label}>It measures</span>
        </Button>
        <Button size="large" icon={<WarningOutlined />} disabled={!going} onClick={onWrong}>
          <span className={styles.label}>That went wrong</span>
        </Button>
        <Button size="large" icon={<CloseOutlined />} disabled={!going} onClick={onStop}>
          <span className={styles.label}>Stop making</span>
        </Button>
      </div>
    </div>
  );
}
