'use client';

import { SettingOutlined } from '@ant-design/icons';
import { Button, Checkbox, Collapse, Radio, Segmented, Select } from 'antd';
import { useState } from 'react';
import { constructionNamed } from '@/core/constructions';
import { formatLength, inches, mm, type Graduation, type Units } from '@/core/length';
import { CARDS, PAPERS, readDesign, type DesignChange, type DesignInput, type PaperSize } from '@/core/plan';
import { COMMON_BOARD } from '@/core/tools';
import { loadMyBoard } from '@/data/settings';
import { LengthField } from '../parts/LengthField';
import { BoardDialog } from './BoardDialog';
import styles from './Brief.module.css';

interface BriefProps {
  readonly design: DesignInput;
  readonly units: Units;
  readonly graduation: Graduation;
  readonly onChange: (change: DesignChange, key: string) => void;
}

const EITHER = (a: PaperSize, width: unknown, height: unknown): boolean =>
  (same(a.width, width) && same(a.height, height)) || (same(a.width, height) && same(a.height, width));
const same = (a: number, b: unknown): boolean => Math.abs(a - Number(b)) < 1e-3;

/** What the person has: the thing that goes in or the paper at hand, the paper, the tool, and the choices makers differ on. */
export function Brief({ design, units, graduation, onChange }: BriefProps) {
  const paperFirst = design.blank !== undefined;
  const read = readDesign(design);
  const { contents = {}, blank, paper = {} } = design;
  const field = { units, graduation };
  const sizeLabel = (size: PaperSize): string =>
    /\d ×|\d in/.test(size.title)
      ? size.title
      : `${size.title}, ${formatLength(size.width, units, '1/32 in')} × ${formatLength(size.height, units, '1/32 in')}`;
  return (
    <div className={styles.brief}>
      {paperFirst ? (
        <>
          <h2>The paper I have</h2>
          <div className={styles.pair}>
            <LengthField
              {...field}
              label="Square, each way"
              value={Number(blank?.width)}
              least={10}
              onChange={(side) => onChange({ blank: { width: side, height: side } }, 'blank')}
            />
            <LengthField
              {...field}
              label="Set at"
              value={
                read.ok
                  ? ((read.design.options as { setting?: number }).setting ?? Number(blank?.width) / 2)
                  : undefined
              }
              onChange={(setting) => onChange({ options: { setting } }, 'setting')}
            />
          </div>
          <LengthField
            {...field}
            label="Thickness to make room for"
            value={Number(contents.thickness ?? 0)}
            least={0}
            most={60}
            onChange={(thickness) => onChange({ contents: { thickness } }, 'thickness')}
          />
        </>
      ) : (
        <>
          <h2>What goes in</h2>
          <Select
            aria-label="Usual sizes of contents"
            className={styles.wide}
            value={CARDS.find((card) => EITHER(card, contents.width, contents.height))?.id ?? 'free'}
            options={[
              { value: 'free', label: 'My own size' },
              ...CARDS.map((card) => ({ value: card.id, label: sizeLabel(card), title: card.source })),
            ]}
            onChange={(id) => {
              const card = CARDS.find((c) => c.id === id);
              if (card) onChange({ contents: { ...contents, width: card.width, height: card.height } }, 'preset');
            }}
          />
          <div className={styles.pair}>
            <LengthField
              {...field}
              label="Width"
              value={Number(contents.width)}
              least={5}
              onChange={(width) => onChange({ contents: { ...contents, width } }, 'width')}
            />
            <LengthField
              {...field}
              label="Height"
              value={Number(contents.height)}
              least={5}
              onChange={(height) => onChange({ contents: { ...contents, height } }, 'height')}
            />
          </div>
          <LengthField
            {...field}
            label="Thickness"
            hint="At its thickest place"
            value={Number(contents.thickness ?? 0)}
            least={0}
            most={60}
            onChange={(thickness) => onChange({ contents: { ...contents, thickness } }, 'thickness')}
          />
        </>
      )}
      <h2>Paper</h2>
      <Select
        aria-label="Paper sizes"
        className={styles.wide}
        value={
          paper.width === undefined ? 'any' : (PAPERS.find((p) => EITHER(p, paper.width, paper.height))?.id ?? 'free')
        }
        options={[
          { value: 'any', label: 'Any that is large enough' },
          { value: 'free', label: 'My own size' },
          ...PAPERS.map((p) => ({ value: p.id, label: sizeLabel(p), title: p.source })),
        ]}
        onChange={(id) => {
          const sheet = PAPERS.find((p) => p.id === id);
          if (sheet) onChange({ paper: { ...paper, width: sheet.width, height: sheet.height } }, 'paper');
          else if (id === 'any') onChange({ paper: { ...paper, width: undefined, height: undefined } }, 'paper');
          else
            onChange(
              { paper: { ...paper, width: paper.width ?? inches(10), height: paper.height ?? inches(10) } },
              'paper',
            );
        }}
      />
      {paper.width !== undefined && !PAPERS.some((p) => EITHER(p, paper.width, paper.height)) && (
        <div className={styles.pair}>
          <LengthField
            {...field}
            label="Paper width"
            value={Number(paper.width)}
            least={10}
            onChange={(width) => onChange({ paper: { ...paper, width } }, 'paper-width')}
          />
          <LengthField
            {...field}
            label="Paper height"
            value={Number(paper.height)}
            least={10}
            onChange={(height) => onChange({ paper: { ...paper, height } }, 'paper-height')}
          />
        </div>
      )}
      <div className={styles.ticks}>
        <Checkbox
          checked={paper.sided === 1}
          onChange={(event) => onChange({ paper: { ...paper, sided: event.target.checked ? 1 : 2 } }, 'sided')}
        >
          Printed on one side
        </Checkbox>
        <Checkbox
          checked={paper.directional === true}
          onChange={(event) => onChange({ paper: { ...paper, directional: event.target.checked } }, 'directional')}
        >
          Print has a right way up
        </Checkbox>
      </div>
      <ToolChoice design={design} units={units} graduation={graduation} onChange={onChange} />
      <Choices design={design} units={units} graduation={graduation} onChange={onChange} />
    </div>
  );
}

