import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect } from '../../pattern';
import { built, DOWN, EASE, fold, optionGrip, place, refuse, RIGHT, roomGrip, segment, UP } from '../shared/building';
import { partCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { lengthOption, openLengthOption } from '../shared/options';
import { onMark, OPEN, sizedInside, spineOver, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  door: lengthOption('Doors', 'How far each door comes over the front.', inches(2), { over: 0 }),
  spine: openLengthOption(
    'Spine',
    'Between back and clasp.',
    { over: 0 },
    { open: '1/2 in, or as thick as the contents are' },
  ),
  clasp: lengthOption('Clasp', 'The flap that closes over the front.', inches(2), { over: 0 }),
  foot: lengthOption('Foot', 'Folded up over the doors at the bottom; the channel’s lip is as deep.', inches(2), {
    over: 0,
  }),
});
type Options = z.output<typeof options>;

/** The spine crosses the channel with its tongue and lip, both doors and the foot. */
const LAYERS = 7;
/** Common practice 1/2 in. */
const USUAL_SPINE = inches(1 / 2);

/**
 * Contents stand on the channel behind its lip. The channel is narrower than the back, and the cover longer than the channel, so that it lies clear of the
 * folds, mm. Common practice 1/2 and 1/4 in.
 */
const CLEAR = { back: inches(1 / 2), ends: inches(1 / 4) };
/** The tongue is narrower than its channel, mm. Common practice 1/8 in. */
const SLIDE = inches(1 / 8);
/** Tab of the fixed door, and how much shorter than the channel the tongue is, mm. Common practice 1/2 and 3/4 in. */
const TAB = inches(1 / 2);
const SHORT = inches(3 / 4);

