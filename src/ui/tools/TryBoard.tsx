'use client';

import { Alert, Button, Select, Spin } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { formatLength, inches, mm, type Graduation, type Mm, type Units } from '@/core/length';
import { edgeLength, leftOf, rightOf, type Blank, type Edge } from '@/core/pattern';
import { pictureOf, planFor, readDesign, sayer, type Made } from '@/core/plan';
import {
  boardsOf,
  COMMON_BOARD,
  differences,
  enclosedBy,
  simulate,
  type Move,
  type Tool,
  type Toolbox,
} from '@/core/tools';
import { db, type Project } from '@/data/db';
import { allProjects, seedDemoShelf } from '@/data/projects';
import { SmallPicture } from '../draw/SmallPicture';
import { useSize } from '../draw/useSize';
import { LengthField } from '../parts/LengthField';
import { useToolbox } from '../parts/useToolbox';
import { useUnits } from '../parts/useUnits';
import { OnTable } from '../table/OnTable';
import { moveWords } from './moveWords';
import { ToolsHead } from './ToolsHead';
import styles from './Tools.module.css';

/** A board on the screen: place, punch, score, turn, and see what the sheet would fold to. By oneself or along a plan. */
export function TryBoard() {
  const { units, set } = useUnits();
  const toolbox = useToolbox();
  const address = useSearchParams();
  const [chosen, setChosen] = useState<string | null>(null);
  const id = chosen ?? address.get('p') ?? '';
  useEffect(() => {
    // Opened before the shelf ever was, the demo plans are there to be tried.
    void seedDemoShelf();
  }, []);
  const shelf = useLiveQuery(async () => (await allProjects()).shelf);
  const project = useLiveQuery(async () => (id ? ((await db.projects.get(id)) ?? null) : null), [id]);
  return (
    <main className={styles.tools}>
      <ToolsHead title="Try a board" units={project ? project.units : units} onUnits={set} />
      <p className={styles.lead}>
        Nothing is wasted here. Lay the sheet, punch, score, turn; the board does what a real one does with your
        figures, and says what the sheet would fold to.
      </p>
      <Select
        aria-label="What to try"
        className={styles.what}
        value={id}
        options={[
          { value: '', label: 'A sheet of my own' },
          ...(shelf ?? []).map(({ id: value, name }) => ({ value, label: `Along the plan: ${name}` })),
        ]}
        onChange={setChosen}
      />
      {(!toolbox || project === undefined || (id !== '' && project === null)) && (
        <Spin aria-label="Laying out the board" />
      )}
      {toolbox && project && <AlongPlan key={project.id} project={project} />}
      {toolbox && id === '' && <Freely key={units} toolbox={toolbox} units={units} named={address.get('t')} />}
    </main>
  );
}

/** A piece of a plan, made move by move on the tool it was planned for. */
function AlongPlan({ project }: { readonly project: Project }) {
  const made = useMemo(() => {
    const read = readDesign(project.design);
    return read.ok ? { design: read.design, made: planFor(read.design).made } : null;
  }, [project.design]);
  const [piece, setPiece] = useState(0);
  if (!made?.made)
    return (
      <Alert
        type="warning"
        showIcon
        title="This plan has no pattern yet"
        description={<Link href={`/bench?p=${project.id}`}>See on the bench what is missing</Link>}
      />
    );
  const part = made.made.pieces[piece] ?? made.made.pieces[0];
  return (
    <>
      {made.made.pieces.length > 1 && (
        <Select
          aria-label="Piece"
          className={styles.what}
          value={piece}
          options={made.made.pieces.map(({ piece: { name } }, value) => ({ value, label: `The ${name}` }))}
          onChange={setPiece}
        />
      )}
      <Trial
        key={part.piece.name}
        blank={part.piece.blank}
        tool={made.design.tool}
        units={project.units}
        graduation={made.design.graduation}
        plan={{ made: made.made, part }}
      />
    </>
  );
}

/** A sheet of any size on one of one's own boards. */
function Freely({
  toolbox,
  units,
  named,
}: {
  readonly toolbox: Toolbox;
  readonly units: Units;
  readonly named: string | null;
}) {
  const boards = boardsOf(toolbox).filter(
    ({ tool }) => tool.kind === 'envelope-board' || tool.kind === 'scoring-board',
  );
  const [chosen, setChosen] = useState(named ?? boards[0]?.own.id ?? '');
  const tool = boards.find(({ own }) => own.id === chosen)?.tool ?? boards[0]?.tool ?? COMMON_BOARD;
  const graduation: Graduation = units === 'in' ? '1/8 in' : '1 mm';
  const [blank, setBlank] = useState<Blank>(
    units === 'in' ? { width: inches(6), height: inches(6) } : { width: mm(150), height: mm(150) },
  );
  return (
    <>
      <div className={styles.chartSettings}>
        <Select
          aria-label="Board"
          style={{ minWidth: 220 }}
          value={chosen}
          options={boards.map(({ own: { id, name } }) => ({ value: id, label: name }))}
          onChange={setChosen}
        />
        {(['width', 'height'] as const).map((side) => (
          <LengthField
            key={side}
            label={`Sheet’s ${side}`}
            units={units}
            graduation={graduation}
            value={blank[side]}
            least={40}
            most={600}
            onChange={(length) => setBlank((now) => ({ ...now, [side]: mm(length) }))}
          />
        ))}
      </div>
      <Trial
        key={`${chosen} ${blank.width} ${blank.height}`}
        blank={blank}
        tool={tool}
        units={units}
        graduation={graduation}
        plan={null}
      />
    </>
  );
}

