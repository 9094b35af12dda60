import { formatLength, mm, roundTo, unitsOf, type Graduation, type Units } from '../length';
import type { Check, Remedy } from './checks';
import type { Closure } from './extras';
import type { GlueAdvice } from './glue';

/** Says a length the way the person reads: `say(95.25)` is `3 3/4 in`; `down` never says more than there is. */
export type Say = (value: number, way?: 'down') => string;

/** A sayer for a person's units and marks; a figure between marks is said as "about", or as the mark below. */
export const sayer =
  (units: Units, graduation: Graduation): Say =>
  (value, way) => {
    // What is less than a mark is not nothing: it is said in tenths of a millimetre.
    const tenths = (round: (tenth: number) => number): string =>
      formatLength(mm(round(value * 10) / 10), 'mm', 'exact');
    if (way !== 'down') {
      const nearest = formatLength(mm(value), units, graduation, true);
      return /^about 0 /.test(nearest) && Math.abs(value) >= 0.05 ? tenths(Math.round) : nearest;
    }
    const marks = marksFor(units, graduation);
    const marked = roundTo(mm(value), marks, 'down');
    return marked > 0 || value < 0.1 ? formatLength(marked, units, marks, true) : tenths(Math.floor);
  };

/** Marks to round a said figure to: the design's own where they suit the units, else sixteenths or half millimetres. */
const marksFor = (units: Units, graduation: Graduation): Graduation =>
  graduation !== 'exact' && unitsOf(graduation) === units ? graduation : units === 'in' ? '1/16 in' : '0.5 mm';

/** The sentence for a check: what will happen at the table and what to do. */
export function checkSentence(check: Check, say: Say): string {
  const sentence = sentenceOf(check, say);
  return sentence[0]!.toUpperCase() + sentence.slice(1);
}

