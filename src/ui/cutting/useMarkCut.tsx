import { App, Button } from 'antd';
import type { CutList, Layout } from '@/core/cutting';
import { markCut, undoCut } from '@/data/cuttings';
import { Refused, whyOf } from '@/data/trouble';
import type { CuttingTable } from './useCuttingTable';

interface MarkCut {
  /** Takes the sheets out of the stash and puts the offcuts in. */
  readonly mark: (title: string, list: CutList, layout: Layout) => Promise<void>;
  readonly undo: (id: string) => Promise<void>;
}

/** Marks a layout as cut and takes that back; says what became of it, and why where the stash does not allow it. */
export function useMarkCut({ record, paperIds }: CuttingTable): MarkCut {
  const { message, modal } = App.useApp();
  const undo = (id: string): Promise<void> =>
    undoCut(id).catch((error: unknown) => {
      modal.error({ title: 'It could not be taken back', content: `${whyOf(error)}.` });
    });
  const mark = async (title: string, list: CutList, layout: Layout): Promise<void> => {
    try {
      const id = await markCut(record.id, title, list, layout, paperIds);
      void message.success({
        content: (
          <span>
            The stash has followed.{' '}
            <Button type="link" onClick={() => void undo(id)}>
              Undo
            </Button>
          </span>
        ),
        duration: 8,
      });
    } catch (error) {
      const why = whyOf(error);
      modal.error({
        title: 'It was not marked as cut',
        content: `${error instanceof Refused ? `In the stash ${why}` : why}.`,
      });
    }
  };
  return { mark, undo };
}
