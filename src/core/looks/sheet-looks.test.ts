/** Paper as it looks, on every holder; which way up a print stands is asked of the fold by another way (`printMap`). */
import { runs } from '../../../tests/helpers/runs';
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import type { Affine } from '../geometry';
import { constructionOptions } from '../design';
import { faceSchema } from '../papers';
import { bookOf, type Made } from '../plan';
import { spaceScene, type Scene, type SpaceScene } from '../scene';
import { momentsOf, seenAt } from './moments';
import { pictureOf, stepScene, takingIn } from './picture';
import { printMap } from './print';
import { asMade } from './sheet-looks';
import { sheetPicture } from './sheet-picture';
import { stepsOf } from '../making';

const planned = (construction: string, paper: object = {}) =>
  planOf({
    version: 1,
    construction,
    contents: { width: '3 in', height: '4 in', thickness: '1/8 in' },
    paper,
  });

/** Paper of a scene that nobody said the looks of. */
const unseen = ({ faces }: Scene | SpaceScene): string[] =>
  faces.flatMap(({ id, stuff, paper }) => ((stuff === 'paper' || stuff === 'stock') && !paper ? [id] : []));

/** How a map turns what points up, degrees clockwise from the viewer’s up, and whether it is read the right way round. */
function stands([a, b, c, d]: Affine): { readonly turn: number; readonly mirrored: boolean } {
  // A tile’s own up is towards smaller y.
  const [x, y] = [-c, -d];
  return { turn: (Math.atan2(x, y) * 180) / Math.PI, mirrored: a * d - b * c > 0 };
}

describe.each(CONSTRUCTIONS.map(({ name }) => [name] as const))('%s', (construction) => {
  const { made: plan, design } = planned(construction, { front: { print: 'rowan' } });
  const made = plan as Made;

  test('no picture has a face of paper without its paper', () => {
    for (const { piece } of made.pieces)
      expect(
        unseen(
          sheetPicture(
            made,
            made.pieces.find((one) => one.piece === piece)!,
          ),
        ),
      ).toEqual([]);
    expect(unseen(pictureOf(made))).toEqual([]);
    expect(unseen(takingIn(made, design.contents ?? made.largest))).toEqual([]);
    for (const { picture } of stepsOf({ made, design, refusal: null }, String))
      expect(unseen(stepScene(made, design, picture))).toEqual([]);
    for (const moment of momentsOf(made, design)) {
      const { paper } = seenAt(moment, 1);
      expect(unseen(asMade(made, spaceScene({ ...moment.after, leaves: paper })))).toEqual([]);
    }
  });

  test('the print stands on the finished front as the folds turned it, and is never mirrored', () => {
    if (made.folded.standing) return expect(unseen(pictureOf(made))).toEqual([]);
    // A book is looked at page by page, each turned to be read: its pile is asked only whether it is mirrored.
    const shown = bookOf(made) ? [] : printMap(made, made.papers).filter(({ face }) => face === 'front');
    const { faces } = pictureOf(made, made.built.front);
    const seen = faces.filter(({ rings, stuff }) => rings.length > 0 && stuff === 'paper');
    expect(seen.length).toBeGreaterThan(0);
    for (const face of seen) {
      const { lies } = face.paper![face.side];
      const [a, b, c, d] = face.map;
      const [e, f, g, h] = lies;
      const { turn, mirrored } = stands([a * e + c * f, b * e + d * f, a * g + c * h, b * g + d * h, 0, 0]);
      expect([face.id, mirrored]).toEqual([face.id, false]);
      const told = shown.find(({ panel, side }) => panel === face.panel && side === face.side);
      if (told) expect(Math.cos(((turn - told.turn) * Math.PI) / 180)).toBeCloseTo(1, 6);
    }
    // Most of what shows is asked both ways.
    expect(shown.every(({ panel }) => seen.some((face) => face.panel === panel))).toBe(true);
  });
});

test('a face never changes a size', () => {
  for (const { name } of CONSTRUCTIONS.slice(0, Math.max(4, runs(26).numRuns))) {
    const [plain, printed] = [
      planned(name),
      planned(name, { front: { print: 'clerk', turn: 1 }, back: { colour: '#112233' } }),
    ];
    expect(printed.made!.pieces.map(({ piece }) => piece)).toEqual(plain.made!.pieces.map(({ piece }) => piece));
    expect(printed.made!.inside).toEqual(plain.made!.inside);
    expect(constructionOptions(name).length).toBeGreaterThan(0);
  }
});

test('a layer is of its own paper, and so is a single piece', () => {
  const { made } = planOf({
    version: 1,
    construction: 'card-holder',
    contents: { width: '3 in', height: '4 in' },
    paper: { front: { colour: '#27345a' } },
    layers: [{ on: 'front', paper: { front: { colour: '#aa3311' } } }],
  });
  const layer = made!.layers[0]!.piece.name;
  const scene = asMade(made!, {
    ...pictureOf(made!),
    marks: [{ kind: 'area', of: 'laid', id: layer, rings: [] }],
  });
  expect(scene.marks).toMatchObject([{ paper: { outside: { face: { colour: '#aa3311' } } } }]);
  expect(scene.faces.find(({ stuff }) => stuff === 'paper')!.paper!.outside.face).toEqual(
    faceSchema.parse({ colour: '#27345a' }),
  );
});
