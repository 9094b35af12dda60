import type { Say } from '../length';
import { checksOf } from '../checks';
import { printMap } from '../looks';
import type { Plan } from '../plan';

/** What a plan comes to, to weigh one choice against another: room, thickness, a lid's play, what shows plain. */
export function consequenceOf(plan: Plan, say: Say): string {
  const { made, design } = plan;
  if (!made) return 'It cannot be made so here.';
  const { width, height, depth } = made.inside;
  const [hold] = made.holds;
  if (!hold) return '';
  if (hold.limits.includes('depth'))
    return `Inside ${say(width)} × ${say(height)} × ${say(depth)}.${lidPlay(plan, say)}`;
  const plain = printMap(made, design).some(({ side }) => side === 'inside');
  return `Inside ${say(width)} × ${say(height)}, ${say(made.finished.thickness)} thick${plain ? ', some of the paper’s inside shows' : ''}.`;
}

function lidPlay(plan: Plan, say: Say): string {
  const checks = checksOf(plan);
  const across = checks.find((check) => check.kind === 'lid-width');
  const along = checks.find((check) => check.kind === 'lid-height');
  if (!across || !along) return '';
  const way = ({ value, level, about }: NonNullable<typeof across | typeof along>, name: string): string =>
    about.exact
      ? `grips in the ${name}`
      : level === 'fail' || value < 0
        ? `is ${say(-value, 'up')} too tight in the ${name}`
        : `has ${say(value)} of play in the ${name}`;
  return ` The lid ${way(across, 'width')} and ${way(along, 'height')}.`;
}
