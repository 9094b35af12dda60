import { renderToStaticMarkup } from 'react-dom/server';
import { parseSync, type INode } from 'svgson';
import { inches, mm, type Graduation, type Units } from '@/core/length';
import { InUnits } from '../parts/InUnits';
import { RulerCloseUp } from './RulerCloseUp';

const all = (node: INode, name: string): INode[] => [
  ...((node.attributes.class ?? '').split(' ').includes(name) ? [node] : []),
  ...node.children.flatMap((child) => all(child, name)),
];
const text = (node: INode): string => node.value + node.children.map(text).join('');
const ruler = (at: number, units: Units, graduation: Graduation, runs?: 'left' | 'right'): INode =>
  parseSync(
    renderToStaticMarkup(
      <InUnits units={units} graduation={graduation}>
        <RulerCloseUp at={at} runs={runs} />
      </InUnits>,
    ),
  );

test.each([
  [inches(3.75), 'in', '1/8 in', '3', 6],
  [inches(2.625), 'in', '1/8 in', '2', 5],
  [inches(2.6875), 'in', '1/16 in', '2', 11],
  [inches(6), 'in', '1/8 in', '6', 0],
  [mm(95), 'mm', '1 mm', '90', 5],
  [mm(4), 'mm', '1 mm', '0', 4],
] as const)(
  '%s mm in %s on marks of %s: past %s, %s marks counted and the last of them lit',
  (at, units, marks, past, count) => {
    const svg = ruler(at, units, marks);
    const [lit] = all(svg, 'lit');
    const numbers = all(svg, 'number').map((node) => [text(node), Number(node.attributes.x)] as const);
    const whole = numbers.find(([number]) => number === past)!;
    const next = numbers.find(([, x]) => x > whole[1])!;
    // The lit mark stands as far from the long one as the length is past it, by the ruler's own numbers.
    const unit = (next[1] - whole[1]) / (units === 'in' ? 1 : 10);
    const beyond = (units === 'in' ? at / 25.4 : at) - Number(past);
    expect(Number(lit!.attributes.x1)).toBeCloseTo(whole[1] + beyond * unit, 3);
    const counts = all(svg, 'count').map(text);
    expect(counts).toEqual(Array.from({ length: count }, (_, i) => String(i + 1)));
    expect(Number(all(svg, 'flag')[0]!.attributes.d!.slice(1).split(' ')[0])).toBeCloseTo(
      Number(lit!.attributes.x1),
      3,
    );
  },
);

test('it is named by its counting, and says when the length lies between marks', () => {
  expect(ruler(inches(3.75), 'in', '1/8 in').attributes['aria-label']).toBe('3 3/4 in: three quarters past 3');
  expect(text(all(ruler(inches(2.635), 'in', '1/8 in'), 'said')[0]!)).toContain('≈');
  expect(text(all(ruler(inches(2.625), 'in', '1/8 in'), 'said')[0]!)).not.toContain('≈');
});

test('a board’s ruler that counts to the left is shown so: its next number stands left of the one before', () => {
  const at = (runs: 'left' | 'right', number: string): number =>
    Number(
      all(ruler(inches(2.625), 'in', '1/8 in', runs), 'number').find((node) => text(node) === number)!.attributes.x,
    );
  expect(at('right', '3')).toBeGreaterThan(at('right', '2'));
  expect(at('left', '3')).toBeLessThan(at('left', '2'));
  const lit = Number(all(ruler(inches(2.625), 'in', '1/8 in', 'left'), 'lit')[0]!.attributes.x1);
  expect((at('left', '2') - lit) / (at('left', '2') - at('left', '3'))).toBeCloseTo(0.625, 3);
});