interface TrialProps {
  readonly blank: Blank;
  readonly tool: Tool;
  readonly units: Units;
  readonly graduation: Graduation;
  readonly plan: { readonly made: Made; readonly part: Made['pieces'][number] } | null;
}

/** The board with its sheet, the moves made, and what they come to. */
function Trial({ blank, tool, units, graduation, plan }: TrialProps) {
  const [moves, setMoves] = useState<readonly Move[]>([]);
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const made = useMemo(() => simulate(blank, tool, moves), [blank, tool, moves]);
  const near = moves.reduce<Edge>((edge, move) => (move.do === 'turn' ? rightOf(edge) : edge), 1);
  const add = (...more: Move[]): void => setMoves((now) => [...now, ...more]);
  const say = sayer(units, graduation);
  const programme = plan?.part.programme.moves ?? [];
  const along = moves.every((move, i) => sameMove(move, programme[i]));
  const next = along ? programme[moves.length] : undefined;
  return (
    <div className={styles.trial}>
      <div ref={frame} className={styles.stage}>
        {size && (
          <OnTable
            blank={blank}
            piece={plan?.part.piece}
            tool={tool}
            moves={moves}
            fresh={Math.min(moves.length, 1)}
            near={near}
            units={units}
            graduation={graduation}
            width={size.width}
            height={size.height}
            label={`The sheet, edge ${near} near you, edge ${leftOf(near)} on the left: ${made.notches.length} notches, ${made.scores.length} scores`}
          />
        )}
      </div>
      <section className={styles.hand} aria-label="What to do with it">
        {plan && (
          <div className={styles.follow}>
            {next ? (
              <>
                <p>
                  <strong>Next in the plan:</strong> {moveWords(next, say)}
                </p>
                <Button type="primary" size="large" onClick={() => add(next)}>
                  Do it
                </Button>
                <Button onClick={() => setMoves(programme)}>Do all the rest</Button>
              </>
            ) : along ? (
              <p>
                <strong>All {programme.length} moves of the plan are made.</strong>
              </p>
            ) : (
              <p>
                <strong>This is not what the plan says.</strong> Take the last move back to follow it again.
              </p>
            )}
          </div>
        )}
        {tool.kind === 'envelope-board' && (
          <BoardHands
            tool={tool}
            blank={blank}
            near={near}
            moves={moves}
            units={units}
            graduation={graduation}
            onMove={add}
          />
        )}
        {tool.kind === 'scoring-board' && (
          <GrooveHands
            key={near}
            length={tool.length}
            near={near}
            count={made.scores.length}
            wide={edgeLength(blank, near)}
            units={units}
            graduation={graduation}
            onMove={add}
          />
        )}
        <div className={styles.handButtons}>
          <Button size="large" onClick={() => add({ do: 'turn' })}>
            Turn a quarter clockwise
          </Button>
          <Button disabled={moves.length === 0} onClick={() => setMoves((now) => now.slice(0, -1))}>
            Take the last move back
          </Button>
          <Button disabled={moves.length === 0} onClick={() => setMoves([])}>
            A new sheet
          </Button>
        </div>
        <Outcome
          blank={blank}
          tool={tool}
          moves={moves}
          made={made}
          plan={plan}
          units={units}
          graduation={graduation}
        />
      </section>
    </div>
  );
}

/** What the hands do at an envelope board. */
function BoardHands({
  tool,
  blank,
  near,
  moves,
  units,
  graduation,
  onMove,
}: {
  readonly tool: Extract<Tool, { kind: 'envelope-board' }>;
  readonly blank: Blank;
  readonly near: Edge;
  readonly moves: readonly Move[];
  readonly units: Units;
  readonly graduation: Graduation;
  readonly onMove: (...moves: Move[]) => void;
}) {
  const [reading, setReading] = useState<number>(units === 'in' ? inches(2.625) : 66);
  const scores = moves.filter((move) => move.do === 'score').length;
  const lies = moves.findLast((move) => move.do === 'place' || move.do === 'turn')?.do === 'place';
  return (
    <div className={styles.hands}>
      <LengthField
        label="Lay the sheet’s left end at"
        units={units}
        graduation={graduation}
        value={reading}
        least={1}
        most={tool.rulerEnd}
        onChange={setReading}
      />
      <div className={styles.handButtons}>
        <Button size="large" onClick={() => onMove({ do: 'place', edge: near, by: 'ruler', at: mm(reading) })}>
          Lay it there
        </Button>
        <Button
          size="large"
          disabled={scores === 0}
          onClick={() => onMove({ do: 'place', edge: near, by: 'pointer', at: mm(pointerAt(blank, tool, moves) ?? 0) })}
        >
          Last score to the pointer
        </Button>
        <Button size="large" disabled={!lies} onClick={() => onMove({ do: 'punch' })}>
          Punch
        </Button>
        <Button
          size="large"
          disabled={!lies}
          onClick={() => onMove({ do: 'score', score: `s-${scores + 1}`, length: mm(0), onward: true })}
        >
          Score
        </Button>
      </div>
    </div>
  );
}