function sentenceOf(check: Check, say: Say): string {
  const { value, limit, about } = check;
  const way = check.id.endsWith('width') ? 'width' : 'height';
  const text = (key: string): string => String(about[key] ?? '');
  const size = (a: string, b: string): string => `${say(Number(about[a]))} × ${say(Number(about[b]))}`;
  switch (check.id) {
    case 'blank-not-square':
      return `This starts from a square, and the paper is longer one way: ${say(value)} by ${say(limit)}. Cut it to ${say(limit)} square first.`;
    case 'notch-off-sheet':
      return `A sheet of ${say(value)} is too small: its notches would run together. It must be larger than ${say(limit)}.`;
    case 'setting-off-sheet':
      return `A setting of ${say(value)} puts the notch past the corner of the sheet; the limit on that side is ${say(limit)}. Set it nearer the middle.`;
    case 'sheet-too-small':
      return `The sheet’s ${text('side')} is ${say(value)}, and ${say(limit)} of it goes into tabs, laps and flaps: nothing is left for the inside. Use a larger sheet or smaller flaps.`;
    case 'part-too-large':
      return limit > 0
        ? `The ${text('part')} takes ${say(value)}; there is room for ${say(limit, 'down')}. Make it smaller, or the holder larger.`
        : `There is no room for the ${text('part')} of ${say(value)}. Make the holder larger.`;
    case 'part-too-small':
      return `At this size nothing is left of the ${text('part').replace(/^the /, '')}.${about.side ? ` It takes ${text('of')} of ${say(Number(about.would))} in the ${text('side')} at least.` : ' Make the holder larger, or its parts smaller.'}`;
    case 'contents-too-small':
      return `Contents of ${say(value)} in the ${text('side')} are too small to fold paper round: at least ${say(limit)}.`;
    case 'notch-cuts-fold':
      return `A finger notch of ${say(value)} would cut through a fold. Use a smaller punch, or leave it out.`;
    case 'notch-cuts-glue':
      return `A finger notch of ${say(value)} would cut into a glued tab. Use a smaller punch, or leave it out.`;
    case 'hole-cuts-fold':
      return `A hole of ${say(value)} would meet a fold or an edge. Use a smaller punch, or leave the holes out.`;
    case 'holes-touch':
      return `Holes of ${say(value)} would run into each other. Use a smaller punch.`;
    case 'strip-too-short':
      return `A strip of ${say(value)} is too short to join this band from two: each must be at least ${say(limit)}.`;
    case 'gusset':
      return check.level === 'pass'
        ? `Its sides open by up to ${say(limit)} at the mouth.`
        : `${say(value)} is thicker than the sides open: ${say(limit)} at the mouth. More or wider pleats, or a box.`;
    case 'slides-off':
      return check.level === 'pass'
        ? `It slides with ${say(value)} of room and stays on.`
        : `With ${say(value)} of room it would slip off by itself. Keep it under ${say(limit)}.`;
    case 'reveal':
      return check.level === 'pass'
        ? `The border shows ${say(value)} all round at least.`
        : `The mat sticks out past the ${text('on')} by ${say(-value)}.`;
    case 'finished-size':
      return `Comes out ${size('width', 'height')}.`;
    case 'corner-too-round':
      return `A corner radius of ${say(value)} does not fit this flap. It takes at most ${say(limit, 'down')}.`;
    case 'tip-too-deep':
      return `The tip is only ${say(limit, 'down')} deep before the flap’s straight part begins; ${say(value)} is too much to cut or fold back.`;
    case 'room-width':
    case 'room-height':
      if (check.level === 'fail')
        return `The contents are ${say(-value)} too large for the inside ${way}. They will not go in.`;
      if (value <= 0.001)
        return `No room is left in the ${way}: the contents go in only if every cut and fold is exact.`;
      if (check.level === 'warn') return `Only ${say(value)} of room in the ${way}; under ${say(limit)} it sits tight.`;
      return `${say(value)} of room in the ${way}.`;
    case 'room-depth':
      if (check.level === 'fail')
        return about.onEdge === 1
          ? `The stack is ${say(-value)} thicker than the file is deep. Make it deeper.`
          : `The contents stand ${say(-value)} above the rim, and a lid would not close. Make it deeper.`;
      return value <= 0.001 ? 'Exactly as deep as the contents.' : `${say(value)} of room in the depth.`;
    case 'walls-meet':
      return check.level === 'pass'
        ? 'Stood up in the computer: every wall meets its neighbours, edge on edge.'
        : `The ${text('a')} and the ${text('b')} do not meet when they stand.`;
    case 'lid-width':
    case 'lid-height': {
      const counted = `${Number(about.layers)} ${Number(about.layers) === 1 ? 'layer' : 'layers'} of paper a side take ${caliper(Number(about.takes))}`;
      const familiar = `workshops allow ${say(Number(about.familiar))} without counting`;
      if (about.exact === 1)
        return `The lid has the box’s own ${way}: an exact fit that grips there (${counted}). Press it on.`;
      if (check.level === 'fail')
        return `The lid will not go on: ${counted} in the ${way}, and it is ${say(Number(about.allowance))} larger. Cut it larger.`;
      return `The lid goes on with ${caliper(value)} to spare in the ${way}: ${say(Number(about.allowance))} larger, and ${counted}; ${familiar}.`;
    }
    case 'pen': {
      const takes = `The loop’s walls of ${say(Number(about.wall))} take a pen up to ${say(value, 'down')}`;
      return check.level === 'pass'
        ? `${takes}.`
        : `${takes}; yours measures ${say(limit)}. Size the loop from the pen.`;
    }
    case 'tie':
      if (check.level === 'pass')
        return about.holed === 1
          ? `The tips lap by ${say(value)} over the opening: room for the tie hole and its margin.`
          : `The tips lap by ${say(value)} over the opening.`;
      return value < 0
        ? `The tips of the ${text('a')} and the ${text('b')} stop ${say(-value)} apart: tie it with a cord round the box.`
        : `The tips lap by only ${say(value)}; a tie hole with its margin takes ${say(limit)}. Tie a cord round instead.`;
    case 'tips-turned':
      return `The ${text('panels')} ${value > 1 ? 'are' : 'is'} deeper than the box is wide: the tips are turned under, inside.`;
    case 'what-fits':
      return check.level === 'fail'
        ? 'Nothing fits in this once its thickness and the least room are taken off. Use a larger sheet or a thinner card.'
        : `Holds up to ${say(Number(about.width), 'down')} × ${say(Number(about.height), 'down')}${about.depth ? `, ${say(Number(about.depth), 'down')} deep` : ''}.`;
    case 'goes-in': {
      if (check.level === 'pass')
        return about.box === 1
          ? 'The contents go in from above and stand free of every wall.'
          : 'The contents slide in past every fold and glue, and lie flat.';
      if (about.why === 'too_deep') return 'The contents are thicker than this is deep.';
      if (about.why === 'in_the_way') return 'Paper stands where the contents should go in.';
      if (about.box === 1)
        return `The contents are larger than the floor: they do not go in by their ${about.why === 'too_wide' ? 'width' : 'height'}.`;
      if (about.why === 'uncovered') return 'The contents would show: the flaps do not cover them when closed.';
      return `The contents meet a fold on the way in: they are too ${about.why === 'too_wide' ? 'wide for the opening' : 'deep for the pocket'}.`;
    }
    case 'overhang':
      return check.level === 'pass'
        ? 'Every flap stops inside the far fold.'
        : `The ${text('panel')} reaches ${say(value)} past the far fold and would stick out. Trim it there, or use a rectangular sheet.`;
    case 'hole':
      return check.level === 'pass'
        ? 'The flaps cover the back completely.'
        : `The flaps leave ${Math.round(value)} mm² of the back open. Leave them whole.`;
    case 'flap-overlap':
      if (check.level === 'pass') return `Flaps lap by ${say(value)} where they are glued.`;
      return value <= 0.001
        ? `The ${text('a')} and the ${text('b')} do not meet, so nothing holds them. Leave the flaps longer.`
        : `The ${text('a')} laps the ${text('b')} by only ${say(value)}; ${say(limit)} holds better. Use the thinnest tape.`;
    case 'tips-width':
    case 'tips-height':
      if (about.meet === 1) return `The tips of the ${text('a')} and the ${text('b')} just meet.`;
      if (check.level === 'note')
        return about.closed === 1
          ? `The tips of the ${text('a')} and the ${text('b')} stop ${say(-value)} apart; the other flaps cover the gap.`
          : `The ${text('a')} and the ${text('b')} leave a window of ${say(-value)} between them.`;
      return `The ${text('a')} and the ${text('b')} lap by ${say(value)}.`;
    case 'folding':
      if (check.level === 'pass') return 'Folded step by step in the computer: every fold lies down freely.';
      if (about.code === 'tuck_tied')
        return `The ${text('panel')} cannot be tucked in: ${text('by')} holds that gap shut. Leave it unglued until the flap is in.`;
      if (about.code === 'passes_through')
        return `On its way the ${text('panel')} would have to pass through the ${text('by').replace(/^the /, '')}.`;
      if (about.code === 'apart')
        return `The ${text('panel')} does not come to lie on the ${text('by').replace(/^the /, '')} it is glued to.`;
      if (about.code === 'wrong_face')
        return `The ${text('panel')} comes to lie on the wrong face of the ${text('by').replace(/^the /, '')}.`;
      if (about.code === 'blocked')
        return `The ${text('panel')} cannot be folded: ${text('by')} lies over it. Trim the flap that is in the way.`;
      return `The ${text('panel')} cannot turn on this fold: ${text('by')} holds it.`;
    case 'thick-contents':
      return check.level === 'warn'
        ? `${say(value)} is thick for a flat envelope: the corners will stand open. A box or a gusset suits it better.`
        : `${say(value)} thick: the thickness takes that much room both ways, and the folds stay round.`;
    case 'paper':
      if (check.level === 'pass') return 'Your paper is large enough.';
      if (about.turned === 1)
        return `A piece of ${size('blankWidth', 'blankHeight')} goes on your paper only when it is turned, and then the print runs sideways. Use a larger sheet.`;
      return `The sheet to cut measures ${Math.abs(Number(about.blankWidth) - Number(about.blankHeight)) < 1e-6 ? say(value) : size('blankWidth', 'blankHeight')}; your paper is ${size('width', 'height')}.${about.other ? ` Cut it from ${text('other')}, or put in something smaller.` : ' No common paper is that large.'}`;
    case 'thin-paper':
      return `Thin paper (${formatLength(mm(value), 'mm', 'exact')}): what is inside shows through, and a light score is enough. Use little glue, or it cockles.`;
    case 'stiff-paper':
      return `Stiff paper (${formatLength(mm(value), 'mm', 'exact')}): score each line two or three times lightly and fold slowly, or it cracks. It stacks to ${say(Number(about.thickness))}.`;
    case 'print-side':
      return value === 0
        ? 'One-sided paper: lay the printed side down. Only that side will show.'
        : `One-sided paper: the plain side will show at the ${text('panels')}.`;
    case 'print-direction':
      if (check.level === 'pass') return 'The print reads upright on the finished front.';
      return about.slanted === 1
        ? `The print will run at a slant: ${Math.round(Math.abs(value) % 90)}° on the finished front, because the folds cross the sheet corner to corner.`
        : `The print will ${Math.abs(value) > 135 ? 'stand upside down' : 'lie on its side'} on the finished front (the ${text('panel')}). Turn the blank on the sheet before you cut it.`;
    case 'print-upside-down':
      return `With the front upright, the print stands upside down at the ${text('panels')}.`;
    case 'window-avoided':
      return check.level === 'pass'
        ? 'The place to avoid lies outside the blank.'
        : `The place to avoid lies on the blank with ${Math.max(1, Math.round(value * 100))} % of it. Move the blank away from it.`;
    case 'window':
      return check.level === 'pass'
        ? 'The marked window of the paper lies wholly on the front.'
        : value < 0.001
          ? 'The marked window of the paper does not show on the front. Move the blank over it.'
          : `${Math.round(value * 100)} % of the marked window shows on the front. Move the blank until all of it does.`;
    case 'closure':
      if (about.trouble === 'discs_overlap')
        return `The two discs would overlap when closed: their middles must be ${say(limit)} apart. Use smaller discs.`;
      if (about.trouble === 'nothing_to_hold')
        return 'Nothing folds over the front here, so there is nothing for that closure to hold.';
      if (about.trouble === 'covers_opening')
        return 'That would lie across the opening, and the contents could not be pulled out. Choose another closure.';
      if (about.trouble === 'no_holes')
        return 'Nothing is punched for a lacing here. Choose “Laced” where the holder offers it.';
      return value > 0
        ? `To close it: ${say(value)} of ${about.kind === 'band' ? 'strip' : about.kind === 'ribbon' ? 'ribbon, laid under its mat before that is glued' : 'cord'}, the tie included.`
        : 'It closes without a cord.';
    case 'board-end':
      return `A score at ${say(value)} lies past the end of your scoring board at ${say(limit)}, from either side. Mark it and score along a ruler.`;
    case 'between-grooves':
      return `A score at ${say(value)} lies between your scoring board’s grooves, at ${say(Number(about.below))} and ${say(Number(about.above))}, from either side. Mark it and score along a ruler.`;
    case 'trimmer-end':
      return `The longest cut is ${say(value)}, and your trimmer ends at ${say(limit)}. Mark both ends, and cut along a steel ruler with a knife.`;
    case 'ruler-short':
      return `A line of ${say(value)} is longer than your ruler of ${say(limit)}. Score half of it, move the ruler along the line, and go on.`;
    case 'no-punch':
    case 'no-corner-rounder':
      return limit > 0
        ? `This takes a ${text('what')} of ${say(value)}, which is not on your table; the nearest there is ${say(limit)}.`
        : `This takes a ${text('what')} of ${say(value)}, and none lies on your table. Draw it round a coin and cut it with scissors.`;
    case 'tool-proof':
      return check.level === 'pass'
        ? ({
            'envelope-board': 'The moves, tried on a simulated board, give these very scores and notches.',
            'scoring-board': 'The moves, tried on a simulated scoring board, give these very scores and cuts.',
            'edge-board': 'The moves, tried on a simulated edge board, give these very scores and cuts.',
          }[text('tool')] ?? 'The marks, tried with a simulated ruler, give these very scores and cuts.')
        : `The moves do not give this pattern: ${text('fault')}.`;
    case 'ruler-end':
      return `The first setting, ${say(value)}, lies past the end of the board’s ruler at ${say(limit)}. Measure it on the sheet, mark it, and centre the mark on the notch.`;
    case 'groove-end':
      return `The longest score is ${say(value)}; the groove ends at ${say(limit)}. Score what it reaches and go on with a ruler before turning.`;
    case 'slanted-scores':
      return 'A scoring board’s grooves run square to its fence, and these folds run corner to corner: mark them with a ruler instead.';
    case 'between-marks':
      return `${say(value)} is not on your ruler’s marks. Measure it, or choose finer marks.`;
    default:
      if (check.id.startsWith('glue-')) return glueSentence(check, say);
      if (check.id.startsWith('slides-'))
        return check.level === 'fail'
          ? `The ${text('panel')} has only ${say(value)} of room in its channel and will stick: ${say(limit)} at least.`
          : check.level === 'warn'
            ? `The ${text('panel')} has ${say(value)} of room in its channel and will rattle.`
            : `The ${text('panel')} slides in its channel with ${say(value)} of room.`;
      throw new Error(`no words for the check ${check.id}`);
  }
}

