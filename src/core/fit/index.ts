/** Fit: `fitOf(built, folded, card)` says what room a card has in an envelope that was really folded. */
export { fitOf, insideOf, largestContents, seatIn, slotsOf, thickest, turned, type Fit, type Slots } from './fit';
export * from './box';
export {
  contentsKind,
  roomFromFits,
  wantedRoom,
  type ContentsKind,
  type FitSeen,
  type Fitted,
  type RoomAdvice,
} from './fits';
