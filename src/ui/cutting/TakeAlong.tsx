import { DownloadOutlined } from '@ant-design/icons';
import type { CutList, Layout } from '@/core/cutting';
import { download, fileName } from '../parts/download';
import { MenuButton } from '../parts/MenuButton';
import { useTell } from '../parts/useTell';

interface TakeAlongProps {
  readonly list: CutList;
  readonly layout: Layout;
  readonly title: string;
}

/** Files of a layout to take along. */
export function TakeAlong({ list, layout, title }: TakeAlongProps) {
  const { failed } = useTell();
  const write = async (kind: string): Promise<void> => {
    const { cutsCsv, layoutCsv, layoutDxf, layoutSvg } = await import('@/core/files/layout-files');
    const name = `${title} cutting`;
    if (kind === 'svg') download(fileName(name, 'svg'), 'image/svg+xml', layoutSvg(list, layout, title));
    if (kind === 'dxf') download(fileName(name, 'dxf'), 'image/vnd.dxf', layoutDxf(list, layout));
    if (kind === 'pieces') download(fileName(name, 'csv'), 'text/csv;charset=utf-8', layoutCsv(layout));
    if (kind === 'cuts') download(fileName(`${name} order`, 'csv'), 'text/csv;charset=utf-8', cutsCsv(list, layout));
    if (kind === 'json') download(fileName(name, 'json'), 'application/json', `${JSON.stringify(layout, null, 2)}\n`);
  };
  return (
    <MenuButton
      size="large"
      icon={<DownloadOutlined />}
      items={[
        { key: 'svg', label: 'Cut by machine: sheets as drawing (SVG)' },
        { key: 'dxf', label: 'Cut by machine: sheets as lines (DXF)' },
        { key: 'cuts', label: 'Cut by hand: cuts in order, a table (CSV)', disabled: list.cutter === 'free' },
        { key: 'pieces', label: 'To calculate with: pieces, a table (CSV)' },
        { key: 'json', label: 'Hand on or keep: the layout (JSON)' },
      ]}
      onPick={(kind) => void write(kind).catch(failed('It could not be written'))}
    >
      Take it along
    </MenuButton>
  );
}
