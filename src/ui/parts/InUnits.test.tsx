/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import { inches } from '@/core/length';
import { Figure } from './Figure';
import { InUnits, useUnits } from './InUnits';

const Said = () => <p>{useUnits().say(inches(3.7))}</p>;

test('a length is said in the units and on the marks of the nearest reading round it', () => {
  const { rerender } = render(
    <InUnits units="in" graduation="1/8 in">
      <Said />
    </InUnits>,
  );
  expect(screen.getByText('about 3 11/16 in')).toBeTruthy();
  rerender(
    <InUnits units="in" graduation="1/8 in">
      <InUnits units="mm" graduation="0.5 mm">
        <Said />
        <Figure value={inches(3)} />
      </InUnits>
    </InUnits>,
  );
  expect(screen.getByText('about 94 mm')).toBeTruthy();
  expect(document.body.textContent).toMatch(/76\.2\s*mm/);
});

test('a length outside of any reading is refused: units of nobody’s choosing would be taken for theirs', () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(() => render(<Said />)).toThrow(/outside of any InUnits/);
  quiet.mockRestore();
});
