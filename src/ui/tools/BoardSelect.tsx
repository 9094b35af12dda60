import { Select } from 'antd';
import { Link } from '../parts/Link';
import type { OwnTool } from '@/core/tools';
import { Empty } from '../parts/Empty';

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

/** Where a page is about an envelope board and there is none. */
export const NoBoard = () => (
  <Empty>
    There is no envelope board among your tools. <Link href="/tools">Add one</Link> first.
  </Empty>
);
