import { lapBetween } from '../fold';
import { mm, roundTo, type Mm } from '../length';
import type { Design } from './design';
import type { Made } from './plan';
import { listed } from './steps/step';
import type { Say } from './words';

/** A figure of a plan as it is read from a card or a table. */
export interface KeyNumber {
  readonly label: string;
  readonly value: string;
}

/** Where an envelope board is set first for a piece: the reading of its ruler, or a mark on the sheet. */
export function settingOf(made: Made): { readonly at: Mm; readonly onRuler: boolean } | null {
  const mark = made.pieces[0].programme.marks.find(({ edge }) => edge === made.built.start.edge);
  return made.pieces[0].piece.notches.length > 0 && mark ? { at: mark.at, onRuler: mark.reference === 'board' } : null;
}

/** The least lap of those that hold it together, mm; null where nothing laps. */
export function leastLap({ built, folded }: Made): Mm | null {
  const laps = built.holds.map(([a, b]) => lapBetween(folded.finished, a, b).breadth);
  return laps.length > 0 ? mm(Math.min(...laps)) : null;
}

/** The figures a maker wants large: what to cut, where to set or score, what it comes out as, the room left. */
export function keyNumbers(made: Made, design: Design, say: Say): KeyNumber[] {
  const several = made.pieces.length > 1;
  const size = (width: number, height: number): string =>
    Math.abs(width - height) < 1e-6 ? `${say(width)} square` : `${say(width)} × ${say(height)}`;
  const numbers: KeyNumber[] = [];
  for (const { piece, programme } of made.pieces) {
    const of = several ? ` the ${piece.name}` : '';
    numbers.push({ label: `Cut${of}`, value: size(piece.blank.width, piece.blank.height) });
    if (piece.notches.length > 0) continue;
    const scores = [1, 2, 3, 4].flatMap((edge) => {
      const at = programme.marks.filter(
        (mark) => mark.for === 'score' && mark.edge === edge && mark.reference !== 'board',
      );
      // A line marked at both its ends is one score; its mark on the first edge tells it.
      const own = at.filter((mark) => mark.reference === 'fence' || edge < 3);
      return own.length > 0 ? [`${listed([...new Set(own.map((mark) => say(mark.at)))])} (edge ${edge})`] : [];
    });
    if (scores.length > 0) numbers.push({ label: `Score${of} at`, value: scores.join('; ') });
  }
  const setting = design.tool.kind === 'envelope-board' ? settingOf(made) : null;
  if (setting)
    numbers.push({
      label: setting.onRuler ? 'Set the board at' : 'Mark, and centre on the notch',
      value: say(setting.at),
    });
  const lap = leastLap(made);
  if (lap !== null) numbers.push({ label: 'Least lap', value: say(lap) });
  if (made.fit)
    numbers.push({ label: 'Room left', value: `${say(made.fit.ease.width)} × ${say(made.fit.ease.height)}` });
  else if (made.largest.width > 0)
    numbers.push({
      label: 'Holds up to',
      value: `${say(roundTo(made.largest.width, design.graduation, 'down'))} × ${say(roundTo(made.largest.height, design.graduation, 'down'))}`,
    });
  const { width, height, depth } = made.finished;
  numbers.push({ label: 'Finished', value: `${say(width)} × ${say(height)}${depth > 0 ? ` × ${say(depth)}` : ''}` });
  return numbers;
}
