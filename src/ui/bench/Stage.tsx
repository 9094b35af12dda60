import { Segmented, Select } from 'antd';
import { group } from 'd3-array';
import dynamic from 'next/dynamic';
import { memo, useState } from 'react';
import { paperOf, type Design, type DesignChange, type DesignInput } from '@/core/design';
import { sheetPicture } from '@/core/looks';
import type { Made } from '@/core/plan';
import { capitalised } from '@/core/text';
import { SmallPicture } from '../draw/SmallPicture';
import { Boundary } from '../parts/Boundary';
import type { Planned } from '../parts/plans';
import { VIEWS, type ViewName } from '../parts/views';
import { Waiting } from '../parts/Waiting';
import { FoldedView } from './FoldedView';
import { PaperView } from './PaperView';
import { SheetView } from './SheetView';
import { Together } from '../together/Together';
import type { TogetherProps } from '../together/props';
import { Steps } from './Steps';
import type { Dragging } from './useDrag';
import styles from './Bench.module.css';

/** Cutting loads when it is looked at. */
const CuttingView = dynamic(() => import('./CuttingView').then((module) => module.CuttingView), {
  ssr: false,
  loading: () => <Waiting what="Laying out the cutting view" />,
});

/** What counts makes loads when it is asked. */
const FitView = dynamic(() => import('../fit/FitView').then((module) => module.FitView), {
  ssr: false,
  loading: () => <Waiting what="Laying out the fit" />,
});

interface StageProps {
  readonly id: string;
  readonly name: string;
  readonly view: ViewName;
  readonly planned: Planned;
  readonly of: DesignInput;
  readonly onView: (view: ViewName) => void;
  readonly onChange: (change: DesignChange, key: string) => void;
  readonly dragging: Dragging;
  readonly together: TogetherProps;
}

/** The plan in the middle of the bench, looked at one way or another. */
export const Stage = memo(function Stage(props: StageProps) {
  const { id, name, view, planned, of, onView, onChange, dragging, together } = props;
  const [pieceName, setPieceName] = useState('');
  const made = 'plan' in planned ? planned.plan.made : null;
  const part = made && (made.pieces.find(({ piece }) => piece.name === pieceName) ?? made.pieces[0]);
  return (
    <section className={styles.stage} aria-label="The plan">
      <Views view={view} onView={onView} />
      {made &&
        part &&
        view === 'sheet' &&
        made.pieces.length > 1 &&
        (made.pieces.length > MOST_BESIDE && 'plan' in planned ? (
          <ManyPieces made={made} design={planned.design} shown={part.piece.name} onShow={setPieceName} />
        ) : (
          <Pieces
            names={made.pieces.map(({ piece }) => piece.name).join('\n')}
            shown={part.piece.name}
            onShow={setPieceName}
          />
        ))}
      <div className={styles.view}>
        {view === 'together' ? (
          <Boundary what="The view “Together”" of={together.whole.set}>
            <Together {...together} />
          </Boundary>
        ) : view === 'cutting' ? (
          <Boundary what="The view “Cutting”" of={together.whole.set}>
            <CuttingView id={id} name={name} whole={together.whole} />
          </Boundary>
        ) : made && part && 'plan' in planned ? (
          <Boundary key={view} what={`The view “${VIEWS.find(({ value }) => value === view)!.label}”`} of={of}>
            {view === 'sheet' && (
              <SheetView key={part.piece.name} made={made} part={part} design={planned.design} dragging={dragging} />
            )}
            {view === 'folded' && <FoldedView made={made} design={planned.design} onChange={onChange} />}
            {view === 'paper' && (
              <PaperView made={made} design={planned.design} onChange={onChange} onPull={dragging.onPull} />
            )}
            {view === 'steps' && <Steps plan={planned.plan} />}
            {view === 'fit' && <FitView of={of} whole={together.whole} onChange={onChange} />}
          </Boundary>
        ) : (
          <p className={styles.nothing}>There is no pattern for this yet. The check beside says why.</p>
        )}
      </div>
    </section>
  );
});

/** So many pieces stand beside each other; of more one is picked by its picture. */
const MOST_BESIDE = 5;
const TINY = { width: 44, height: 34 };

/** The pieces of a thing of many, by the paper they are cut from, each with its picture. */
function ManyPieces({
  made,
  design,
  shown,
  onShow,
}: {
  readonly made: Made;
  readonly design: Design;
  readonly shown: string;
  readonly onShow: (name: string) => void;
}) {
  const papers = [...group(made.pieces, ({ piece }) => paperOf(design, piece.name).name || 'Paper')];
  return (
    <Select
      className={styles.piecePicked}
      size="large"
      aria-label="Piece on the table"
      value={shown}
      showSearch
      options={papers.map(([paper, parts]) => ({
        label: paper,
        options: parts.map(({ piece }) => ({ value: piece.name, label: capitalised(piece.name) })),
      }))}
      optionRender={({ value, label }) => {
        const part = made.pieces.find(({ piece }) => piece.name === value);
        return (
          <span className={styles.pieceOption}>
            <span>{part && <SmallPicture picture={sheetPicture(made, part, {})} scale={0.2} room={TINY} />}</span>
            {label}
          </span>
        );
      }}
      onChange={onShow}
    />
  );
}

const Pieces = memo(function Pieces({
  names,
  shown,
  onShow,
}: {
  /** A line each. */
  readonly names: string;
  readonly shown: string;
  readonly onShow: (name: string) => void;
}) {
  return (
    <Segmented
      className={styles.pieces}
      aria-label="Piece on the table"
      value={shown}
      options={names.split('\n')}
      onChange={onShow}
    />
  );
});

const Views = memo(function Views({ view, onView }: Pick<StageProps, 'view' | 'onView'>) {
  return (
    <Segmented<ViewName>
      className={styles.views}
      aria-label="View"
      value={view}
      options={[...VIEWS]}
      onChange={onView}
    />
  );
});
