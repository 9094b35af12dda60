import { inches, mm } from '@/core/length';
import type { Fitted } from '@/core/fit';
import { fitWords, titleOf } from './fitWords';

const right: Fitted = { how: 'right', by: mm(0) };
const tight = (by: number): Fitted => ({ how: 'tight', by: inches(by) });

test.each([
  [right, right, 'just right'],
  [tight(1 / 8), tight(1 / 8), 'tight both ways by 1/8 in'],
  [tight(1 / 8), right, 'tight in the width by 1/8 in'],
  [right, { how: 'loose', by: mm(0) } as Fitted, 'loose in the height'],
  [tight(1 / 8), tight(1 / 16), 'tight in the width by 1/8 in, tight in the height by 1/16 in'],
  [
    tight(1 / 8),
    { how: 'loose', by: inches(1 / 4) } as Fitted,
    'tight in the width by 1/8 in, loose in the height by 1/4 in',
  ],
] as const)('%j and %j: %s', (width, height, words) => {
  expect(fitWords({ fit: { width, height }, units: 'in' })).toBe(words);
});

test('in millimetres for those who measure in them', () => {
  expect(fitWords({ fit: { width: { how: 'tight', by: mm(2.5) }, height: right }, units: 'mm' })).toBe(
    'tight in the width by 2.5 mm',
  );
});

test('a holder is called by its title, one that is not known by what it was called', () => {
  expect(titleOf('sleeve')).toBe('Sleeve');
  expect(titleOf('kite')).toBe('kite');
});