/** A few layers of paper are said in tenths of a millimetre, whatever the ruler. */
const caliper = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** The words on a remedy's button. */
export function remedyLabel(remedy: Remedy, say: Say): string {
  switch (remedy.code) {
    case 'cure':
      return remedy.label;
    case 'other_paper':
      return `Use ${remedy.name}`;
    case 'square_blank':
      return `Cut it ${say(remedy.side)} square`;
    case 'larger':
      return `Make the ${remedy.of === 'blank' ? 'sheet' : 'contents'} ${say(remedy.to)} in the ${remedy.side}`;
    case 'from_contents':
      return 'Cut a sheet to fit';
    case 'turn_blank':
      return remedy.quarters === 2 ? 'Turn the blank round: start from the other edge' : 'Turn the blank a quarter';
    case 'back_with_mat':
      return 'Cover it with a mat';
    case 'narrower_tape':
      return `Use ${say(remedy.width)} tape there`;
    case 'wet_glue':
      return 'Use wet glue there';
    case 'no_closure':
      return 'Leave it open';
    case 'own_size':
      return `Use your ${say(remedy.size)} ${remedy.what}`;
    case 'groove_marks':
      return `Size it on the grooves, ${say(remedy.pitch)} apart`;
  }
}

const HOLDS: Record<string, string> = {
  'wet-glue': 'wet glue',
  tape: 'tape',
  'tape-runner': 'a tape runner',
  'hot-glue': 'hot glue',
  'hook-dot': 'a hook-and-loop dot',
};

