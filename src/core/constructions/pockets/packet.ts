import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring, type Piece } from '../../pattern';
import {
  built,
  DOWN,
  EASE,
  fold,
  LEFT,
  optionGrip,
  place,
  refuse,
  RIGHT,
  roomGrip,
  segment,
  SLANT,
} from '../shared/building';
import { partCure } from '../shared/cures';
import { cornerOption, closingFlap } from '../shared/closing-flap';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { choiceOption, lengthOption, yesNoOption } from '../shared/options';
import { CLOSED, sizedInside, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  tab: lengthOption('Tabs', 'Folded in at the sides and the bottom of the front.', inches(1 / 2), { over: 0 }),
  hem: lengthOption('Hem', 'Folded in at the front’s top edge, so that it does not tear.', inches(1 / 4), { over: 0 }),
  closingFlap: lengthOption('Closing flap', 'Of the back, folded down over the front.', inches(1), { over: 0 }),
  lining: yesNoOption('Lining', 'A strip glued over the fold of the closing flap, where thin paper wears.', false),
  join: choiceOption('Tabs glued', 'Behind the back strip, or under it.', ['behind', 'onto']),
  corner: cornerOption(),
});
type Options = z.output<typeof options>;

/** The back is narrower than the front by this, so that it lies between the folds, mm. Common practice 1/8 in. */
const NARROWER = inches(1 / 8);
/** The back stands above the hem by this, so that the flap folds freely over it, mm. Common practice 1/4 in. */
const RISE = inches(1 / 4);
/** The lining reaches this far to both sides of the fold, mm. Common practice 1/2 in. */
const LINED = inches(1 / 2);

