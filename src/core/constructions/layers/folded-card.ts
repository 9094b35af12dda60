import { z } from '../../text/zod';
import { mm } from '../../length';
import { drawPiece, rect } from '../../pattern';
import { built, EASE, fold } from '../shared/building';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { choiceOption } from '../shared/options';
import { onMark } from '../shared/sizing';

const options = z.strictObject({
  fold: choiceOption('Fold', 'At the left side, or along the top.', ['side', 'top']),
});
type Options = z.output<typeof options>;

/** A card twice as wide (or tall) as it is closed, scored in the middle. Contents: the card as it is closed. */
function build(brief: Brief<Options>): BuildResult {
  const { contents, blank } = brief;
  const side = brief.options.fold === 'side';
  const sheet =
    blank ??
    (side
      ? { width: mm(2 * onMark(contents!.width, brief, 'up')), height: onMark(contents!.height, brief, 'up') }
      : { width: onMark(contents!.width, brief, 'up'), height: mm(2 * onMark(contents!.height, brief, 'up')) });
  const at = onMark((side ? sheet.width : sheet.height) / 2, brief, 'down') || (side ? sheet.width : sheet.height) / 2;
  const [back, front] = side
    ? [rect(0, 0, at, sheet.height), rect(at, 0, sheet.width, sheet.height)]
    : [rect(0, sheet.height - at, sheet.width, sheet.height), rect(0, 0, sheet.width, sheet.height - at)];
  return built({
    ...PLAIN,
    pieces: [
      drawPiece({
        name: 'card',
        blank: sheet,
        panels: [
          { id: 'front', name: 'front', polygon: front },
          { id: 'back', name: 'back', polygon: back },
        ],
        folds: [{ id: 's-fold', between: ['front', 'back'] }],
      }),
    ],
    assembly: [fold('fold-card', 'Fold the back over onto the front', ['s-fold'])],
  });
}

export const foldedCard: Construction<Options> = {
  name: 'folded-card',
  does: 'decorates',
  title: 'Folded card',
  purpose: 'A card or note to write in, sized to go into something else.',
  options,
  ease: EASE.none,
  idle: () => [],
  build,
  schools: [
    { option: 'fold', value: 'side', title: 'Fold at the side', why: 'Opens like a book.' },
    { option: 'fold', value: 'top', title: 'Fold at the top', why: 'Stands like a tent.' },
  ],
  cures: [],
  advice: [
    {
      mistake: 'Folding against the grain without a score.',
      instead: 'Score first; heavy paper cracks across the grain.',
    },
  ],
  sources: ['twice the closed size (arithmetic)'],
};
