import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect } from '../../pattern';
import { built, EASE, basePiece, place, refuse, segment } from '../shared/building';
import { partCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { lengthOption } from '../shared/options';
import { onMark, tooLarge } from '../shared/sizing';

const options = z.strictObject({
  reveal: lengthOption('Reveal', 'The border of the panel that shows all round the mat.', inches(1 / 8), { least: 0 }),
});
type Options = z.output<typeof options>;

/** A panel less twice the reveal, either way. The contents are the panel it lies on. It holds nothing. */
function build(brief: Brief<Options>): BuildResult {
  const { contents, blank } = brief;
  const { reveal } = brief.options;
  const panel = blank
    ? { width: mm(blank.width + 2 * reveal), height: mm(blank.height + 2 * reveal) }
    : { width: contents!.width, height: contents!.height };
  if (panel.width <= 2 * reveal || panel.height <= 2 * reveal)
    return refuse(tooLarge('reveal', 'reveal', reveal, Math.min(panel.width, panel.height) / 2));
  const size = blank ?? {
    // Down to a mark: the border is never narrower than asked.
    width: onMark(panel.width - 2 * reveal, brief, 'down'),
    height: onMark(panel.height - 2 * reveal, brief, 'down'),
  };
  if (size.width <= 0 || size.height <= 0)
    return refuse(tooLarge('reveal', 'reveal', reveal, Math.min(panel.width, panel.height) / 4));
  const [dx, dy] = [(panel.width - size.width) / 2, (panel.height - size.height) / 2];
  return built({
    ...PLAIN,
    pieces: [
      drawPiece({
        name: 'mat',
        blank: size,
        panels: [{ id: 'mat', name: 'mat', polygon: rect(0, 0, size.width, size.height) }],
        folds: [],
      }),
      basePiece('panel', 'panel', panel),
    ],
    assembly: [
      place('lay-mat', 'Lay the mat on the panel, the same border all round', {
        panel: 'mat',
        onto: 'panel',
        line: segment(0, 0, size.width, 0),
        on: segment(dx, dy, dx + size.width, dy),
        over: false,
        level: 'top',
        gluedTo: ['panel'],
      }),
    ],
    claims: [{ kind: 'reveal', pairs: [['mat', 'panel']] }],
    front: 'above',
  });
}

export const mat: Construction<Options> = {
  name: 'mat',
  does: 'decorates',
  title: 'Mat for a panel',
  purpose: 'A layer that leaves an even border: backs a pocket, frames a card, hides a join.',
  options,
  ease: EASE.none,
  idle: () => [],
  build,
  schools: [],
  cures: [partCure('reveal')],
  advice: [
    { mistake: 'Laying a ribbon after the mat is glued.', instead: 'Ribbons go under the mat first.' },
    {
      mistake: 'Measuring the plan instead of the panel.',
      instead: 'Measure the panel as it came out; the border shows every sixteenth.',
    },
  ],
  sources: ['reveal 1/16, 1/8 or 1/4 in (common practice, no source)'],
};
