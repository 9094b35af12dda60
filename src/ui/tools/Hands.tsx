import { Button } from 'antd';
import { mm, type Mm } from '@/core/length';
import { z } from '@/core/text/zod';
import { planTool, type ToolGesture, type Move, type SheetState, type Tool } from '@/core/tools';
import { LengthField } from '../parts/LengthField';
import { useUnits } from '../parts/InUnits';
import { useAsked } from '../parts/useUnsent';
import styles from './Tools.module.css';

/** What the tool is set to, mm, by what is done with it. */
const SET_TO = z.record(z.string(), z.number().positive());
const NOTHING: z.infer<typeof SET_TO> = {};

interface HandsProps {
  readonly tool: Tool;
  readonly sheet: SheetState;
  readonly onMove: (...moves: readonly Move[]) => void;
}

/** What the hands do at the tool, with the lengths it is set to. */
export function Hands({ tool, sheet, onMove }: HandsProps) {
  const { units } = useUnits();
  const hands = planTool(tool).hands?.(tool, sheet) ?? [];
  const { value, set } = useAsked(`set-to/${tool.kind}/${units}`, NOTHING, SET_TO);
  const lengthOf = ({ title, length }: ToolGesture): Mm => mm(value?.[title] ?? length?.fresh[units] ?? 0);
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
              onChange={(length) => set({ [hand.title]: length })}
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