/** Seed or coin packet from two odd pages: a front folded in round a back strip that carries the closing flap. */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { tab: g, hem, closingFlap: ft, lining, join } = options;
  const [narrower, rise] = [usual(NARROWER, brief), usual(RISE, brief)];
  const [reach, slanted] = [usual(LINED, brief), usual(SLANT, brief)];
  const sized = sizedInside(brief, CLOSED, { width: [2 * g], height: [g + hem] });
  if (!sized.ok) return refuse(sized.refusal);
  const { width: W, height: H } = sized.inside;
  if (2 * g > Math.min(W, H) + TOLERANCE.length)
    return refuse(
      tooLarge('tab', 'tab', g, blank ? Math.min(blank.width / 4, (blank.height - hem) / 3) : Math.min(W, H) / 2),
    );
  if (2 * hem > H + TOLERANCE.length)
    return refuse(tooLarge('hem', 'hem', hem, blank ? (blank.height - g) / 3 : H / 2));
  if (ft > H + TOLERANCE.length) return refuse(tooLarge('closingFlap', 'closing flap', ft, H));
  const narrowest = mm(2 * narrower + 2 * reach);
  if (W <= narrowest) return refuse({ code: 'part-too-small', value: W, limit: narrowest, about: { part: 'back' } });
  const sheet = blank ?? { width: mm(W + 2 * g), height: mm(g + H + hem) };
  const low = sheet.height - hem - H;
  const [x1, x2, y2, right] = [g, g + W, low + H, sheet.width];
  const m = Math.min(g, low, slanted);
  const h = Math.min(slanted, hem);
  const front = drawPiece({
    name: 'front',
    blank: sheet,
    panels: [
      { id: 'front', name: 'front', polygon: rect(x1, low, x2, y2) },
      { id: 'hem', name: 'hem', polygon: ring([x1, y2], [x2, y2], [x2 - h, sheet.height], [x1 + h, sheet.height]) },
      { id: 'tab-1', name: 'left tab', polygon: ring([0, low + m], [x1, low], [x1, y2], [0, y2]) },
      { id: 'tab-2', name: 'right tab', polygon: ring([x2, low], [right, low + m], [right, y2], [x2, y2]) },
      { id: 'tab-3', name: 'bottom tab', polygon: ring([x1, low], [x1 + m, 0], [x2 - m, 0], [x2, low]) },
    ],
    folds: [
      { id: 's-hem', between: ['front', 'hem'] },
      { id: 's-tab-1', between: ['front', 'tab-1'] },
      { id: 's-tab-2', between: ['front', 'tab-2'] },
      { id: 's-tab-3', between: ['front', 'tab-3'] },
    ],
  });
  const [wb, hb] = [W - narrower, H + rise];
  const shoulder = Math.min(slanted, ft / 2);
  const closing = ring(
    [0, hb],
    [wb, hb],
    [wb - shoulder, hb + shoulder],
    [wb - shoulder, hb + ft],
    [shoulder, hb + ft],
    [shoulder, hb + shoulder],
  );
  const flap = closingFlap('back', ft, closing, segment(0, hb, wb, hb), options.corner);
  if (!flap.ok) return flap.refused;
  const back = drawPiece({
    name: 'back',
    blank: { width: mm(wb), height: mm(hb + ft) },
    panels: [{ id: 'back', name: 'back', polygon: rect(0, 0, wb, hb) }, ...flap.panels],
    folds: flap.folds,
    trims: flap.trims,
  });
  const lined = Math.min(reach, ft / 2);
  const wl = wb - narrower - 2 * shoulder;
  const strip: Piece[] = lining
    ? [
        drawPiece({
          name: 'lining',
          blank: { width: mm(wl), height: mm(2 * lined) },
          panels: [
            { id: 'lining-back', name: 'lining', polygon: rect(0, 0, wl, lined) },
            { id: 'lining-flap', name: 'lining of the flap', polygon: rect(0, lined, wl, 2 * lined) },
          ],
          folds: [{ id: 's-lining', between: ['lining-back', 'lining-flap'] }],
        }),
      ]
    : [];
  const middle = x1 + W / 2;
  const tabs = ['tab-1', 'tab-2', 'tab-3'] as const;
  const names = ['left tab', 'right tab', 'bottom tab'];
  const behind = join === 'behind';
  const layBack = place(
    'lay-back',
    behind ? 'Lay the back on the front, inside down' : 'Lay the back on the tabs, inside down',
    {
      panel: 'back',
      onto: 'front',
      line: segment(0, 0, wb, 0),
      on: segment(middle + wb / 2, low, middle - wb / 2, low),
      over: true,
      level: 'top',
      ...(behind ? {} : { gluedTo: tabs }),
    },
  );
  const foldTabs = tabs.map((tab, i) =>
    fold(
      `fold-${tab}`,
      `Fold the ${names[i]} in${behind ? ' over the back' : ''}`,
      [`s-${tab}`],
      behind ? { gluedTo: ['back'] } : {},
    ),
  );
  return built({
    ...PLAIN,
    pieces: [front, back, ...strip],
    assembly: [
      fold('fold-hem', 'Fold the hem in', ['s-hem'], { gluedTo: ['front'] }),
      ...(lining
        ? [
            place('lay-lining', 'Lay the lining over the fold of the closing flap', {
              panel: 'lining-back',
              onto: 'back',
              line: segment(0, lined, wl, lined),
              on: segment((wb - wl) / 2, hb, (wb + wl) / 2, hb),
              over: false,
              level: 'top',
              gluedTo: ['back', 'closing'],
            }),
          ]
        : []),
      ...(behind ? [layBack, ...foldTabs] : [...foldTabs, layBack]),
      fold('close', 'Fold the closing flap down over the front', lining ? ['s-closing', 's-lining'] : ['s-closing'], {
        gluedTo: ['front'],
        closes: true,
      }),
    ],
    cavities: [
      {
        id: 'packet',
        kind: 'closed',
        floor: 'front',
        roof: [...(lining ? ['lining-back'] : []), 'back', ...tabs],
        mouth: segment(x1, y2, x2, y2),
        insertAfter: behind ? 'fold-tab-3' : 'lay-back',
        covered: { floor: 1, roof: 1 },
      },
    ],
    proud: ['back', 'closing', 'lining-back', 'lining-flap'],
    claims: [{ kind: 'laps', pairs: tabs.map((tab) => ['back', tab] as const) }],
    grips: blank
      ? [
          optionGrip('s-tab-1', RIGHT, 'tab', 'width of the tabs', g, [3, Math.min(W, H) / 2]),
          optionGrip('s-hem', DOWN, 'hem', 'depth of the hem', hem, [2, H / 3]),
        ]
      : [
          roomGrip('s-tab-1', LEFT, 'width', 'room in the width'),
          roomGrip('s-tab-2', RIGHT, 'width', 'room in the width'),
          roomGrip('s-tab-3', DOWN, 'height', 'room in the height'),
        ],
  });
}

export const packet: Construction<Options> = {
  name: 'packet',
  does: 'closes',
  title: 'Seed packet from two pages',
  purpose: 'Seeds, coins, small keepsakes: a printed front folded in where its text ends, and a back with a flap.',
  options,
  ease: EASE.loose,
  idle: () => [],
  build,
  schools: [
    {
      option: 'join',
      value: 'behind',
      title: 'Tabs behind the back',
      why: 'Lay the back in first and glue the tabs over it: nothing of the back’s edge shows inside.',
    },
    {
      option: 'join',
      value: 'onto',
      title: 'Back onto the tabs',
      why: 'Fold the tabs first and glue the back on them: a flat, neat back, its narrower edge shows.',
    },
  ],
  cures: [
    partCure('tab'),
    partCure('hem'),
    partCure('closingFlap'),
    { for: 'corner-too-round', label: 'Make it fit', options: (limit) => ({ corner: Math.floor(limit) }) },
  ],
  advice: [
    { mistake: 'A back as wide as the front.', instead: 'Cut it 1/8 in narrower, or it buckles between the folds.' },
    {
      mistake: 'Filling seed before the glue is dry.',
      instead: 'Let it dry open; damp glue catches the first spoonful.',
    },
  ],
  sources: [
    'front 3 1/2 × 4 1/4 finished, bottom tab 1/2; back 3 1/4 wide folded at 4 1/2 (common practice, no source)',
  ],
};
