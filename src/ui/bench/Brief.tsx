'use client';

import { Checkbox, Select } from 'antd';
import { Link } from '../parts/Link';
import { memo } from 'react';
import { CONSTRUCTIONS, DOES, type Does } from '@/core/constructions';
import type { KeptPaper } from '@/core/cutting';
import { formatLength, inches, mm, type Mm, type Units } from '@/core/length';
import {
  CARDS,
  constructionOptions,
  inputOf,
  MEASURED,
  PAPERS,
  sizeIn,
  sizeNamed,
  type Design,
  type DesignChange,
  type DesignInput,
  type PaperSize,
  isSold,
} from '@/core/design';
import { toolFor } from '@/core/choosing';
import type { Made } from '@/core/plan';
import { benchFigures, boardsOf, figureOf, OFFERED, planTool, sameTool, withFigure, type Tool } from '@/core/tools';
import { toolsOut } from '@/data/settings';
import { LengthField } from '../parts/LengthField';
import { PaperThickness } from '../parts/PaperThickness';
import { useToolbox } from '../parts/useToolbox';
import { useStashPapers } from '../parts/useStash';
import { useUnits } from '../parts/InUnits';
import { Choices, OptionInput } from './Choices';
import { Extras } from './Extras';
import { EnoughPaper } from './EnoughPaper';
import { SpoiledSheet } from './SpoiledSheet';
import { inWords } from '../parts/Words';
import styles from './Brief.module.css';

