import { saidOut } from './spoken';

test.each([
  ['the sheet’s left end at 2 5/8 in. Punch.', 'the sheet’s left end at 2 and 5 eighths inches. Punch.'],
  ['down the grooves at 7/8 in and 4 in.', 'down the grooves at 7 eighths of an inch and 4 inches.'],
  ['Cut the lid: 5 in × 6 1/4 in.', 'Cut the lid: 5 inches by 6 and 1 quarter inches.'],
  ['at 1/2 in, 3 in and 4 1/2 in', 'at 1 half of an inch, 3 inches and 4 and 1 half inches'],
  // The word stays a word.
  ['Lay edge 1 in the board, edge 4 on the left', 'Lay edge 1 in the board, edge 4 on the left'],
  ['Fold the hem in on score 4, crease', 'Fold the hem in on score 4, crease'],
  ['on scores 1 and 2 in the order told', 'on scores 1 and 2 in the order told'],
  ['Cut 150 mm × 0.5 mm', 'Cut 150 millimetres by 0.5 millimetres'],
  ['2.125 in wide', '2.125 inches wide'],
])('%s', (text, said) => {
  expect(saidOut(text)).toBe(said);
});
