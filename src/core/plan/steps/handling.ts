import { TOLERANCE } from '../../geometry';
import { paperOf, type Design } from '../design/design';
import type { Adhesive } from '../design/extras';
import { longestCut } from '../work/longest-cut';
import { STIFF, THIN } from '../design/papers';
import { CAUTION } from '../words';
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
  const trimmed = step.phase === 'cut' && kit.trimmer !== undefined;
  const [wide, high] = step.readings;
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
    ...(step.phase === 'cut' && step.id === 1 ? { ifRough: SQUARING } : {}),
    ...(reaches ? { caution: CAUTION.trimmer } : {}),
  };
}

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
      // A piece laid down or a lid set on is part of the assembly, but nothing of it is creased.
      if (!step.score) return '';
      return step.picture.kind === 'standing'
        ? 'Fold it right over once, let it come back and leave the crease soft: a burnished corner does not stand.'
        : caliper >= STIFF
          ? 'Slowly, along the score; burnish through scrap paper, or the fold shines and cracks.'
          : 'Along the score, without forcing it; burnish through scrap paper so that it does not shine.';
    case 'glue': {
      if (!step.glue) return '';
      const own = glue.get(step.glue) ?? adhesive.all;
      return {
        'wet-glue':
          'Thin, and out to the rim. Then wait: ten minutes under a book, or as the bottle says, before it is folded on.',
        tape: 'It holds at once: line up one end, then lay the rest down.',
        'tape-runner': 'It holds at once: line up one end, then lay the rest down.',
        'hot-glue': 'It sets while you look: put it together within ten seconds and hold it for thirty.',
        'hook-dot': 'Press for half a minute; it holds best after a day.',
      }[own];
    }
    case 'insert':
      return 'Only once the glue is dry, or it takes hold of what goes in.';
    case 'trim':
      return 'Cut on the line, and stop where the lines meet.';
    default:
      return '';
  }
}
