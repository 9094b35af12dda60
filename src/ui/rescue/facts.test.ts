/** What is told of a mishap by dragging and tapping: what it comes to. */
import { withHappened, withMoved, type ToldFact } from './facts';

const notch = { kind: 'notch', edge: 2 } as const;

test('a mark that is moved is told once, and moved again it is still told from where it should have been', () => {
  const once = withMoved([], { ...notch, at: 50 }, 62);
  expect(once).toEqual([{ ...notch, at: 50, instead: 62 }]);
  // It lies at 62 now: dragged on, its place there is what is taken hold of.
  expect(withMoved(once, { ...notch, at: 62.2 }, 70)).toEqual([{ ...notch, at: 50, instead: 70 }]);
  // On another edge, or of another kind, it is another mark.
  for (const other of [
    { ...notch, edge: 3 as const },
    { ...notch, kind: 'score' as const },
  ])
    expect(withMoved(once, { ...other, at: 62 }, 70)).toEqual([...once, { ...other, at: 62, instead: 70 }]);
});

test('what happens is added; glued shut it is once, by the last that was told', () => {
  const torn: ToldFact = { kind: 'torn', edge: 1, at: 10, wide: 5, deep: 5 };
  const all = [torn, { kind: 'glued' } as const].reduce<ToldFact[]>(withHappened, []);
  expect(withHappened(all, { kind: 'glued', panel: 'left' })).toEqual([torn, { kind: 'glued', panel: 'left' }]);
  expect(withHappened(all, torn)).toEqual([...all, torn]);
});