interface BriefProps {
  readonly design: Design;
  readonly made: Made | null;
  /** Another part of the set tells what goes in. */
  readonly told: boolean;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** A size for a list: its name, and its lengths where the name does not say them. */
const sizeLabel = (size: PaperSize, units: Units): string =>
  /\d ×|\d in/.test(size.title)
    ? size.title
    : `${size.title}, ${formatLength(size.width, units, '1/32 in')} × ${formatLength(size.height, units, '1/32 in')}`;

/** What the person has: what goes in or the paper at hand, the paper, the tool, and the choices makers differ on. */
export const Brief = memo(function Brief(props: BriefProps) {
  return (
    <div className={styles.brief}>
      <SpoiledSheet design={props.design} made={props.made} onChange={props.onChange} />
      <MadeAs {...props} />
      {props.told ? null : props.design.blank ? <PaperAtHand {...props} /> : <WhatGoesIn {...props} />}
      <Paper {...props} />
      <ToolChoice {...props} />
      <Choices {...props} />
      <Extras {...props} />
    </div>
  );
});

const DOES_TITLE: Readonly<Record<Does, string>> = {
  closes: 'Closes over what it holds',
  opens: 'Open pockets',
  wraps: 'Goes round it',
  stands: 'Stands',
  gathers: 'Albums',
  decorates: 'For looks',
};
/** All holders, by what they do. */
const GROUPS = DOES.map((does) => ({
  label: DOES_TITLE[does],
  options: CONSTRUCTIONS.filter((one) => one.does === does).map(({ name, title }) => ({ value: name, label: title })),
}));

/** Which holder it is, another to try, and its page of advice. */
function MadeAs({ design, onChange }: BriefProps) {
  const { construction } = design;
  const toolbox = useToolbox();
  /** The board that suits that holder, where the design is made with one of those that are out. */
  const boardFor = (name: string): Pick<DesignChange, 'tool'> => {
    if (!toolbox || !['envelope-board', 'scoring-board'].includes(design.tool.kind)) return {};
    const asked = { ...inputOf(design), construction: name, options: {} } as DesignInput;
    return { tool: toolFor(asked, toolsOut(toolbox)) as Tool };
  };
  return (
    <>
      <h2>Made as</h2>
      <Select
        aria-label="Made as"
        className={styles.wide}
        value={construction.name}
        showSearch={{ optionFilterProp: 'label' }}
        options={GROUPS}
        // What was decided for one holder means nothing for another: its options go, the rest stays.
        onChange={(name) =>
          onChange(
            { construction: name, options: null, ease: undefined, leastEase: undefined, ...boardFor(name) },
            'construction',
          )
        }
      />
      <p className={styles.purpose}>
        {construction.purpose} <Link href={`/holders/${construction.name}`}>How it is made</Link>
      </p>
    </>
  );
}

function WhatGoesIn({ design, onChange }: BriefProps) {
  const { units } = useUnits();
  const { contents, thickness } = design;
  if (!contents) return null;
  const change = (part: Partial<typeof contents>, key: string): void =>
    onChange({ contents: { ...contents, ...part } }, key);
  return (
    <>
      <h2>{design.construction.does === 'decorates' ? 'Its size' : 'What goes in'}</h2>
      <Select
        {...inWords}
        aria-label="Usual sizes of contents"
        className={styles.wide}
        value={sizeNamed(CARDS, contents.width, contents.height, MEASURED)?.id ?? 'free'}
        options={[
          { value: 'free', label: 'My own size' },
          ...CARDS.map((card) => ({ value: card.id, label: sizeLabel(card, units), title: card.source })),
        ]}
        onChange={(id) => {
          const card = CARDS.find((c) => c.id === id);
          if (card) change(sizeIn(card, units), 'preset');
        }}
      />
      <SizeFields
        labels={['Width', 'Height']}
        value={contents}
        least={5}
        onChange={(side, length) => change({ [side]: length }, side)}
      />
      <LengthField
        label="Thickness"
        hint="At its thickest place"
        value={thickness}
        least={0}
        most={60}
        onChange={(thick) => change({ thickness: mm(thick) }, 'thickness')}
      />
    </>
  );
}

/** Most sheets offered for all pieces of one holder; a document may tell more. */
const MOST_SHEETS = 6;

function PaperAtHand({ design, made, onChange }: BriefProps) {
  const { blank, construction, thickness, contents, sheets } = design;
  if (!blank) return null;
  const first = made?.pieces[0].piece.blank;
  const takesAll = first !== undefined && first.width === blank.width && first.height === blank.height;
  const given = sheets ?? (takesAll || !isSold(blank) ? 0 : 1);
  return (
    <>
      <h2>The paper I have</h2>
      {takesSquare(construction) ? (
        <LengthField
          label="Square, each way"
          value={blank.width}
          least={10}
          onChange={(side) => onChange({ blank: { width: side, height: side } }, 'blank')}
        />
      ) : (
        <SizeFields
          labels={['Paper width', 'Paper height']}
          value={blank}
          least={10}
          onChange={(side, length) => onChange({ blank: { ...blank, [side]: length } }, `blank-${side}`)}
        />
      )}
      <div className={styles.pair}>
        {constructionOptions(construction.name)
          .filter((option) => option.onPaper)
          .map((option) => (
            <OptionInput key={option.name} option={option} design={design} onChange={onChange} />
          ))}
      </div>
      {(sheets !== null || (made?.pieces.length ?? 0) > 1) && (
        <Select
          aria-label="What comes from this paper"
          className={styles.wide}
          value={given}
          options={[
            ...(given === 0 || !isSold(blank) ? [{ value: 0, label: 'Its first piece takes it all' }] : []),
            ...Array.from({ length: Math.max(MOST_SHEETS, given) }, (_, i) => ({
              value: i + 1,
              label: i === 0 ? 'All its pieces, from this one sheet' : `All its pieces, from ${i + 1} such sheets`,
            })),
          ]}
          onChange={(count) => onChange({ sheets: count === 0 ? undefined : count }, 'sheets')}
        />
      )}
      <LengthField
        label="Thickness to make room for"
        value={thickness}
        least={0}
        most={60}
        onChange={(thick) => onChange({ contents: { ...contents, thickness: thick } }, 'thickness')}
      />
    </>
  );
}

/** Holders set on an envelope board start from a square. */
const takesSquare = ({ name }: Design['construction']): boolean =>
  constructionOptions(name).some((option) => option.name === 'setting');

/** The paper of the stash a design is planned on, told by its size and kind. */
const paperFrom = (stash: readonly KeptPaper[], { paper }: Design): KeptPaper | undefined =>
  stash.find(
    ({ width, height, caliper, sided, directional }) =>
      paper.width === width &&
      paper.height === height &&
      paper.caliper === caliper &&
      paper.sided === sided &&
      paper.directional === directional,
  );

function Paper({ design, made, onChange }: BriefProps) {
  const { units } = useUnits();
  const { paper } = design;
  const stash = useStashPapers();
  const own = paperFrom(stash, design);
  const { width, height } = paper;
  const known = width !== undefined && height !== undefined ? sizeNamed(PAPERS, width, height) : null;
  const change = (part: Partial<typeof paper>, key: string): void => onChange({ paper: { ...paper, ...part } }, key);
  return (
    <>
      <h2>Paper</h2>
      <Select
        {...inWords}
        aria-label="Paper sizes"
        className={styles.wide}
        showSearch={{ optionFilterProp: 'label' }}
        value={width === undefined ? 'any' : (own?.id ?? known?.id ?? 'free')}
        options={[
          { value: 'any', label: 'Any that is large enough' },
          { value: 'free', label: 'My own size' },
          ...PAPERS.map((p) => ({ value: p.id, label: sizeLabel(p, units), title: p.source })),
          ...(stash.length > 0
            ? [
                {
                  label: 'In your stash',
                  options: stash.map((p) => ({
                    value: p.id,
                    label: `${sizeLabel({ ...p, title: p.name, source: '' }, units)}, ${p.count} ${p.count === 1 ? 'sheet' : 'sheets'}`,
                  })),
                },
              ]
            : []),
        ]}
        onChange={(id) => {
          const sheet = PAPERS.find((p) => p.id === id);
          const kept = stash.find((p) => p.id === id);
          if (kept) {
            const { width: w, height: h, caliper, sided, directional } = kept;
            change({ width: w, height: h, caliper, sided, directional }, 'paper');
          } else if (sheet) change({ width: sheet.width, height: sheet.height }, 'paper');
          else if (id === 'any') change({ width: undefined, height: undefined }, 'paper');
          // A size of one's own starts where no listed size is, so that its fields show.
          else change({ width: inches(10), height: inches(10) }, 'paper');
        }}
      />
      {width !== undefined && height !== undefined && !known && !own && (
        <SizeFields
          labels={['Paper width', 'Paper height']}
          value={{ width, height }}
          least={10}
          onChange={(side, length) => change({ [side]: length }, `paper-${side}`)}
        />
      )}
      {own && made && <EnoughPaper paper={own} made={made} design={design} />}
      <PaperThickness caliper={paper.caliper} onChange={(caliper) => change({ caliper }, 'caliper')} />
      <div className={styles.ticks}>
        <Checkbox
          checked={paper.sided === 1}
          onChange={(event) => change({ sided: event.target.checked ? 1 : 2 }, 'sided')}
        >
          Printed on one side
        </Checkbox>
        <Checkbox
          checked={paper.directional}
          onChange={(event) => change({ directional: event.target.checked }, 'directional')}
        >
          Print has a right way up
        </Checkbox>
      </div>
    </>
  );
}

interface SizeFieldsProps {
  readonly labels: readonly [width: string, height: string];
  readonly value: { readonly width: Mm; readonly height: Mm };
  /** Least either length may be, mm. */
  readonly least: number;
  readonly onChange: (side: 'width' | 'height', length: Mm) => void;
}

/** A width and a height beside each other. */
function SizeFields({ labels, value, least, onChange }: SizeFieldsProps) {
  return (
    <div className={styles.pair}>
      {(['width', 'height'] as const).map((side, i) => (
        <LengthField
          key={side}
          label={labels[i]!}
          value={value[side]}
          least={least}
          onChange={(length) => onChange(side, mm(length))}
        />
      ))}
    </div>
  );
}

function ToolChoice({ design, onChange }: BriefProps) {
  const { units } = useUnits();
  const toolbox = useToolbox();
  const { tool, construction } = design;
  const say = (value: number): string => formatLength(mm(value), units, units === 'in' ? '1/32 in' : '0.5 mm', true);
  const boards = toolbox ? boardsOf(toolbox) : [];
  const own = boards.find((board) => sameTool(tool, board.tool));
  // Of a kind that is owned, the owned ones stand in the list; what this project has besides stands there too.
  const others = OFFERED.filter(({ kind }) => kind === tool.kind || !boards.some((board) => board.tool.kind === kind));
  const told = planTool(tool).told?.(tool, say);
  const figures = benchFigures(tool).filter(({ notched }) => !notched || takesSquare(construction));
  const change = (name: string, length: Mm | undefined): void => {
    onChange({ tool: withFigure(tool, name, length) }, `tool-${name}`);
  };
  return (
    <>
      <h2>Tool</h2>
      <Select
        aria-label="Tool"
        className={styles.wide}
        value={own ? own.own.id : tool.kind}
        options={[
          ...boards.map(({ own: { id, name } }) => ({ value: id, label: name })),
          ...others
            .filter(({ kind }) => !own || kind !== tool.kind)
            .map(({ kind, label, common }) => ({
              value: kind as string,
              label: !common && boards.some((board) => board.tool.kind === kind) ? 'This project’s own' : label,
            })),
        ]}
        onChange={(chosen: string) => {
          const board = boards.find((b) => b.own.id === chosen);
          onChange({ tool: board ? { ...board.tool } : { kind: chosen as Tool['kind'] } }, 'tool');
        }}
      />
      {told && (
        <>
          <p className={styles.board}>{told}</p>
          <Link href="/tools" className={styles.toTools}>
            My tools and their figures
          </Link>
        </>
      )}
      {figures.length > 0 && (
        <div className={figures.length > 1 ? styles.pair : undefined}>
          {figures.map(({ name, title, hint, clears, least, most }) => (
            <LengthField
              key={`${tool.kind} ${name}`}
              label={title}
              {...(hint && { hint })}
              {...(clears && { placeholder: clears, onClear: () => change(name, undefined) })}
              value={figureOf(tool, name)}
              least={least}
              most={most}
              onChange={(length) => change(name, mm(length))}
            />
          ))}
        </div>
      )}
    </>
  );
}
