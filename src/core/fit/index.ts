/** Fit: `holdOf(folded, cavity).fit(card)` says what room a card has in a holder that was really folded. */
export type { Fit, OpenCavity } from './hold';
export { holdOf } from './hold-of';
export { roomAt, seatIn, alongContents } from './pocket';
export {
  contentsKind,
  FELT,
  roomFromFits,
  wantedRoom,
  type ContentsKind,
  type FitSeen,
  type Fitted,
  type RoomAdvice,
} from './fits';
