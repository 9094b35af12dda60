import { Button } from 'antd';
import { useState } from 'react';
import { mm, type Mm } from '@/core/length';
import { planTool, type ToolGesture, type Move, type SheetState, type Tool } from '@/core/tools';
import { LengthField } from '../parts/LengthField';
import { useUnits } from '../parts/InUnits';
import styles from './Tools.module.css';

interface HandsProps {
  readonly tool: Tool;
  readonly sheet: SheetState;
  readonly onMove: (...moves: readonly Move[]) => void;
}

/** What the hands do at the tool, with the lengths it is set to. */
export function Hands({ tool, sheet, onMove }: HandsProps) {
  const { units } = useUnits();
  const hands = planTool(tool).hands?.(tool, sheet) ?? [];
  const [set, setSet] = useState<Readonly<Record<string, Mm>>>({});
  const lengthOf = ({ title, length }: ToolGesture): Mm => set[title] ?? length?.fresh[units] ?? mm(0);
  if (hands.length === 0) return null;
  return (
    <div className={styles.hands}>
      {hands.map(
        (hand) =>
          hand.length && (
            <LengthField
              key={hand.title}
              label={hand.length.title}
              value={lengthOf(hand)}
              least={1}
              most={hand.length.most}
              onChange={(length) => setSet((now) => ({ ...now, [hand.title]: mm(length) }))}
            />
          ),
      )}
      <div className={styles.handButtons}>
        {hands.map((hand) => (
          <Button
            key={hand.title}
            size="large"
            disabled={hand.off ?? false}
            onClick={() => onMove(...hand.moves(lengthOf(hand)))}
          >
            {hand.title}
          </Button>
        ))}
      </div>
    </div>
  );
}