function glueSentence({ value, limit, about }: Check, say: Say): string {
  const chosen = HOLDS[String(about.chosen)] ?? '';
  if (about.trouble === 'too_narrow')
    return `The glued strip is only ${say(value)} broad: ${chosen} does not fit on it.${Number(about.tape) > 0 ? ` ${say(Number(about.tape))} tape would.` : ''}`;
  if (about.trouble === 'cannot_shift')
    return `A part slides here and has to be lined up while the glue sets: ${chosen} holds at once. Wet glue can be shifted.`;
  return `The glued strip is only ${say(value)} broad, and ${chosen} creeps: keep it ${say(limit)} away from the pocket’s side, or use thin tape.`;
}

/** What a glue step says about its glue. */
export function adhesiveSentence({ chosen, breadth, margin, slides }: GlueAdvice, say: Say): string {
  if (chosen === 'tape') return `Tape, along the middle of the ${say(breadth)} strip.`;
  if (chosen === 'tape-runner') return 'One run of the tape runner.';
  if (chosen === 'hot-glue') return 'Two small drops of hot glue.';
  if (chosen === 'hook-dot') return 'One hook-and-loop dot.';
  if (slides) return 'Wet glue, thin; move the sliding part through while it sets.';
  return margin > 0 && breadth > margin
    ? `Keep wet glue ${say(margin)} away from the pocket’s side; slide a folder through while it sets.`
    : '';
}