/** Cover, channel, slider and fixed door: two doors that fold over the front from both ends, one of them slides. */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { door, clasp, foot } = options;
  const [short, slide, tab] = [usual(SHORT, brief), usual(SLIDE, brief), usual(TAB, brief)];
  const clear = { back: usual(CLEAR.back, brief), ends: usual(CLEAR.ends, brief) };
  const spine = options.spine ?? spineOver(usual(USUAL_SPINE, brief), LAYERS, brief);
  const sized = sizedInside(brief, OPEN, { width: [clear.ends], height: [clasp + spine + foot + clear.back] });
  if (!sized.ok) return refuse(sized.refusal);
  const { width: L, height: c } = sized.inside;
  const H = c + clear.back;
  const tongue = L - short;
  const b = c - slide;
  if (b < tab) return refuse(tooLarge(null, 'clearance of the slider', slide, c - tab));
  if (tongue < 2 * tab)
    return refuse({
      code: 'sheet-too-small',
      value: mm(L + clear.ends),
      limit: mm(short + 2 * tab + clear.ends),
      about: { side: 'width' },
    });
  if (foot > H + TOLERANCE.length)
    return refuse(tooLarge('foot', 'foot', foot, blank ? (blank.height - clasp - spine) / 2 : H));
  if (spine + clasp > H + TOLERANCE.length)
    return refuse(tooLarge('clasp', 'clasp', clasp, blank ? (blank.height - foot) / 2 - spine : H - spine));
  if (door > L + TOLERANCE.length) return refuse(tooLarge('door', 'door', door, L));
  const width = L + clear.ends;
  const sheet = blank ?? { width: mm(width), height: mm(clasp + spine + H + foot) };
  const [y1, y2, y3] = [clasp, clasp + spine, sheet.height - foot];
  const lip = Math.min(foot, c);
  const cover = drawPiece({
    name: 'cover',
    blank: sheet,
    panels: [
      { id: 'back', name: 'back', polygon: rect(0, y2, sheet.width, y3) },
      { id: 'spine', name: 'spine', polygon: rect(0, y1, sheet.width, y2) },
      { id: 'clasp', name: 'clasp', polygon: rect(0, 0, sheet.width, y1) },
      { id: 'foot', name: 'foot', polygon: rect(0, y3, sheet.width, sheet.height) },
    ],
    folds: [
      { id: 's-foot', between: ['back', 'foot'] },
      { id: 's-spine', between: ['back', 'spine'], angle: 90 },
      { id: 's-clasp', between: ['spine', 'clasp'], angle: 90 },
    ],
  });
  const channel = drawPiece({
    name: 'channel',
    blank: { width: mm(2 * c + lip), height: mm(L) },
    panels: [
      { id: 'channel-under', name: 'under side of the channel', polygon: rect(0, 0, c, L) },
      { id: 'channel-over', name: 'upper side of the channel', polygon: rect(c, 0, 2 * c, L) },
      { id: 'lip', name: 'lip', polygon: rect(2 * c, 0, 2 * c + lip, L) },
    ],
    folds: [
      { id: 's-channel', between: ['channel-under', 'channel-over'] },
      { id: 's-lip', between: ['channel-over', 'lip'], fold: 'mountain' },
    ],
  });
  const slider = drawPiece({
    name: 'slider',
    blank: { width: mm(door + tongue), height: mm(b) },
    panels: [
      { id: 'tongue', name: 'tongue', polygon: rect(door, 0, door + tongue, b) },
      { id: 'slider-door', name: 'sliding door', polygon: rect(0, 0, door, b) },
    ],
    folds: [{ id: 's-slider', between: ['tongue', 'slider-door'] }],
  });
  const fixed = drawPiece({
    name: 'fixed door',
    blank: { width: mm(tab + door), height: mm(b) },
    panels: [
      { id: 'fixed-tab', name: 'tab of the fixed door', polygon: rect(0, 0, tab, b) },
      { id: 'fixed-door', name: 'fixed door', polygon: rect(tab, 0, tab + door, b) },
    ],
    folds: [{ id: 's-fixed', between: ['fixed-tab', 'fixed-door'] }],
  });
  const [x1, x2] = [(sheet.width - L) / 2, (sheet.width + L) / 2];
  const yc = (y2 + y3) / 2;
  return built({
    ...PLAIN,
    pieces: [cover, channel, slider, fixed],
    assembly: [
      place('lay-channel', 'Lay the channel’s under side on the back, clear of the folds', {
        panel: 'channel-under',
        onto: 'back',
        line: segment(c, 0, c, L),
        on: segment(x1, yc - c / 2, x2, yc - c / 2),
        over: false,
        level: 'top',
        gluedTo: ['back'],
        glueWithin: [rect(0, 0, c, L)],
      }),
      fold('fold-channel', 'Fold the channel’s upper side over', ['s-channel']),
      fold('fold-lip', 'Fold the lip back over the channel', ['s-lip']),
      place('lay-fixed', 'Slide the fixed door’s tab into the channel’s left end', {
        panel: 'fixed-tab',
        onto: 'channel-under',
        line: segment(tab, 0, tab, b),
        on: segment(c / 2 - b / 2, 0, c / 2 + b / 2, 0),
        over: false,
        level: { below: 'channel-over' },
        gluedTo: ['channel-under', 'channel-over'],
        glueWithin: [rect(0, 0, tab, b)],
      }),
      place('lay-slider', 'Slide the tongue into the channel from the right; leave it dry', {
        panel: 'tongue',
        onto: 'channel-under',
        line: segment(door, 0, door, b),
        on: segment(c / 2 - b / 2, L, c / 2 + b / 2, L),
        over: false,
        level: { below: 'channel-over' },
      }),
      fold('fold-fixed', 'Fold the fixed door over the front', ['s-fixed'], { closes: true }),
      fold('fold-slider', 'Fold the sliding door over the front', ['s-slider'], { closes: true }),
      fold('fold-foot', 'Fold the foot up over the doors', ['s-foot'], { closes: true }),
      fold('close', 'Bring the clasp over the front', ['s-spine'], { closes: true }),
    ],
    cavities: [
      {
        id: 'lip',
        kind: 'pocket',
        floor: 'channel-over',
        roof: ['lip'],
        mouth: segment(c, 0, c, L),
        insertAfter: 'lay-slider',
        covered: { floor: 1, roof: (lip / c) * 0.8 },
      },
    ],
    front: 'above',
    proud: ['back', 'spine', 'clasp', 'foot', 'slider-door', 'fixed-door', 'tongue'],
    claims: [
      {
        kind: 'laps',
        pairs: [
          ['fixed-tab', 'channel-under'],
          ['channel-under', 'back'],
        ],
      },
      { kind: 'facing', pairs: [['fixed-door', 'slider-door']] },
      { kind: 'slides', panel: 'tongue', between: ['channel-under', 'channel-over'] },
    ],
    grips: [
      ...(blank
        ? [optionGrip('s-foot', DOWN, 'foot', 'depth of the foot', foot, [5, blank.height - clasp - spine - 40])]
        : [roomGrip('s-foot', UP, 'height', 'room in the height')]),
      optionGrip('s-clasp', UP, 'clasp', 'depth of the clasp', clasp, [5, H - spine]),
      optionGrip('s-slider', RIGHT, 'door', 'how far the doors come over', door, [5, L]),
    ],
  });
}

export const sliderSet: Construction<Options> = {
  name: 'slider-set',
  does: 'closes',
  title: 'Slider pocket set',
  purpose: 'A cover with two doors, one of which slides out and shows what is behind: photos, a long note.',
  options,
  ease: EASE.loose,
  idle: () => [],
  build,
  // What stands on the foot tips over one that is less than a third as deep.
  suited: (brief) => {
    const third = onMark((brief.contents!.height + brief.aim.height) / 3, brief, 'up');
    return third > brief.options.foot ? { foot: third } : {};
  },
  schools: [],
  cures: [
    { for: 'spine', label: 'A spine as broad as it takes', options: () => ({ spine: undefined }) },
    partCure('foot'),
    partCure('clasp'),
    partCure('door'),
  ],
  advice: [
    {
      mistake: 'Scores a hair off on the channel.',
      instead: 'The tongue is only 1/8 in narrower: score channel and slider exactly, or it sticks.',
    },
    {
      mistake: 'Glue creeping into the channel from the fixed door.',
      instead: 'Keep it 1/8 in from the tab’s edges and pull the slider through while it sets.',
    },
  ],
  sources: [
    'cover 8 × 6 scored 2, 2 1/2, 6; channel 8 × 5 3/4 scored 3, 6; slider 7 × 2 7/8 scored 2; fixed door 2 1/2 × 2 7/8 scored 1/2 (common practice, no source)',
  ],
};
