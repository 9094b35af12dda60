import { isSquare } from '../pattern';
import { TOLERANCE } from '../geometry';
import { CLAIM_WORDS, constructionNamed, type Finding, type Words } from '../constructions';
import { formatLength, mm, type Say } from '../length';
import { listed } from '../text';
import { faultWords, planTool, TOOL_WORDS } from '../tools';
import type { Check, PlanFacts, Remedy } from './check';

/** The sentence for a check: what will happen at the table and what to do. */
export function checkSentence(check: Check, say: Say): string {
  const words = SENTENCES[check.kind] as ((finding: Check, say: Say) => string) | undefined;
  if (!words) throw new Error(`no words for the check ${check.id}`);
  // “Only less than a mark” is less than a mark.
  const sentence = words(check, say).replace(/\bonly (?=less than )/giu, '');
  return sentence[0]!.toUpperCase() + sentence.slice(1);
}

function room(way: 'width' | 'height', { level, value, limit }: Finding, say: Say): string {
  if (level === 'fail')
    return `The contents are ${say(-value, 'up')} too large for the inside ${way}. They will not go in.`;
  if (value <= TOLERANCE.folded)
    return `No room is left in the ${way}: the contents go in only if every cut and fold is exact.`;
  if (level === 'warn')
    return `Only ${say(value, 'down')} of room in the ${way}; under ${say(limit, 'up')} it sits tight.`;
  return `${say(value)} of room in the ${way}.`;
}

/** Under this no finger finds the bite, mm. From memory. */
const SMALL_PUNCH = 6;
const smallerPunch = (largest: number, say: Say): string =>
  largest >= SMALL_PUNCH
    ? `The largest punch that does is ${say(largest, 'down')}; or leave it out.`
    : 'No punch does here: leave it out.';

const lacking = (what: string, { value, limit }: Finding, say: Say): string =>
  `This takes a ${what} of ${say(value)}, ${
    limit > 0
      ? `which is not on your table; the nearest there is ${say(limit)}.`
      : 'and none lies on your table. Draw it round a coin and cut it with scissors.'
  }`;

