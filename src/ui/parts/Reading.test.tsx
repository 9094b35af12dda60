/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import { inches } from '@/core/length';
import { Figure } from './Figure';
import { Reading, useReading } from './Reading';

const Said = () => <p>{useReading().say(inches(3.7))}</p>;

test('a length is said in the units and on the marks of the nearest reading round it', () => {
  const { rerender } = render(
    <Reading units="in" graduation="1/8 in">
      <Said />
    </Reading>,
  );
  expect(screen.getByText('about 3 11/16 in')).toBeTruthy();
  rerender(
    <Reading units="in" graduation="1/8 in">
      <Reading units="mm" graduation="0.5 mm">
        <Said />
        <Figure value={inches(3)} />
      </Reading>
    </Reading>,
  );
  expect(screen.getByText('about 94 mm')).toBeTruthy();
  expect(document.body.textContent).toMatch(/76\.2\s*mm/);
});

test('a length outside of any reading is refused: units of nobody’s choosing would be taken for theirs', () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(() => render(<Said />)).toThrow(/outside of any Reading/);
  quiet.mockRestore();
});
