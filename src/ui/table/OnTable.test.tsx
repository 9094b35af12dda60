/** The table from above: what is drawn is where the moves put it. */
import { mm, sayer } from '@/core/length';
import { renderToStaticMarkup } from 'react-dom/server';
import { parseSync, type INode } from 'svgson';
import { planOf } from '../../../tests/helpers/designs';
import { InUnits } from '../parts/InUnits';
import { CONSTRUCTIONS } from '@/core/constructions';
import { stepsOf, type Step } from '@/core/making';
import type { Plan } from '@/core/plan';
import type { Tool } from '@/core/tools';
import { OnTable } from './OnTable';

const TOOLS: readonly Tool['kind'][] = ['envelope-board', 'scoring-board', 'edge-board', 'ruler'];

/** A flat step drawn, and read back with an independent reader. */
function drawn(plan: Plan, step: Step): INode {
  if (step.picture.kind !== 'flat') throw new Error('not a flat step');
  const part = plan.made!.pieces.find(({ piece }) => piece.name === step.piece)!;
  return parseSync(
    renderToStaticMarkup(
      <InUnits units="in" graduation="1/8 in">
        <OnTable
          piece={step.piece}
          blank={part.piece.blank}
          tool={plan.design.tool}
          moves={part.programme.moves.slice(0, step.picture.moves)}
          fresh={step.picture.fresh}
          near={step.picture.near}
          width={600}
          height={500}
          label={step.text}
        />
      </InUnits>,
    ),
  );
}
const all = (node: INode, pick: (node: INode) => boolean): INode[] => [
  ...(pick(node) ? [node] : []),
  ...node.children.flatMap((child) => all(child, pick)),
];
const has =
  (name: string) =>
  ({ attributes }: INode): boolean =>
    (attributes.class ?? '').split(' ').includes(name);
const isOf = ({ attributes }: INode, what: string): boolean => attributes['data-is'] === what;
const textOf = (node: INode): string => node.value + node.children.map(textOf).join('');
/** Corners of the sheet as drawn, px. */
const sheetOf = (svg: INode): [number, number][] => {
  const [sheet] = all(svg, (node) => isOf(node, 'paper'));
  return sheet!.attributes
    .d!.slice(1, -1)
    .split('L')
    .map((pair) => pair.split(' ').map(Number) as [number, number]);
};
const leftEnd = (svg: INode): number => Math.min(...sheetOf(svg).map(([x]) => x));

const card = (fields: object = {}): Plan =>
  planOf({ version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' }, ...fields });
const stepWhere = (plan: Plan, pick: (step: Step) => boolean): Step =>
  stepsOf(plan, sayer('in', '1/8 in')).find(
    (step) => step.picture.kind === 'flat' && step.phase === 'flat' && pick(step),
  )!;

test('the sheet’s left end stands at the lit mark of the board’s ruler', () => {
  for (const offset of [0, 2, -1.5]) {
    const plan = card({ tool: { kind: 'envelope-board', offset } });
    const svg = drawn(
      plan,
      stepWhere(plan, ({ action }) => action === 'punch'),
    );
    const [lit] = all(svg, has('lit'));
    expect(Number(lit!.attributes.x1)).toBeCloseTo(leftEnd(svg), 1);
  }
});

test('laid by the pointer, no mark of the ruler is lit', () => {
  const plan = card();
  const svg = drawn(
    plan,
    stepWhere(plan, ({ text }) => text.includes('at the pointer')),
  );
  expect(all(svg, has('lit'))).toEqual([]);
  expect(all(svg, has('pointer'))).toHaveLength(1);
});

test('on a scoring board the lit groove runs where the new score lies, from the fence at the sheet’s left', () => {
  const plan = planOf({
    version: 1,
    construction: 'card-holder',
    contents: { width: '2 in', height: '3 in' },
    tool: { kind: 'scoring-board', pitch: '1/8 in' },
  });
  const svg = drawn(
    plan,
    stepWhere(plan, ({ action }) => action === 'score'),
  );
  const lit = all(svg, has('lit')).map(({ attributes }) => Number(attributes.x1));
  const fresh = all(svg, (node) => isOf(node, 'score fresh'));
  const runs = fresh.map(({ attributes }) => Number(attributes.d!.slice(1).split('L')[0]!.split(' ')[0]));
  expect(runs).toHaveLength(2);
  runs.forEach((x, i) => expect(x).toBeCloseTo(lit[i]!, 1));
  const [fence] = all(svg, has('fence'));
  expect(Number(fence!.attributes.x) + Number(fence!.attributes.width)).toBeCloseTo(leftEnd(svg), 1);
});

test('a turn says how far it comes from: a quarter for each turn', () => {
  const plan = card();
  const svg = drawn(
    plan,
    stepWhere(plan, ({ action }) => action === 'turn'),
  );
  const [turning] = all(svg, has('turning'));
  expect(turning!.attributes.style).toContain('--from:-90deg');
});

test('the sheet with its blank’s cuts is drawn where it is cut from', () => {
  const plan = card();
  const { blank } = plan.made!.pieces[0].piece;
  const svg = parseSync(
    renderToStaticMarkup(
      <InUnits units="in" graduation="1/8 in">
        <OnTable
          piece="envelope"
          blank={blank}
          tool={plan.design.tool}
          moves={[]}
          fresh={0}
          near={1}
          width={600}
          height={500}
          label="Cut"
          from={{
            paper: { width: mm(blank.width * 2), height: blank.height },
            out: { x: 0, y: 0, ...blank },
            told: false,
          }}
        />
      </InUnits>,
    ),
  );
  // Only the width is to be cut: the sheet is as high as the blank.
  expect(all(svg, has('cutLine'))).toHaveLength(1);
});

/** One of so many steps is drawn with each tool, another one with each. */
const APART = process.env.THOROUGH === '1' ? 2 : 7;

describe.each(TOOLS)('with the %s', (kind) => {
  test('flat steps of every holder are drawn inside their frame, their near edge at the bottom', () => {
    let steps = 0;
    for (const { name } of CONSTRUCTIONS) {
      const deep = ['tray-box', 'diagonal-box', 'desk-file', 'pad-holder', 'folio'].includes(name);
      const plan = planOf({
        version: 1,
        construction: name,
        contents: { width: '3 in', height: '4 in', thickness: deep ? '1 in' : 0 },
        tool: { kind },
      });
      if (!plan.made) continue;
      for (const step of stepsOf(plan, sayer('in', '1/8 in'))) {
        const { picture } = step;
        if (picture.kind !== 'flat' || step.phase !== 'flat') continue;
        // Some with each tool: what a step draws is told by its moves, which all tools share.
        if (steps++ % APART !== TOOLS.indexOf(kind) % APART) continue;
        const svg = drawn(plan, step);
        for (const [x, y] of sheetOf(svg)) {
          expect(x >= -1 && x <= 601).toBe(true);
          expect(y >= -1 && y <= 501).toBe(true);
        }
        const numbers = all(svg, (node) => has('nearEdge')(node));
        // Edges have tags, scores have circled numbers.
        expect(numbers.map((tag) => textOf(tag).replace('edge ', ''))).toEqual([String(picture.near)]);
        const tag = numbers[0]!.children[0]!.attributes;
        const near = Number(tag.y) + Number(tag.height) / 2;
        const bottom = Math.max(...sheetOf(svg).map(([, y]) => y));
        // Inside the edge, or on a narrow strip outside it, where four numbers would run together.
        expect([15, 17]).toContain(Math.round(Math.abs(near - bottom)));
      }
    }
    expect(steps).toBeGreaterThan(60);
  });
});
