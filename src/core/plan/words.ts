import { formatLength, mm, roundTo, unitsOf, type Graduation, type Units } from '../length';
import type { Check, Remedy } from './checks';

/** Says a length the way the person reads: `say(95.25)` is `3 3/4 in`; `down` never says more than there is. */
export type Say = (value: number, way?: 'down') => string;

/** A sayer for a person's units and marks; a figure between marks is said as "about", or as the mark below. */
export const sayer =
  (units: Units, graduation: Graduation): Say =>
  (value, way) =>
    formatLength(
      way === 'down' ? roundTo(mm(value), marksFor(units, graduation), 'down') : mm(value),
      units,
      graduation,
      true,
    );

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
      return `This envelope starts from a square, and the paper is longer one way: ${say(value)} by ${say(limit)}. Cut it to ${say(limit)} square first.`;
    case 'notch-off-sheet':
      return `A sheet of ${say(value)} is too small: its notches would run together. It must be larger than ${say(limit)}.`;
    case 'setting-off-sheet':
      return `A setting of ${say(value)} puts the notch past the corner of the sheet; the limit on that side is ${say(limit)}. Set it nearer the middle.`;
    case 'corner-too-round':
      return `A corner radius of ${say(value)} does not fit the closing flap. It takes at most ${say(limit, 'down')}.`;
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
    case 'what-fits':
      return check.level === 'fail'
        ? 'Nothing fits in this once its thickness and the least room are taken off. Use a larger sheet or a thinner card.'
        : `Holds up to ${say(Number(about.width), 'down')} × ${say(Number(about.height), 'down')}.`;
    case 'goes-in': {
      if (check.level === 'pass') return 'The contents slide in past the folds and lie flat once it is closed.';
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
        return `The tips of the ${text('a')} and the ${text('b')} stop ${say(-value)} apart; the other flaps cover the gap.`;
      return `The ${text('a')} and the ${text('b')} lap by ${say(value)}.`;
    case 'folding':
      if (check.level === 'pass') return 'Folded step by step in the computer: every fold lies down freely.';
      if (about.code === 'tuck_tied')
        return `The ${text('panel')} cannot be tucked in: ${text('by')} holds that gap shut. Leave it unglued until the flap is in.`;
      if (about.code === 'blocked')
        return `The ${text('panel')} cannot be folded: ${text('by')} lies over it. Trim the flap that is in the way.`;
      return `The ${text('panel')} cannot turn on this fold: ${text('by')} holds it.`;
    case 'thick-contents':
      return check.level === 'warn'
        ? `${say(value)} is thick for a flat envelope: the corners will stand open. A box or a gusset suits it better.`
        : `${say(value)} thick: the thickness takes that much room both ways, and the folds stay round.`;
    case 'paper':
      if (check.level === 'pass') return 'Your paper is large enough.';
      return `The sheet to cut measures ${say(value)}; your paper is ${size('width', 'height')}.${about.other ? ` Cut it from ${text('other')}, or put in something smaller.` : ' No common paper is that large.'}`;
    case 'thin-paper':
      return `Thin paper (${formatLength(mm(value), 'mm', 'exact')}): what is inside shows through, and a light score is enough. Use little glue, or it cockles.`;
    case 'stiff-paper':
      return `Stiff paper (${formatLength(mm(value), 'mm', 'exact')}): score each line two or three times lightly and fold slowly, or it cracks. It stacks to ${say(Number(about.thickness))}.`;
    case 'print-side':
      return value === 0
        ? 'One-sided paper: lay the printed side down. Only that side will show.'
        : `One-sided paper: the plain side will show at the ${text('panels')}.`;
    case 'print-direction':
      return check.level === 'warn'
        ? `The print will run at a slant: ${Math.round(Math.abs(value) % 90)}° on the finished front, because the folds cross the sheet corner to corner.`
        : 'The print runs straight on the finished front.';
    case 'tool-proof':
      return check.level === 'pass'
        ? about.tool === 'envelope-board'
          ? 'The moves, tried on a simulated board, give these very scores and notches.'
          : 'The marks, tried with a simulated ruler, give these very scores and notches.'
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
      throw new Error(`no words for the check ${check.id}`);
  }
}

/** The words on a remedy's button. */
export function remedyLabel(remedy: Remedy, say: Say): string {
  switch (remedy.code) {
    case 'cure':
      return remedy.label;
    case 'other_paper':
      return `Use ${remedy.name}`;
    case 'square_blank':
      return `Cut it ${say(remedy.side)} square`;
    case 'from_contents':
      return 'Cut a sheet to fit';
  }
}

/** The usual cautions, shown at the step that needs them. Makers' instructions and local rules come first. */
export const CAUTION = {
  blade: 'Blade: fingers behind the guard or ruler, cut away from you, cap it when you put it down.',
  scissors: 'Sharp points: cut away from your fingers, and keep the small offcuts from small children.',
  punch: 'Keep fingers clear of the punch.',
} as const;
