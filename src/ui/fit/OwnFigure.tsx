import { Button } from 'antd';
import { type Exactness, type Hands, USUAL_HANDS } from '@/core/hands';
import { HANDS } from '@/data/setting-kinds';
import { useUnits } from '../parts/InUnits';
import { useSetting } from '../parts/useKept';

interface OwnFigureProps {
  /** Where it comes from: `your trial folds`. */
  readonly from: string;
  readonly kind: keyof Hands;
  readonly found: Exactness;
}

const WHAT: Record<keyof Hands, string> = { cut: 'you cut', score: 'you score', setting: 'you set' };

/** One’s own exactness as something measured anyway says it, how sure that is, and a button that takes it. */
export function OwnFigure({ from, kind, found: { off, sure, measured } }: OwnFigureProps) {
  const { say } = useUnits();
  const [kept, keep] = useSetting(HANDS);
  const taken = kept !== null && kept !== undefined && Math.abs(kept[kind] - off) < 1e-6;
  return (
    <p>
      By {from} what {WHAT[kind]} is off by <strong>{say(off)}</strong>, give or take {say(sure)}: {measured} measures.{' '}
      {taken ? (
        'That is the figure in use.'
      ) : (
        <Button size="small" onClick={() => keep((now) => ({ ...(now ?? USUAL_HANDS), [kind]: off }))}>
          Use this figure
        </Button>
      )}
    </p>
  );
}
