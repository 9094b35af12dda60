import { NO_PAPER, type Calipers, type Cavity, type Folded } from '../fold';
import { boxHold } from './box';
import type { OpenCavity } from './hold';
import { pocketHold } from './pocket';

/**
 * Opens a cavity of a folded holder. Throws when what it says of itself is not in the folded thing.
 * @param caliper how thick the paper of each piece is: its own layers take of the room
 */
export const holdOf = (folded: Folded, cavity: Cavity, caliper: Calipers = NO_PAPER): OpenCavity =>
  cavity.kind === 'box' ? boxHold(folded, cavity, caliper) : pocketHold(folded, cavity, caliper);