/** What is said of everything that can be found of a plan: the one place where it is worded. */
const SENTENCES: Words<PlanFacts> = {
  ...CLAIM_WORDS,
  'blank-not-square': ({ value, limit }, say) =>
    `This starts from a square, and the paper is longer one way: ${say(value)} by ${say(limit)}. Cut it to ${say(limit)} square first.`,
  'notch-off-sheet': ({ value, limit }, say) =>
    `A sheet of ${say(value)} is too small: its notches would run together. It must be larger than ${say(limit, 'up')}.`,
  'setting-off-sheet': ({ value, limit }, say) =>
    `A setting of ${say(value)} puts the notch past the corner of the sheet; the limit on that side is ${say(limit, 'down')}. Set it nearer the middle.`,
  'sheet-too-small': ({ value, limit, about: { side } }, say) =>
    `The sheet’s ${side} is ${say(value)}, and ${say(limit, 'up')} of it goes into tabs, laps and flaps: nothing is left for the inside. Use a larger sheet or smaller flaps.`,
  'part-too-large': ({ value, limit, about: { part } }, say) =>
    limit > 0
      ? say(value, 'up') === say(limit, 'down')
        ? `The ${part} takes a hair more than the ${say(limit, 'down')} there is room for. Make it smaller, or the holder larger.`
        : `The ${part} takes ${say(value, 'up')}; there is room for ${say(limit, 'down')}. Make it smaller, or the holder larger.`
      : `There is no room for the ${part} of ${say(value)}. Make the holder larger.`,
  'part-too-small': ({ about: { part, of, side, would } }, say) =>
    `At this size nothing is left of the ${part}.${
      would === undefined
        ? ' Make the holder larger, or its parts smaller.'
        : ` It takes ${of} of ${say(would, 'up')} in the ${side} at least.`
    }`,
  'contents-too-small': ({ value, limit, about: { side } }, say) =>
    `Contents of ${say(value)} in the ${side} are too small to fold paper round: at least ${say(limit, 'up')}.`,
  'notch-cuts-fold': ({ value, limit }, say) =>
    `A finger notch of ${say(value)} would cut through a fold. ${smallerPunch(limit, say)}`,
  'notch-cuts-glue': ({ value, limit }, say) =>
    `A finger notch of ${say(value)} would cut into a glued tab. ${smallerPunch(limit, say)}`,
  'hole-cuts-fold': ({ value }, say) =>
    `A hole of ${say(value)} would meet a fold or an edge. Use a smaller punch, or leave the holes out.`,
  'holes-touch': ({ value }, say) => `Holes of ${say(value)} would run into each other. Use a smaller punch.`,
  'strip-too-short': ({ value, limit }, say) =>
    `A strip of ${say(value)} is too short to join this band from two: each must be at least ${say(limit, 'up')}.`,
  'sheets-too-few': ({ value, about: { width, height } }, say) =>
    `Its pieces do not all come from ${value === 1 ? 'one sheet' : `${value} sheets`} of ${say(width)} × ${say(height)}. Take another sheet, or a larger one.`,
  'not-told': ({ about: { part } }) =>
    `Its size follows from the ${part}, which has no pattern or leaves no room. See there first.`,
  'sheet-past-mending': ({ about: { part } }) =>
    `What is left of the sheet is too little for the ${part} as it is now. Take a new sheet for it, or look for another way out.`,
  'corner-too-round': ({ value, limit }, say) =>
    `A corner radius of ${say(value)} does not fit this flap. It takes at most ${say(limit, 'down')}.`,
  'tip-too-deep': ({ value, limit }, say) =>
    `The tip is only ${say(limit, 'down')} deep before the flap’s straight part begins; ${say(value)} is too much to cut or fold back.`,
  'room-width': (finding, say) => room('width', finding, say),
  'room-height': (finding, say) => room('height', finding, say),
  'room-depth': ({ level, value, about: { onEdge } }, say) => {
    if (level === 'pass') return `${say(value)} of room in the depth.`;
    if (level === 'warn')
      return 'No room is left in the depth: it closes only if every fold is exact, and what gives way must be the contents.';
    return onEdge
      ? `The stack is ${say(-value, 'up')} thicker than the file is deep. Make it deeper.`
      : `The contents are ${say(-value, 'up')} thicker than there is room for between the layers of paper, and it would not close. Make it deeper.`;
  },
  'what-fits': ({ level, about: { width, height, depth } }, say) =>
    level === 'fail'
      ? 'Nothing fits in this once its thickness and the least room are taken off. Use a larger sheet or a thinner card.'
      : `Holds up to ${say(width, 'down')} × ${say(height, 'down')}${depth ? `, ${say(depth, 'down')} deep` : ''}.`,
  'goes-in': ({ about: { why, into } }) => {
    const box = into !== 'pocket';
    switch (why) {
      case null:
        return box
          ? `The contents go in from ${into === 'end' ? 'the end' : 'above'} and stand free of every wall.`
          : 'The contents slide in past every fold and glue, and lie flat.';
      case 'too_deep':
        return 'The contents are thicker than this is deep.';
      case 'in_the_way':
        return 'Paper stands where the contents should go in.';
      case 'uncovered':
        return 'The contents would show: the flaps do not cover them when closed.';
      case 'too_wide':
      case 'too_high': {
        const wide = why === 'too_wide';
        return box
          ? `The contents are larger than the floor: they do not go in by their ${wide ? 'width' : 'height'}.`
          : `The contents meet a fold on the way in: they are too ${wide ? 'wide for the opening' : 'deep for the pocket'}.`;
      }
    }
  },
  gusset: ({ level, value, limit }, say) =>
    level === 'pass'
      ? `Its sides open by up to ${say(limit, 'down')} at the mouth.`
      : `${say(value, 'up')} is thicker than the sides open: ${say(limit, 'down')} at the mouth. More or wider pleats, or a box.`,
  spine: ({ level, value, limit, about: { panel } }, say) =>
    level === 'fail'
      ? `The ${panel} of ${say(value, 'down')} has to cross ${say(limit, 'up')} of contents and paper, and does not reach. Make it broader.`
      : `The ${panel} is exactly as broad as what it crosses: it closes only if every fold is exact.`,
  loose: ({ value, limit, about: { side, why } }, say) =>
    why === 'walls'
      ? `${say(value)} of room over the contents, which are ${say(limit)} thick: they tumble about. Lower walls hold them, or fill it up.`
      : `${say(value)} of room in the ${side}, where ${say(limit)} was aimed for: ${why === 'sheet' ? 'the sheet is larger than this takes. Cut it smaller, or the contents rattle' : 'its proportions are fixed, and the other way decides. Another holder fits closer'}.`,
  'gave-way': ({ value, limit, about: { part, sheet } }, say) =>
    sheet
      ? `For the contents to go in on this sheet, “${part}” is ${say(value)} instead of the usual ${say(limit)}.`
      : `At this size there is no room for the usual ${say(limit)}: “${part}” is ${value === 0 ? 'left out' : say(value)}.`,
  'closing-lap': ({ level, value, limit, about: { panel } }, say) =>
    level === 'fail'
      ? `The ${panel} laps what it closes by only ${say(Math.max(0, value), 'down')}: it does not stay shut. Make it ${say(limit - value, 'up')} longer.`
      : `The ${panel} laps what it closes by ${say(value, 'down')}; ${say(limit, 'up')} stays shut better.`,
  'shallow-pocket': ({ value, about: { tall } }, say) =>
    `The pocket is ${say(value, 'down')} deep, less than a third of the ${say(tall)} that stands in it: it tips out. Make the pocket deeper.`,
  stuffed: ({ value, limit, about: { flat } }, say) =>
    `Flat it is ${say(flat)} broad; round its packet ${say(value)}, and ${say(limit)} thick, creased at all four edges.`,
  'slides-off': ({ level, value, limit }, say) =>
    level === 'pass'
      ? `It slides with ${say(value)} of room and stays on.`
      : `With ${say(value)} of room it would slip off by itself. Keep it under ${say(limit, 'down')}.`,
  'finished-size': ({ about: { width, height } }, say) => `Comes out ${say(width)} × ${say(height)}.`,
  overhang: ({ level, value, about: { panel } }, say) =>
    level === 'pass'
      ? 'Every flap stops inside the far fold.'
      : `The ${panel} reaches ${say(value)} past the far fold and would stick out. Trim it there, or use a rectangular sheet.`,
  hole: ({ level, value }) =>
    level === 'pass'
      ? 'The flaps cover the back completely.'
      : `The flaps leave ${Math.round(value)} mm² of the back open. Leave them whole.`,
  folding: ({ about: { code, panel, by } }) => {
    switch (code) {
      case undefined:
        return 'Folded step by step in the computer: every fold lies down freely.';
      case 'tuck_tied':
        return `The ${panel} cannot be tucked in: ${by} holds that gap shut. Leave it unglued until the flap is in.`;
      case 'passes_through':
        return `On its way the ${panel} would have to pass through ${by}.`;
      case 'apart':
        return `The ${panel} does not come to lie on ${by} it is glued to.`;
      case 'wrong_face':
        return `The ${panel} comes to lie on the wrong face of ${by}.`;
      case 'blocked':
        return `The ${panel} cannot be folded: ${by} lies over it. Trim the flap that is in the way.`;
      case 'joint_off_line':
      case 'straddles':
        return `The ${panel} cannot turn on this fold: ${by} holds it.`;
    }
  },
  'thick-contents': ({ level, value, limit }, say) =>
    level === 'fail'
      ? `${say(value)} is too thick for what lies flat: over ${say(limit, 'down')} at this size it cannot close round it. A box or a gusset takes it.`
      : level === 'warn'
        ? `${say(value)} is thick for a flat envelope: the corners will stand open. A box or a gusset suits it better.`
        : `${say(value)} thick: the thickness takes that much room both ways, and the folds stay round.`,
  glue: ({ value, limit, about: { trouble, chosen, tape } }, say) => {
    const holds = HOLDS[chosen] ?? '';
    if (trouble === 'too_narrow')
      return `The glued strip is only ${say(value)} broad: ${holds} does not fit on it.${tape > 0 ? ` ${say(tape)} tape would.` : ''}`;
    if (trouble === 'cannot_shift')
      return `A part slides here and has to be lined up while the glue sets: ${holds} holds at once. Wet glue can be shifted.`;
    return `The glued strip is only ${say(value)} broad, and ${holds} creeps: keep it ${say(limit, 'up')} away from the pocket’s side, or use thin tape.`;
  },
  closure: ({ value, limit, about: { kind, trouble, apart } }, say) => {
    switch (trouble) {
      case 'disc_off_flap':
        return 'A disc would not lie on its own flap, or on the mat of it: it would hold nothing, or tear out of what lies there. Smaller discs, or nearer the tips.';
      case 'discs_overlap':
        return `The two discs would meet when it is closed: their middles come ${say(Math.max(0, apart), 'down')} apart and need ${say(limit, 'up')}. Mend that before anything is glued.`;
      case 'nothing_to_hold':
        return 'Nothing folds over the front here, so there is nothing for that closure to hold.';
      case 'covers_opening':
        return 'That would lie across the opening, and the contents could not be pulled out. Choose another closure.';
      case 'no_holes':
        return 'Nothing is punched for a lacing here. Choose “Laced” where the holder offers it.';
      case null: {
        const what =
          kind === 'band' ? 'strip' : kind === 'ribbon' ? 'ribbon, laid under its mat before that is glued' : 'cord';
        return value > 0
          ? `To close it: ${say(value, 'up')} of ${what}, the tie included.`
          : 'It closes without a cord.';
      }
    }
  },
  paper: ({ level, value, about }, say) => {
    const { blankWidth, blankHeight, width, height, other, turned, of } = about;
    if (level === 'pass') return of ? `The paper for the ${of} is large enough.` : 'Your paper is large enough.';
    const blank = `${say(blankWidth)} × ${say(blankHeight)}`;
    if (turned)
      return `A piece of ${blank} goes on your paper only when it is turned, and then the print runs sideways. Use a larger sheet.`;
    const square = isSquare({ width: blankWidth, height: blankHeight });
    return `${of ? `The sheet for the ${of}` : 'The sheet to cut'} measures ${square ? say(value) : blank}; ${of ? 'its' : 'your'} paper is ${say(width)} × ${say(height)}.${
      other === null ? ' No common paper is that large.' : ` Cut it from ${other}, or put in something smaller.`
    }`;
  },
  sheets: ({ value, limit, about: { width, height, larger } }, say) =>
    larger !== null
      ? `The ${larger} is larger than a sheet of ${say(width)} × ${say(height)}: cut it from another paper, or all pieces from one sheet.`
      : value <= limit
        ? `All its pieces come from ${value === 1 ? 'one sheet' : `${value} sheets`} of ${say(width)} × ${say(height)}, cut from edge to edge.`
        : `Its pieces take ${value} sheets of ${say(width)} × ${say(height)}: the first takes a whole one.`,
  'thin-paper': ({ value }) =>
    `Thin paper (${formatLength(mm(value), 'mm', 'exact')}): what is inside shows through, and a light score is enough. Use little glue, or it cockles.`,
  'stiff-paper': ({ value, about: { thickness } }, say) =>
    `Stiff paper (${formatLength(mm(value), 'mm', 'exact')}): score each line two or three times lightly and fold slowly, or it cracks. It stacks to ${say(thickness)}.`,
  layer: ({ value, about: { on } }, say) => {
    switch (on) {
      case 'inside':
        return `There is no room for a layer inside with ${say(value)} left free all round: leave less, or leave it out.`;
      case 'sheet':
        return 'There are no holes to make a template for: leave it out.';
      case 'flap':
        return `No layer with a border of ${say(value)} goes on the flap: it has none, a hole in it, or too little paper. Take a narrower border, or leave it out.`;
      default:
        return `No layer with a border of ${say(value)} goes on the ${on}: too little of it is plain. Take a narrower border, or leave it out.`;
    }
  },
  'print-side': ({ value, about: { panels } }) =>
    value === 0
      ? 'One-sided paper: lay the printed side down. Only that side will show.'
      : `One-sided paper: the plain side will show at the ${listed(panels, 'the ')}.`,
  'print-direction': ({ level, value, about: { panel, slanted } }) => {
    if (level === 'pass') return 'The print reads upright on the finished front.';
    return slanted
      ? `The print will run at a slant: ${Math.round(Math.abs(value) % 90)}° on the finished front, because the folds cross the sheet corner to corner.`
      : `The print will ${Math.abs(value) > 135 ? 'stand upside down' : 'lie on its side'} on the finished front (the ${panel}). Turn the blank on the sheet before you cut it.`;
  },
  'print-upside-down': ({ about: { panels } }) =>
    `With the front upright, the print stands upside down at the ${listed(panels, 'the ')}.`,
  'print-seen': ({ level, about: { wrong, slanted } }) => {
    if (level === 'pass') return 'The print reads upright wherever it is looked at, closed and open.';
    const lies = wrong.map(
      ({ name, stands, faces }) =>
        `the ${name} ${stands} (${faces.length > 3 ? `${faces.length} times` : listed(faces)})`,
    );
    const told = [
      lies.length > 0 &&
        `The print does not read upright everywhere: ${listed(lies)}. ${level === 'warn' ? 'Turn the blanks on the sheet before you cut them.' : 'Turned another way less of it would.'}`,
      slanted.length > 0 &&
        `The print of the ${listed(slanted, 'the ').replace(/^the /, '')} will run at a slant, because the folds cross the sheet corner to corner.`,
    ];
    return told.filter((sentence) => sentence !== false).join(' ');
  },
  'window-avoided': ({ level, value }) =>
    level === 'pass'
      ? 'The place to avoid lies outside the blank.'
      : `The place to avoid lies on the blank with ${Math.max(1, Math.round(value * 100))} % of it. Move the blank away from it.`,
  'narrow-part': ({ level, value, limit, about: { part } }, say) =>
    level === 'fail'
      ? `The ${part} is only ${say(value, 'down')} broad, too little for fingers to fold: make it ${say(limit, 'up')} at least.`
      : `The ${part} is ${say(value, 'down')} broad: fold it over a ruler’s edge, or make it ${say(limit, 'up')}.`,
  'close-scores': ({ value, limit, about: { part } }, say) =>
    `The two scores of the ${part} are ${say(value, 'down')} apart, and the paper between them would split: ${say(limit, 'up')} at least.`,
  'paper-left': ({ level, value, limit, about: { part } }, say) =>
    level === 'fail'
      ? `The ${part} leaves ${say(Math.max(0, value), 'down')} of paper beside it, which tears: leave ${say(limit, 'up')} at least.`
      : `The ${part} leaves ${say(value, 'down')} of paper beside it; ${say(limit, 'up')} does not tear.`,
  'glue-strip': ({ value, limit, about: { part } }, say) =>
    `The glued strip of the ${part} is ${say(value, 'down')} broad: no glue holds on less than ${say(limit, 'up')}.`,
  board: ({ level, value }) =>
    level === 'fail'
      ? `Board of ${formatLength(mm(value), 'mm', 'exact')} does not fold at a score: hinge its parts with cloth or paper, or take a thinner sheet.`
      : `Board (${formatLength(mm(value), 'mm', 'exact')}): it is better cut half through, or hinged and covered, than folded at a score.`,
  'large-blank': ({ level, limit, about: { width, height } }, say) =>
    level === 'note'
      ? `The sheet to cut measures ${say(width)} × ${say(height)}, larger than any sheet sold flat: cut it from a roll (up to ${say(limit)} long), join it, or tell your own paper’s size.`
      : `The sheet to cut measures ${say(width)} × ${say(height)}, larger than any paper sold flat or from the roll. Tell your own paper’s size, or put in something smaller.`,
  window: ({ level, value }) => {
    if (level === 'pass') return 'The marked window of the paper lies wholly on the front.';
    return value < 0.001
      ? 'The marked window of the paper does not show on the front. Move the blank over it.'
      : `${Math.round(value * 100)} % of the marked window shows on the front. Move the blank until all of it does.`;
  },
  own: ({ about: { holder, name, found } }, say) =>
    constructionNamed(holder)!.claims![name]!.words[found.kind]!(found as never, say),
  ...TOOL_WORDS,
  'tool-proof': ({ about: { fault, piece, tool } }, say) =>
    fault
      ? `The moves do not give this pattern: ${piece === null ? '' : `${piece}: `}${faultWords(fault, say)}.`
      : planTool({ kind: tool }).proof,
  'between-marks': ({ value }, say) =>
    `${say(value).replace('about', 'About')} lies between two of your ruler’s marks. Measure it, or choose finer marks.`,
  'trimmer-end': ({ value, limit }, say) =>
    `The longest cut is ${say(value)}, and your trimmer ends at ${say(limit)}. Mark both ends, and cut along a steel ruler with a knife.`,
  'ruler-short': ({ value, limit }, say) =>
    `A line of ${say(value)} is longer than your ruler of ${say(limit)}. Score half of it, move the ruler along the line, and go on.`,
  'no-punch': (finding, say) => lacking('punch', finding, say),
  'no-corner-rounder': (finding, say) => lacking('corner rounder', finding, say),
};