/** The usual cautions, shown at the step that needs them. Makers' instructions and local rules come first. */
export const CAUTION = {
  blade: 'Blade: fingers behind the guard or ruler, cut away from you, cap it when you put it down.',
  scissors: 'Sharp points: cut away from your fingers, and keep the small offcuts from small children.',
  trimmer: 'Trimmer: fingers behind the guard, lock the blade down when you put it by.',
  punch: 'Keep fingers clear of the punch.',
  iron: 'Hot iron: no steam, on a heat-proof pad, never left on or within reach of children; follow its maker’s instructions.',
  drying:
    'If you dry it with a heat gun, hold it well away: it burns skin and scorches paper. Spray inks and fixatives only with a window open; follow their makers’ instructions.',
  press: 'Keep fingers clear of the rollers or the press.',
  fixings:
    'An awl slips: work on a firm mat, never against your hand. If you hammer, cover your eyes. Keep discs, washers and eyelets from small children.',
  smallParts: 'Keep small parts and magnets from small children.',
  hotGlue: 'Hot glue burns: let the tip rest on its stand, keep it from children, follow its maker’s instructions.',
} as const;

/** What a closure step says. */
export function closureWords(kind: Closure, length: string): string {
  return {
    none: '',
    cord: `Tie ${length} of cord once round.`,
    bow: `Take ${length} of ribbon once round and tie a bow.`,
    laced: `Lace ${length} of cord crosswise through the holes and tie it.`,
    buttons: `Fix two discs, each with a washer behind it, and wind ${length} of cord round them.`,
    ribbon: `Lay ${length} of ribbon across the middle before the mat goes over it.`,
    dot: 'Press one half of the dot on the flap, the other where it meets.',
    tuck: 'Tuck the flap in.',
    band: `Slide a band of ${length} round it.`,
  }[kind];
}
