import { Select } from 'antd';
import type { OwnTool } from '@/core/tools';

interface BoardSelectProps {
  readonly boards: readonly OwnTool[];
  readonly board: OwnTool;
  readonly onChoose: (id: string) => void;
}

/** Which of one's boards this is about. */
export const BoardSelect = ({ boards, board, onChoose }: BoardSelectProps) => (
  <Select
    aria-label="Board"
    style={{ minWidth: 220 }}
    value={board.id}
    options={boards.map(({ id, name }) => ({ value: id, label: name }))}
    onChange={onChoose}
  />
);