function ToolChoice({ design, units, graduation, onChange }: BriefProps) {
  const [open, setOpen] = useState(false);
  const tool = design.tool ?? COMMON_BOARD;
  const say = (value: unknown): string =>
    formatLength(mm(Number(value)), units, units === 'in' ? '1/32 in' : '0.5 mm', true);
  return (
    <>
      <h2>Tool</h2>
      <Segmented
        block
        aria-label="Tool"
        value={tool.kind === 'envelope-board' ? 'board' : 'hand'}
        options={[
          { value: 'board', label: 'Board' },
          { value: 'hand', label: 'By hand' },
        ]}
        onChange={async (kind) =>
          onChange(
            { tool: kind === 'board' ? { kind: 'envelope-board', ...(await loadMyBoard()) } : { kind: 'ruler' } },
            'tool',
          )
        }
      />
      {tool.kind === 'envelope-board' ? (
        <>
          <p className={styles.board}>
            Notch {say(tool.notch)}
            {Number(tool.offset) !== 0 && `, guide off by ${say(tool.offset)}`}, ruler to {say(tool.rulerEnd)}, groove
            to {say(tool.grooveEnd)}.
          </p>
          <Button icon={<SettingOutlined />} onClick={() => setOpen(true)}>
            My board
          </Button>
          {open && (
            <BoardDialog
              board={tool}
              units={units}
              graduation={graduation}
              onClose={() => setOpen(false)}
              onUse={(board) => onChange({ tool: { kind: 'envelope-board', ...board } }, 'board')}
            />
          )}
        </>
      ) : (
        <LengthField
          units={units}
          graduation={graduation}
          label="Notch to cut"
          hint="Any size works; 1 in is easy to mark."
          value={Number(tool.notch ?? COMMON_BOARD.notch)}
          least={5}
          most={60}
          onChange={(notch) => onChange({ tool: { kind: 'ruler', notch } }, 'notch')}
        />
      )}
    </>
  );
}

function Choices({ design, units, graduation, onChange }: BriefProps) {
  const construction = constructionNamed(design.construction);
  const read = readDesign(design);
  if (!construction || !read.ok) return null;
  const options = read.design.options as Record<string, string | number | undefined>;
  const choice = (option: string, title: string) => (
    <div className={styles.choice}>
      <span id={`choice-${option}`}>{title}</span>
      <Radio.Group
        aria-labelledby={`choice-${option}`}
        value={options[option]}
        onChange={(event) => onChange({ options: { [option]: event.target.value as string } }, option)}
      >
        {construction.schools
          .filter((school) => school.option === option)
          .map((school) => (
            <Radio key={school.value} value={school.value} className={styles.school}>
              {school.title}
              <small>{school.why}</small>
            </Radio>
          ))}
      </Radio.Group>
    </div>
  );
  const ease = read.design.aim;
  return (
    <Collapse
      ghost
      className={styles.more}
      items={[
        {
          key: 'choices',
          label: 'Opening, flap and room',
          children: (
            <>
              {choice('opening', 'Opening')}
              {choice('tip', 'Closing flap')}
              {options.tip !== 'point' && (
                <LengthField
                  units={units}
                  graduation={graduation}
                  label="Tip taken off"
                  value={Number(options.tipDepth)}
                  least={1}
                  most={200}
                  onChange={(tipDepth) => onChange({ options: { tipDepth } }, 'tipDepth')}
                />
              )}
              <LengthField
                units={units}
                graduation={graduation}
                label="Corner radius"
                value={Number(options.corner)}
                least={0}
                most={60}
                onChange={(corner) => onChange({ options: { corner } }, 'corner')}
              />
              {choice('flaps', 'Long flaps')}
              {!design.blank && (
                <div className={styles.pair}>
                  <LengthField
                    units={units}
                    graduation={graduation}
                    label="Room, width"
                    value={ease.width}
                    least={0}
                    most={100}
                    onChange={(width) => onChange({ ease: { ...ease, width } }, 'ease-width')}
                  />
                  <LengthField
                    units={units}
                    graduation={graduation}
                    label="Room, height"
                    value={ease.height}
                    least={0}
                    most={100}
                    onChange={(height) => onChange({ ease: { ...ease, height } }, 'ease-height')}
                  />
                </div>
              )}
            </>
          ),
        },
        {
          key: 'advice',
          label: 'Usual mistakes',
          children: (
            <dl className={styles.advice}>
              {construction.advice.map(({ mistake, instead }) => (
                <div key={mistake}>
                  <dt>{mistake}</dt>
                  <dd>{instead}</dd>
                </div>
              ))}
            </dl>
          ),
        },
      ]}
    />
  );
}
