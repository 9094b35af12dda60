import { z } from '../../text/zod';
import { mm } from '../../length';
import { drawPiece, rect } from '../../pattern';
import { built, EASE } from '../shared/building';
import { PLAIN, type Construction } from '../shared/construction';

const options = z.strictObject({});

/** A card, a photo, a sweet: one sheet of its size, which nobody cuts; it takes layers. */
export const plainSheet: Construction<z.output<typeof options>> = {
  name: 'plain-sheet',
  does: 'decorates',
  title: 'Something that is there already',
  purpose: 'A card, a photo, a sweet: measured, and never changed.',
  options,
  ease: EASE.none,
  idle: () => [],
  build: ({ blank, contents }) => {
    const { width, height } = blank ?? contents!;
    return built({
      ...PLAIN,
      pieces: [
        drawPiece({
          name: 'sheet',
          blank: { width: mm(width), height: mm(height) },
          panels: [{ id: 'sheet', name: 'sheet', polygon: rect(0, 0, width, height) }],
          folds: [],
        }),
      ],
      assembly: [],
      front: 'above',
    });
  },
  schools: [],
  advice: [],
  cures: [],
  sources: ['as measured'],
};
