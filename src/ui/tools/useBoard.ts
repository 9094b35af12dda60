import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { OwnTool } from '@/core/tools';
import { useToolbox } from '../parts/useToolbox';

export type OwnBoard = Extract<OwnTool, { kind: 'envelope-board' }>;

/** The envelope board at hand: the one the address names, or the first that is out; and the others to choose from. */
export function useBoard(): {
  /** False until the tools are read. */
  readonly read: boolean;
  readonly board: OwnBoard | null;
  readonly boards: readonly OwnBoard[];
  readonly choose: (id: string) => void;
} {
  const toolbox = useToolbox();
  const named = useSearchParams().get('t');
  const [chosen, choose] = useState<string | null>(null);
  const boards = (toolbox ?? []).filter((tool): tool is OwnBoard => tool.kind === 'envelope-board');
  const board = boards.find(({ id }) => id === (chosen ?? named)) ?? boards.find(({ out }) => out) ?? boards[0] ?? null;
  return { read: toolbox !== null, board, boards, choose };
}
