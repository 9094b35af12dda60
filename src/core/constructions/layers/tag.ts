import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect } from '../../pattern';
import { built, EASE, refuse } from '../shared/building';
import { partCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { lengthOption } from '../shared/options';
import { onMark, tooLarge } from '../shared/sizing';

const options = z.strictObject({
  hole: lengthOption('Hole', 'For the ribbon or cord it hangs by.', inches(3 / 16), { over: 0 }, { madeWith: 'punch' }),
  down: lengthOption('Hole from the top', 'From the top edge to the middle of the hole.', inches(3 / 8), { over: 0 }),
});
type Options = z.output<typeof options>;

/** A plain piece with a hole near its top, to hang on something. Contents: the tag’s own size. */
function build(brief: Brief<Options>): BuildResult {
  const { contents, blank, options: o } = brief;
  const size = blank ?? { width: onMark(contents!.width, brief, 'up'), height: onMark(contents!.height, brief, 'up') };
  const most = Math.min(size.width, 2 * o.down, 2 * (size.height - o.down));
  if (o.hole >= most) return refuse(tooLarge('hole', 'hole', o.hole, Math.max(0, most)));
  return built({
    ...PLAIN,
    pieces: [
      drawPiece({
        name: 'tag',
        blank: size,
        panels: [{ id: 'tag', name: 'tag', polygon: rect(0, 0, size.width, size.height) }],
        folds: [],
      }),
    ],
    assembly: [],
    features: [
      {
        kind: 'hole',
        id: 'hole-1',
        panels: ['tag'],
        centre: { x: mm(size.width / 2), y: mm(size.height - o.down) },
        diameter: o.hole,
      },
    ],
  });
}

export const tag: Construction<Options> = {
  name: 'tag',
  does: 'decorates',
  title: 'Tag',
  purpose: 'A label with a hole, to tie to a bag, a box or a ribbon.',
  options,
  ease: EASE.none,
  idle: () => [],
  build,
  schools: [],
  cures: [partCure('hole')],
  advice: [
    {
      mistake: 'Punching the hole close to the edge.',
      instead:
        'Leave a quarter of an inch of paper all round it, or glue a ring over it: a pulled ribbon tears the rest.',
    },
  ],
  sources: ['hole 3/16 in, its middle 3/8 in below the top (common practice, no source)'],
};