/** The words on a remedy's button. */
export function remedyLabel(remedy: Remedy, say: Say): string {
  switch (remedy.code) {
    case 'cure':
      return remedy.label;
    case 'other_paper':
      return `Get ${remedy.name}`;
    case 'square_blank':
      return `Cut it ${say(remedy.side)} square`;
    case 'larger':
      return `Make the ${remedy.of === 'blank' ? 'sheet' : 'contents'} ${say(remedy.to)} in the ${remedy.side}`;
    case 'from_contents':
      return 'Cut a sheet to fit';
    case 'turn_blank':
      return remedy.quarters === 2 ? 'Turn the blank round: start from the other edge' : 'Turn the blank a quarter';
    case 'turn_all':
      return 'Turn every piece upright';
    case 'back_with_mat':
      return 'Cover it with a mat';
    case 'narrower_tape':
      return `Use ${say(remedy.width)} tape there`;
    case 'wet_glue':
      return 'Use wet glue there';
    case 'move_disc':
      return `Move the other disc: ${say(remedy.to, 'up')} from its flap’s tip`;
    case 'cut_discs':
      return 'Cut both discs along one line';
    case 'smaller_discs':
      return `Take discs of ${say(remedy.to)}`;
    case 'no_closure':
      return 'Leave it open';
    case 'own_size':
      return `Use your ${say(remedy.size)} ${remedy.what}`;
    case 'finer_marks':
      return `Size it on marks of ${remedy.graduation}`;
    case 'less_room':
      return 'Leave only the least room';
    case 'turned':
      return remedy.what === 'contents'
        ? 'Put the contents in the other way round'
        : 'Take the sheet the other way round';
    case 'usual_options':
      return 'All its measures as usual';
    case 'usual_option':
      return `“${remedy.title}” as usual`;
    case 'smaller_part':
      return `Make “${remedy.title}” only ${say(remedy.to)}`;
    case 'all_from_one':
      return 'Cut all its pieces from this one sheet';
    case 'more_sheets':
      return `Take ${remedy.sheets} sheets`;
    case 'own_paper':
      return `Use your ${remedy.name}`;
    case 'other_holder':
      return `Make this instead: ${remedy.title}`;
    case 'other_sheet':
      return `Get a sheet of ${say(remedy.width, 'up')} × ${say(remedy.height, 'up')}`;
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
