import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm, stepOf } from '../../length';
import { drawPiece, rect, ring, type FoldLine, type Panel, isSquare } from '../../pattern';
import { built, EASE, fold, LEFT, optionGrip, place, refuse, RIGHT, roomGrip, segment } from '../shared/building';
import { onFineMark, partCure, usualCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { choiceOption, countOption, lengthOption, openLengthOption } from '../shared/options';
import { insideFor, leftOver, OPEN, spineOver, tooLarge, usual } from '../shared/sizing';

const MOST_PLEATS = 8;

const options = z.strictObject({
  pleats: countOption('Pleats on each side', 'At least two; the outermost are glued face to face.', 4, 2, MOST_PLEATS),
  pleat: lengthOption('Pleat', 'Breadth of one pleat.', inches(1 / 4), { over: 0 }),
  lid: lengthOption('Lid', 'How far the lid comes down over the front.', inches(5 / 2), { over: 0 }),
  spine: openLengthOption(
    'Spine of the lid',
    'Lets the lid close over what stands in the pocket.',
    { over: 0 },
    { open: '1/2 in, or as thick as the contents are' },
  ),
  backPocket: choiceOption(
    'Back pocket',
    'Behind the lid’s tail: open to the fold, closed at half depth, or glued all over.',
    ['full', 'shallow', 'none'],
  ),
});
type Options = z.output<typeof options>;

/** More pleats than these are not folded to fill a square. From memory. */
const FEW_PLEATS = 6;
/** Common practice 1/2 in. */
const USUAL_SPINE = inches(1 / 2);
/** The V at the middle fold opens this far each way at the sheet's edge, mm. Common practice 1/8 in. */
const V = inches(1 / 8);
/** The lid is narrower than the inside by this, mm. Common practice 1/8 in. */
const NARROWER = inches(1 / 8);
/** Glue strip along the sides of the lid's tail, mm. Common practice 1/4 in. */
const STRIP = inches(1 / 4);

/**
 * A square `S` folded in half, with `k` pleats of `q` on both open sides: inside width `S − 2kq`, height `S/2`. The
 * front lies near, the back far. Each side opens by up to `2(k − 1)q` at the mouth.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank, making } = brief;
  const { pleats: k, pleat: q, lid, backPocket } = options;
  const [narrower, strip, v] = [usual(NARROWER, brief), usual(STRIP, brief), usual(V, brief)];
  const usualSpine = usual(USUAL_SPINE, brief);
  const spine = options.spine ?? spineOver(usualSpine, 2, brief);
  const gusset = 2 * (k - 1) * q;
  let S: number;
  // What the width comes to at least, whatever the pleats: rounding to marks may give more with these and less with others.
  let least = Infinity;
  if (blank) {
    if (!isSquare(blank))
      return refuse({
        code: 'blank-not-square',
        value: mm(Math.max(blank.width, blank.height)),
        limit: mm(Math.min(blank.width, blank.height)),
      });
    const width = leftOver(brief, 'width', blank.width, 2 * k * q);
    if (!width.ok) return refuse(width.refusal);
    S = blank.width;
  } else {
    const inside = insideFor(brief, OPEN, gusset);
    least = inside.width;
    // A spine that is broader for thick contents asks for that much more to lie over.
    const over = lid + usualSpine <= inside.height ? lid + spine : 0;
    const needed = Math.max(inside.width + 2 * k * q, 2 * inside.height, 2 * over);
    // Half the square must stand on a mark too.
    const step = 2 * stepOf(making.graduation);
    S = step === 0 ? needed : Math.ceil(needed / step - TOLERANCE.length) * step;
  }
  const [W, H] = [S - 2 * k * q, S / 2];
  if (W < 4 * q - TOLERANCE.length || W < 3 * strip)
    return refuse(
      tooLarge('pleat', 'pleat', q, blank ? (S - 3 * strip) / (2 * k + 4) : W < 3 * strip ? 0 : Math.min(W, least) / 4),
    );
  if (lid + spine > H + TOLERANCE.length) return refuse(tooLarge('lid', 'lid', lid, H - spine));
  const [x1, x2] = [k * q, S - k * q];
  const panels: Panel[] = [
    { id: 'back', name: 'back', polygon: rect(x1, H, x2, S) },
    { id: 'front', name: 'front', polygon: rect(x1, 0, x2, H) },
  ];
  const folds: FoldLine[] = [];
  const slope = v / (k * q);
  for (let i = 1; i <= k; i++)
    for (const side of ['left', 'right'] as const)
      for (const half of ['back', 'front'] as const) {
        const [near, far] = side === 'left' ? [x1 - (i - 1) * q, x1 - i * q] : [x2 + (i - 1) * q, x2 + i * q];
        const away = half === 'back' ? 1 : -1;
        const at = (x: number): [number, number] => [x, H + away * slope * (side === 'left' ? x1 - x : x - x2)];
        const end = half === 'back' ? S : 0;
        panels.push({
          id: `${half}-${side}-${i}`,
          name: `${side} pleat ${i} of the ${half}`,
          polygon: ring(at(near), at(far), [far, end], [near, end]),
        });
        folds.push({
          id: `s-${half}-${side}-${i}`,
          between: [i === 1 ? half : `${half}-${side}-${i - 1}`, `${half}-${side}-${i}`],
          fold: i % 2 === 1 ? 'valley' : 'mountain',
        });
      }
  folds.push({ id: 's-middle', between: ['back', 'front'] });
  const body = drawPiece({ name: 'pocket', blank: { width: mm(S), height: mm(S) }, panels, folds });
  const wl = W - narrower;
  const [l1, l2, l3] = [lid, lid + spine, lid + spine + H];
  const lidPiece = drawPiece({
    name: 'lid',
    blank: { width: mm(wl), height: mm(l3) },
    panels: [
      { id: 'tail', name: 'tail of the lid', polygon: rect(0, l2, wl, l3) },
      { id: 'spine', name: 'spine', polygon: rect(0, l1, wl, l2) },
      { id: 'lid', name: 'lid', polygon: rect(0, 0, wl, l1) },
    ],
    folds: [
      { id: 's-tail', between: ['tail', 'spine'], angle: 90 },
      { id: 's-lid', between: ['spine', 'lid'], angle: 90 },
    ],
  });
  const strips = [rect(0, l2, strip, l3), rect(wl - strip, l2, wl, l3)];
  const glueWithin =
    backPocket === 'none'
      ? [rect(0, l2, wl, l3)]
      : backPocket === 'full'
        ? strips
        : [...strips, rect(0, (l2 + l3) / 2, wl, (l2 + l3) / 2 + strip)];
  const sides = ['left', 'right'] as const;
  const pleatFolds = sides.flatMap((side) =>
    Array.from({ length: k }, (_, i) =>
      fold(`fold-${side}-${i + 1}`, `Fold pleat ${i + 1} on the ${side} ${i % 2 === 0 ? 'in' : 'back out'}`, [
        `s-back-${side}-${i + 1}`,
        `s-front-${side}-${i + 1}`,
      ]),
    ),
  );
  const all = sides.flatMap((side) =>
    Array.from({ length: k }, (_, i) => [`back-${side}-${i + 1}`, `front-${side}-${i + 1}`]).flat(),
  );
  const last = { left: `back-left-${k}`, right: `back-right-${k}` };
  return built({
    ...PLAIN,
    pieces: [body, lidPiece],
    assembly: [
      place('lay-tail', 'Lay the lid’s tail on the back, its end at the middle fold', {
        panel: 'tail',
        onto: 'back',
        line: segment(0, l3, wl, l3),
        on: segment(x2 - narrower / 2, H, x1 + narrower / 2, H),
        over: false,
        level: { above: 'back' },
        gluedTo: ['back'],
        glueWithin,
      }),
      ...pleatFolds,
      fold('fold-middle', 'Fold the front up, the outermost pleats on each other', ['s-middle'], {
        gluedTo: [last.left, last.right],
      }),
      fold('close', 'Bring the lid over and down the front', ['s-tail'], { closes: true }),
    ],
    cavities: [
      {
        id: 'pocket',
        kind: 'pocket',
        floor: 'back',
        roof: [...all, 'front'],
        mouth: segment(x1, S, x2, S),
        insertAfter: 'fold-middle',
        covered: { floor: 1, roof: 1 },
        gusset: sides.map((side) => {
          const inwards = Array.from({ length: k }, (_, i) => k - i);
          const beyondFirst = inwards.slice(0, -1).reverse();
          return [
            `back-${side}-1`,
            ...beyondFirst.map((pleat) => `back-${side}-${pleat}`),
            ...inwards.map((pleat) => `front-${side}-${pleat}`),
          ] as const;
        }),
      },
      ...(backPocket === 'none'
        ? []
        : [
            {
              id: 'back pocket',
              kind: 'pocket' as const,
              floor: 'tail',
              roof: ['back'],
              mouth: segment(0, l2, wl, l2),
              insertAfter: 'fold-middle',
              covered: { floor: 1, roof: 1 },
            },
          ]),
    ],
    front: 'above',
    claims: [{ kind: 'laps', pairs: sides.map((side) => [`front-${side}-${k}`, last[side]] as const) }],
    grips: [
      ...(blank
        ? [
            optionGrip('s-back-left-1', RIGHT, 'pleat', 'breadth of the pleats', q, [2, S / (2 * k + 8)], 1 / k),
            optionGrip('s-back-right-1', LEFT, 'pleat', 'breadth of the pleats', q, [2, S / (2 * k + 8)], 1 / k),
          ]
        : [
            roomGrip('s-back-left-1', LEFT, 'width', 'room in the width', 2),
            roomGrip('s-back-right-1', RIGHT, 'width', 'room in the width', 2),
          ]),
      optionGrip('s-lid', { x: 0, y: 1 }, 'lid', 'how far the lid comes down', lid, [5, H - spine]),
    ],
  });
}

export const accordionPocket: Construction<Options> = {
  name: 'accordion-pocket',
  does: 'closes',
  title: 'Accordion pocket with lid',
  purpose: 'A pouch that opens at the sides: several cards, a stack of tags, a small notebook.',
  options,
  ease: EASE.loose,
  idle: () => [],
  build,
  // The square is twice as tall as what stands in it: as many pleats as fill it, where a few do, and as open far enough.
  suited: ({ contents, aim, thickness, options: { pleats, pleat } }) => {
    const tall = contents!.height + thickness / 2 + aim.height;
    const spare = 2 * tall - contents!.width - aim.width;
    const opening = Math.ceil(thickness / (2 * pleat) - TOLERANCE.length) + 1;
    const fill = Math.max(2, opening, Math.round(spare / (2 * pleat)));
    return fill < pleats || fill <= FEW_PLEATS ? { pleats: fill } : {};
  },
  schools: [
    {
      option: 'backPocket',
      value: 'full',
      title: 'Full back pocket',
      why: 'The tail’s lower edge stays open: the pocket behind it reaches the fold.',
    },
    {
      option: 'backPocket',
      value: 'shallow',
      title: 'Shallow back pocket',
      why: 'Glue across the tail: a second pocket half as deep.',
    },
    {
      option: 'backPocket',
      value: 'none',
      title: 'No back pocket',
      why: 'The tail is glued all over and stiffens the back.',
    },
  ],
  cures: [
    partCure('pleat'),
    partCure('lid'),
    {
      for: 'gusset',
      label: 'As many pleats as it takes',
      options: (thick, { pleat, pleats }) => {
        const needed = Math.ceil(thick / (2 * (pleat as number)) - TOLERANCE.length) + 1;
        return needed <= MOST_PLEATS && needed > (pleats as number) ? { pleats: needed } : null;
      },
    },
    {
      for: 'gusset',
      label: 'Broader pleats',
      options: (thick, { pleats }, { graduation }) => ({
        pleat: onFineMark(thick / (2 * ((pleats as number) - 1)), graduation),
      }),
    },
    { for: 'spine', label: 'A spine as broad as it takes', options: () => ({ spine: undefined }) },
    {
      for: 'spine',
      label: 'A broader spine',
      options: (needed, _, { graduation }) => ({ spine: onFineMark(needed + 1, graduation) }),
    },
    {
      for: 'loose',
      id: 'width',
      label: 'Broader pleats, a narrower pocket',
      options: (over, { pleats, pleat }, { graduation }) => ({
        pleat: onFineMark((pleat as number) + over / (2 * (pleats as number)), graduation, 'down'),
      }),
    },
    usualCure('flap-overlap', 'Pleats of 3/8 in', { pleat: inches(3 / 8) }),
  ],
  advice: [
    { mistake: 'Pleats folded all one way.', instead: 'They go in, out, in, out, the innermost first and inward.' },
    {
      mistake: 'Wider pleats in the hope of more room.',
      instead: 'What counts is how far the sides open at the mouth: twice the pleats less one, times their breadth.',
    },
    {
      mistake: 'Glued pleats registered by the fold.',
      instead: 'Register them by their outer edges, or the pocket twists.',
    },
    {
      mistake: 'No V at the middle fold.',
      instead: 'Cut a slim V through the pleats there, or they cannot fold past each other.',
    },
  ],
  sources: [
    '6 in square, 4 pleats of 1/4 or 2 of 1/2: 4 in wide inside; lid 3 7/8 × 6 scored 2 1/2 and 3 (common practice, no source)',
  ],
};
