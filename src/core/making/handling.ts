import { TOLERANCE } from '../geometry';
import { near, type Mm } from '../length';
import { paperOf, type Design, type Adhesive, STIFF, THIN } from '../design';
import { longestCut } from '../cutting/longest-cut';
import { CAUTION } from './words';
import type { IfRough, Step } from './step';

/** How to get a straight edge to measure from. */
const SQUARING: IfRough = {
  text: 'Torn, or off a roll? Flatten it first: roll it the other way, leave it under books, or iron it from the back through a sheet of paper. Then cut one edge straight along a ruler, cut a second edge square to it with a set square, and measure everything from these two.',
  caution: CAUTION.iron,
};

/** The hand's part of each step, told from the paper and from what each glue area is held with. */
export function handled(step: Step, design: Design, glue: ReadonlyMap<string, Adhesive>): Step {
  const how = howOf(step, design, glue);
  const { kit } = design;
  const press = isPressed(step, design);
  const holds = step.action === 'glue' && (glue.get(step.glue ?? step.joins ?? '') ?? design.adhesive.all);
  const trimmed = step.phase === 'cut' && kit.trimmer !== undefined;
  const wide = step.readings.find(({ what }) => what === 'wide' || what === 'each way');
  const high = step.readings.find(({ what }) => what === 'high');
  const reaches =
    trimmed && wide !== undefined
      ? longestCut({ width: wide.at, height: (high ?? wide).at }, paperOf(design, step.piece)) <=
        kit.trimmer! + TOLERANCE.length
      : false;
  return {
    ...step,
    ...(how || (trimmed && !reaches)
      ? {
          how: [
            how,
            trimmed && !reaches ? 'Your trimmer ends before that: mark both ends, cut along a steel ruler.' : '',
          ]
            .filter(Boolean)
            .join(' '),
        }
      : {}),
    ...(step.id === 1 ? { ifRough: SQUARING } : {}),
    ...(reaches ? { caution: CAUTION.trimmer } : {}),
    ...(press ? { caution: CAUTION.punch } : {}),
    ...(holds === 'hot-glue'
      ? { caution: [step.caution, CAUTION.hotGlue].filter((one, i, all) => one && all.indexOf(one) === i).join(' ') }
      : {}),
  };
}

/** True for corners that a corner rounder at hand makes. */
const isPressed = ({ rounds }: Step, { kit }: Design): boolean =>
  rounds !== undefined && (kit.rounders ?? []).some((radius) => near(radius, rounds, TOLERANCE.agreed));

function howOf(step: Step, design: Design, glue: ReadonlyMap<string, Adhesive>): string {
  const { adhesive } = design;
  const { caliper } = paperOf(design, step.piece);
  switch (step.action) {
    case 'cut':
      return step.phase === 'cut' ? 'Measure from a straight edge and a square corner.' : '';
    case 'mark':
      return step.readings.length > 0 ? 'A pencil dot on the very edge is enough.' : '';
    case 'score':
      return caliper <= THIN
        ? 'Once, lightly: thin paper takes the line at a touch.'
        : caliper >= STIFF
          ? 'Three or four light passes; one hard pass cuts stiff paper.'
          : 'Two or three light passes, never so hard that it cuts.';
    case 'fold':
    case 'close': {
      const joining = step.joins ? JOIN[glue.get(step.joins) ?? adhesive.all] : '';
      if (step.action === 'close' && step.score && step.picture.kind === 'folded')
        return [joining, 'If it goes by post, local postal rules decide what may be mailed.'].filter(Boolean).join(' ');
      // A piece laid down or a lid set on is part of the assembly, but nothing of it is creased.
      if (!step.score || (step.action === 'close' && step.picture.kind !== 'standing')) return joining;
      return [creased(step, caliper), joining].filter(Boolean).join(' ');
    }
    case 'glue':
      if (step.joins) return JOIN[glue.get(step.joins) ?? adhesive.all];
      return step.glue ? APPLY[glue.get(step.glue) ?? adhesive.all] : `${APPLY[adhesive.all]} ${JOIN[adhesive.all]}`;
    case 'insert':
      return step.joins ? JOIN[glue.get(step.joins) ?? adhesive.all] : '';
    case 'trim':
      if (step.readings.length > 0) return 'Mark both ends of the cut; with a trimmer, all at one setting.';
      if (isPressed(step, design)) return 'Push the corner right into the corner rounder, and press once.';
      return step.rounds === undefined
        ? 'Cut on the line, and stop where the lines meet.'
        : 'Draw it round a coin or a lid, and cut on the line.';
    default:
      return '';
  }
}

