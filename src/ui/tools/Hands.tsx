import { Button } from 'antd';
import { useState } from 'react';
import { inches, mm, type Graduation, type Mm, type Units } from '@/core/length';
import { rightOf, type Blank, type Edge } from '@/core/pattern';
import { simulate, type Move, type Tool } from '@/core/tools';
import { LengthField } from '../parts/LengthField';
import styles from './Tools.module.css';

/** What the hands do at an envelope board. */
export function BoardHands({
  tool,
  blank,
  near,
  moves,
  units,
  graduation,
  onMove,
}: {
  readonly tool: Extract<Tool, { kind: 'envelope-board' }>;
  readonly blank: Blank;
  readonly near: Edge;
  readonly moves: readonly Move[];
  readonly units: Units;
  readonly graduation: Graduation;
  readonly onMove: (...moves: Move[]) => void;
}) {
  const [reading, setReading] = useState<number>(units === 'in' ? inches(2.625) : 66);
  const scores = moves.filter((move) => move.do === 'score').length;
  const lies = moves.findLast((move) => move.do === 'place' || move.do === 'turn')?.do === 'place';
  return (
    <div className={styles.hands}>
      <LengthField
        label="Lay the sheet’s left end at"
        units={units}
        graduation={graduation}
        value={reading}
        least={1}
        most={tool.rulerEnd}
        onChange={setReading}
      />
      <div className={styles.handButtons}>
        <Button size="large" onClick={() => onMove({ do: 'place', edge: near, by: 'ruler', at: mm(reading) })}>
          Lay it there
        </Button>
        <Button
          size="large"
          disabled={scores === 0}
          onClick={() => onMove({ do: 'place', edge: near, by: 'pointer', at: mm(pointerAt(blank, tool, moves) ?? 0) })}
        >
          Last score to the pointer
        </Button>
        <Button size="large" disabled={!lies} onClick={() => onMove({ do: 'punch' })}>
          Punch
        </Button>
        <Button
          size="large"
          disabled={!lies}
          onClick={() => onMove({ do: 'score', score: `s-${scores + 1}`, length: mm(0), onward: true })}
        >
          Score
        </Button>
      </div>
    </div>
  );
}

/** Where the sheet lies once its last score is at the pointer: the middle of the notch from its left end, mm. */
function pointerAt(
  blank: Blank,
  tool: Extract<Tool, { kind: 'envelope-board' }>,
  moves: readonly Move[],
): number | null {
  const run = simulate(blank, tool, moves).scores.at(-1);
  const near = moves.reduce<Edge>((edge, move) => (move.do === 'turn' ? rightOf(edge) : edge), 1);
  if (!run) return null;
  const { x, y } = run.to;
  return [x, y, blank.width - x, blank.height - y][near - 1]! - tool.notch / 2;
}

/** What the hands do at a scoring board. */
export function GrooveHands({
  length,
  near,
  count,
  wide,
  units,
  graduation,
  onMove,
}: {
  readonly length: Mm;
  readonly near: Edge;
  readonly count: number;
  readonly wide: number;
  readonly units: Units;
  readonly graduation: Graduation;
  readonly onMove: (move: Move) => void;
}) {
  const [at, setAt] = useState<number>(units === 'in' ? inches(1) : 25);
  return (
    <div className={styles.hands}>
      <LengthField
        label="Groove, from the fence"
        units={units}
        graduation={graduation}
        value={at}
        least={1}
        most={Math.min(length, wide)}
        onChange={setAt}
      />
      <Button size="large" onClick={() => onMove({ do: 'groove', score: `s-${count + 1}`, edge: near, at: mm(at) })}>
        Score down that groove
      </Button>
    </div>
  );
}
