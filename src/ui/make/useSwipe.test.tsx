/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { useSwipe } from './useSwipe';

const told: string[] = [];
function Page() {
  const swipe = useSwipe(
    () => told.push('on'),
    () => told.push('back'),
  );
  return (
    <div {...swipe}>
      <p>The step</p>
      <input type="range" aria-label="Fold" />
    </div>
  );
}
const drawn = (from: Element, dx: number, dy: number): readonly string[] => {
  told.length = 0;
  fireEvent.touchStart(from, { touches: [{ clientX: 200, clientY: 300 }] });
  fireEvent.touchEnd(from, { changedTouches: [{ clientX: 200 + dx, clientY: 300 + dy }] });
  return [...told];
};

test('a finger drawn to the left goes on, to the right back; a tap, scrolling and what is dragged itself do neither', () => {
  render(<Page />);
  const step = screen.getByText('The step');
  expect(drawn(step, -120, 20)).toEqual(['on']);
  expect(drawn(step, 120, -20)).toEqual(['back']);
  expect(drawn(step, -20, 0)).toEqual([]);
  expect(drawn(step, -90, 80)).toEqual([]);
  expect(drawn(screen.getByLabelText('Fold'), -120, 0)).toEqual([]);
});