const creased = ({ picture }: Step, caliper: Mm): string =>
  picture.kind === 'standing'
    ? 'Fold it right over once, let it come back and leave the crease soft: a burnished corner does not stand.'
    : caliper >= STIFF
      ? 'Slowly, along the score; burnish through scrap paper, or the fold shines and cracks.'
      : 'Along the score, without forcing it; burnish through scrap paper so that it does not shine.';

/** How each adhesive is put on. Common practice, no source. */
const APPLY: Readonly<Record<Adhesive, string>> = {
  'wet-glue': 'Thin, and out to the rim; join it while it is wet.',
  tape: 'Rub it down, and peel its backing off only when you join it.',
  'tape-runner': 'One pass along each strip, lifted off at its end.',
  'hot-glue': 'A thin bead, and no more than you can join within ten seconds.',
  'hook-dot': 'Both halves together: stick one on, and bare the other only when you join it.',
};
/** How what is glued is brought together, and how long it can be shifted. Common practice, no source. */
const JOIN: Readonly<Record<Adhesive, string>> = {
  'wet-glue': 'You can shift it for about a minute; then press it from the middle out and hold until it grips.',
  tape: 'It holds at once and cannot be shifted: line up one end, then lay the rest down.',
  'tape-runner': 'It holds at once and cannot be shifted: line up one end, then lay the rest down.',
  'hot-glue': 'Within ten seconds, and hold it for thirty: then it is set.',
  'hook-dot': 'Press for half a minute; it holds best after a day.',
};
/** What has to dry before it is strained; what holds at once does not wait. */
const WAIT: Partial<Record<Adhesive, { readonly minutes: number; readonly text: string }>> = {
  'wet-glue': { minutes: 10, text: 'for ten minutes, or as the bottle says' },
};

/** Something pulls at what was glued, or keeps it from drying flat. */
const strains = (step: Step): boolean =>
  (step.action === 'insert' && !step.joins) ||
  (step.action === 'close' && !step.joins) ||
  (step.action === 'punch' && step.phase === 'fold');

/**
 * Steps with their waiting: told once for all that dries together, with the last of it that is joined, and before the
 * first step that strains it.
 */
export function withWaits(steps: readonly Step[], holds: (glue: string) => Adhesive): Step[] {
  const told = [...steps];
  let last: { readonly at: number; readonly wait: NonNullable<(typeof WAIT)[Adhesive]> } | null = null;
  const tell = (before: string): void => {
    if (!last) return;
    const step = told[last.at]!;
    // What stands cannot lie under a book.
    const pressed = step.picture.kind !== 'standing';
    const { minutes, text } = last.wait;
    told[last.at] = {
      ...step,
      how: [step.how, `Then let it dry${pressed ? ' under a book' : ''} ${text}, before ${before}.`]
        .filter(Boolean)
        .join(' '),
      dries: { minutes, pressed },
    };
    last = null;
  };
  steps.forEach((step, at) => {
    if (strains(step)) tell('the next step');
    const wait = step.joins ? WAIT[holds(step.joins)] : undefined;
    if (wait) last = { at, wait };
  });
  tell('it is used');
  return told;
}
