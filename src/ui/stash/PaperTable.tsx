import { DeleteOutlined, EditOutlined } from '@ant-design/icons';
import { Button, Table, type TableColumnsType } from 'antd';
import { formatLength, gramsAt, mm } from '@/core/length';
import type { CutRecord, PaperRecord } from '@/data/db';
import { isExample } from '@/data/examples';
import { keepPaper } from '@/data/stash';
import { ExampleTag } from '../parts/ExampleTag';
import { Empty } from '../parts/Empty';
import { NumberField } from '../parts/NumberField';
import { useUnits } from '../parts/InUnits';
import { useMoney } from '../parts/useMoney';
import { Words } from '../parts/Words';
import styles from './Stash.module.css';

interface PaperTableProps {
  readonly title: string;
  readonly papers: readonly PaperRecord[];
  /** What is said where there are none. */
  readonly none: string;
  /** What offcuts were left of. */
  readonly cuts: readonly CutRecord[];
  readonly onBecomes: (paper: PaperRecord) => void;
  readonly onChange: (paper: PaperRecord) => void;
  readonly onRemove: (paper: PaperRecord) => void;
}

/** Papers line by line, with how many there are of each. */
export function PaperTable({ title, papers, none, cuts, onBecomes, onChange, onRemove }: PaperTableProps) {
  const { units, graduation } = useUnits();
  const money = useMoney();
  const say = (value: number): string => formatLength(mm(value), units, graduation);
  const cutOf = new Map(cuts.map((cut) => [cut.id, cut]));
  const columns: TableColumnsType<PaperRecord> = [
    {
      title: 'Paper',
      dataIndex: 'name',
      sorter: (a, b) => a.name.localeCompare(b.name),
      render: (name: string, paper) => {
        const { made, of, note, from } = paper;
        return (
          <>
            <strong>{name}</strong>
            {isExample(paper) && <ExampleTag />}
            <span className={styles.under}>
              {[
                made !== 'plain' && `${made}${of && ` from ${of}`}`,
                cutOf.get(from) && `left of “${cutOf.get(from)!.name}”`,
                note,
              ]
                .filter(Boolean)
                .join('; ')}
            </span>
          </>
        );
      },
    },
    {
      title: 'Size',
      key: 'size',
      sorter: (a, b) => a.width * a.height - b.width * b.height,
      render: (_, { width, height }) => (
        <span className={styles.figure}>
          <Words>
            {say(width)} × {say(height)}
          </Words>
        </span>
      ),
    },
    {
      title: 'Sheets',
      dataIndex: 'count',
      width: 100,
      sorter: (a, b) => a.count - b.count,
      render: (count: number, paper) => (
        <NumberField
          aria-label={`Sheets of ${paper.name}, ${say(paper.width)} × ${say(paper.height)}`}
          min={0}
          max={9999}
          precision={0}
          value={count}
          className={styles.count}
          onChange={(n) => keepPaper(paper.id, paper, { ...paper, count: n })}
        />
      ),
    },
    {
      title: 'Kind',
      key: 'kind',
      responsive: ['lg'],
      render: (_, { caliper, sided, directional, colour }) =>
        [
          colour,
          `${Math.round(gramsAt(caliper) / 5) * 5} g/m²`,
          sided === 1 && 'printed on one side',
          directional && 'right way up',
        ]
          .filter(Boolean)
          .join(', '),
    },
    {
      title: 'A sheet',
      dataIndex: 'price',
      responsive: ['lg'],
      align: 'right',
      width: 92,
      sorter: (a, b) => a.price - b.price,
      render: (price: number) => (price > 0 ? <span className={styles.figure}>{money(price)}</span> : ''),
    },
    {
      key: 'do',
      title: <span className="sr-only">What to do</span>,
      render: (_, paper) => (
        <span className={styles.rowTools}>
          <Button onClick={() => onBecomes(paper)}>What can it become?</Button>
          <Button
            type="text"
            icon={<EditOutlined />}
            aria-label={`Change ${paper.name}`}
            onClick={() => onChange(paper)}
          />
          <Button
            type="text"
            icon={<DeleteOutlined />}
            aria-label={`Take ${paper.name} out`}
            onClick={() => onRemove(paper)}
          />
        </span>
      ),
    },
  ];
  return (
    <section className={styles.card} aria-label={title}>
      <h2>{title}</h2>
      {papers.length === 0 ? (
        <Empty>{none}</Empty>
      ) : (
        <Table<PaperRecord>
          size="small"
          rowKey="id"
          columns={columns}
          dataSource={[...papers]}
          pagination={papers.length > 20 ? { pageSize: 20, showSizeChanger: false } : false}
        />
      )}
    </section>
  );
}