/** Where the sheet lies once its last score is at the pointer: the middle of the notch from its left end, mm. */
function pointerAt(
  blank: Blank,
  tool: Extract<Tool, { kind: 'envelope-board' }>,
  moves: readonly Move[],
): number | null {
  const run = simulate(blank, tool, moves).scores.at(-1);
  const near = moves.reduce<Edge>((edge, move) => (move.do === 'turn' ? rightOf(edge) : edge), 1);
  if (!run) return null;
  const { x, y } = run.to;
  return [x, y, blank.width - x, blank.height - y][near - 1]! - tool.notch / 2;
}

/** What the hands do at a scoring board. */
function GrooveHands({
  length,
  near,
  count,
  wide,
  units,
  graduation,
  onMove,
}: {
  readonly length: Mm;
  readonly near: Edge;
  readonly count: number;
  readonly wide: number;
  readonly units: Units;
  readonly graduation: Graduation;
  readonly onMove: (move: Move) => void;
}) {
  const [at, setAt] = useState<number>(units === 'in' ? inches(1) : 25);
  return (
    <div className={styles.hands}>
      <LengthField
        label="Groove, from the fence"
        units={units}
        graduation={graduation}
        value={at}
        least={1}
        most={Math.min(length, wide)}
        onChange={setAt}
      />
      <Button size="large" onClick={() => onMove({ do: 'groove', score: `s-${count + 1}`, edge: near, at: mm(at) })}>
        Score down that groove
      </Button>
    </div>
  );
}

/** What the sheet would fold to, as far as it is made; what went wrong on the way. */
function Outcome({
  blank,
  tool,
  moves,
  made,
  plan,
  units,
  graduation,
}: TrialProps & { readonly moves: readonly Move[]; readonly made: ReturnType<typeof simulate> }) {
  const inside = enclosedBy(made.scores);
  const folded = useMemo(() => foldedAs(blank, tool, moves, made, plan), [blank, tool, moves, made, plan]);
  const say = (value: number): string => formatLength(mm(value), units, graduation, true);
  return (
    <div className={styles.outcome} aria-live="polite">
      <h2>It would fold to</h2>
      {made.faults.map((fault, i) => (
        <Alert key={i} type="warning" showIcon title={`${fault[0]!.toUpperCase()}${fault.slice(1)}.`} />
      ))}
      {moves.length === 0 && <p>Nothing yet: the sheet is flat and whole.</p>}
      {moves.length > 0 && (
        <p>
          {made.notches.length} {made.notches.length === 1 ? 'notch' : 'notches'}, {made.scores.length}{' '}
          {made.scores.length === 1 ? 'score' : 'scores'}
          {inside
            ? `. The scores enclose ${say(Math.min(inside.width, inside.height))} × ${say(Math.max(inside.width, inside.height))}.`
            : ': no inside is closed in yet.'}
        </p>
      )}
      {folded && (
        <>
          <SmallPicture
            picture={pictureOf(folded)}
            scale={1.4}
            room={{ width: 260, height: 170 }}
            label="The folded thing"
          />
          <p>
            <strong>It folds.</strong> Inside {say(folded.inside.width)} × {say(folded.inside.height)}
            {plan ? ', as the plan says.' : '.'}
          </p>
        </>
      )}
    </div>
  );
}

/** What these very scores and notches fold to: the plan's own, or an envelope from this square; null while neither. */
function foldedAs(
  blank: Blank,
  tool: Tool,
  moves: readonly Move[],
  made: ReturnType<typeof simulate>,
  plan: TrialProps['plan'],
): Made | null {
  if (plan) return differences(made, plan.part.piece).length === 0 ? plan.made : null;
  const first = moves.find((move) => move.do === 'place' && move.by === 'ruler');
  if (tool.kind !== 'envelope-board' || first?.do !== 'place' || made.notches.length !== 4) return null;
  const read = readDesign({
    version: 1,
    construction: 'diagonal-envelope',
    blank,
    tool,
    graduation: 'exact',
    // What is rounded off later is no business of the board's.
    options: { setting: first.at, corner: 0 },
  });
  const own = read.ok ? planFor(read.design).made : null;
  return own && differences(made, own.pieces[0].piece).length === 0 ? own : null;
}

const sameMove = (a: Move, b: Move | undefined): boolean => JSON.stringify(a) === JSON.stringify(b);
