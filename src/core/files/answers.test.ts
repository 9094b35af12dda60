/**
 * Planning answers, it never throws: whatever can be written in a document has a plan or a reason, and everything a
 * screen asks of a plan while it draws has an answer. One design that threw would take every screen it stands on.
 */
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { anyDesign } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { blanksOf, stepsOf } from '../making';
import { stillScene } from '../scene';
import { checkSentence, checksOf, remedyLabel } from '../checks';
import { closurePlan, glueAdvice, planFor, type Plan } from '../plan';
import { figureText, keyFigures, momentsOf, pictureOf, printMap, seenAt, windowOnFront } from '../looks';
import { planDocument } from '../document';
import { readDesign, type DesignInput } from '../design';
import { sayer } from '../length';
import { sheetNow } from '../rescue';
import { suggest } from '../choosing';
import { allSheets, sheetSvg } from '.';

/** Asks all that screens, files and scripts ask; gives the plan, or null for a document that is refused. */
function everythingOf(input: DesignInput): Plan | null {
  const read = readDesign(input);
  if (!read.ok) {
    for (const { message } of read.issues) expect(message).not.toBe('');
    return null;
  }
  const { design } = read;
  const say = sayer('in', design.graduation);
  const plan = planFor(design);
  for (const check of checksOf(plan)) {
    expect(checkSentence(check, say)).toMatch(/[.)]$/u);
    for (const remedy of check.remedies) expect(remedyLabel(remedy, say)).not.toBe('');
  }
  planDocument(plan, say);
  const { made } = plan;
  if (!made) return plan;
  const steps = stepsOf(plan, say);
  for (const step of steps) sheetNow(made, plan.design, steps, step, say);
  pictureOf(made);
  for (const figure of keyFigures(made, design)) figureText(figure, say);
  printMap(made, design);
  windowOnFront(made, design);
  closurePlan(made, design);
  glueAdvice(made, design);
  blanksOf(made, design);
  sheetSvg(allSheets(made, design), 'x');
  for (const moment of momentsOf(made, design)) {
    const { paper, contents } = seenAt(moment, 0.45);
    stillScene({ ...moment.after, leaves: [...paper, ...contents] });
  }
  return plan;
}

test.each(CONSTRUCTIONS.map((construction) => [construction.name, construction] as const))(
  '%s answers whatever it is asked',
  (_, construction) => {
    fc.assert(
      fc.property(anyDesign(construction), (input) => void everythingOf(input)),
      runs(10),
    );
  },
);

/** Designs that once threw while a screen was drawing. */
const ONCE_THREW: readonly (readonly [string, object])[] = [
  ['a storage pocket for something 3/4 in wide', { construction: 'storage-pocket', contents: ['3/4 in', '4 in'] }],
  [
    'a storage pocket whose patch shrinks past nothing',
    { construction: 'storage-pocket', contents: ['1/2 in', '4 in'] },
  ],
  ['a mat on a flap cut blunt, at its defaults', { construction: 'flap-mat', contents: ['4 1/4 in', '2 in'] }],
  ['a mat on a small flap', { construction: 'flap-mat', contents: ['1 1/2 in', '5/8 in'] }],
  ['a coin envelope with a small flap', { construction: 'coin-envelope', contents: ['5 mm', '1 in'] }],
  ['a seam envelope with a narrow flap', { construction: 'seam-envelope', contents: ['5 mm', '43 mm'] }],
  [
    'a band joined from strips that reach no further than its front',
    {
      construction: 'belly-band',
      contents: [50, 5.4],
      options: { lap: 0.87, sheetLength: 55 },
    },
  ],
  [
    'a tab envelope without a drop and with next to no closing flap',
    {
      construction: 'tab-envelope',
      blank: { width: 25.4, height: 257.175 },
      options: { frontDrop: 0, closingFlap: 1.3 },
    },
  ],
  [
    'a diagonal box hardly deep',
    {
      construction: 'diagonal-box',
      contents: [3.2, 5],
      tool: { kind: 'ruler', notch: 11.4 },
      options: { depth: 1.9, tieHole: 0.03 },
    },
  ],
  [
    'flaps trimmed to where nothing of them is left',
    { construction: 'diagonal-envelope', contents: [519.4, 3.1], options: { flaps: 'trimmed', corner: 0 } },
  ],
];
test.each(ONCE_THREW)('%s has an answer', (_, { contents, ...rest }: { contents?: readonly unknown[] }) => {
  const [width, height] = contents ?? [];
  const input = { version: 1, ...(contents ? { contents: { width, height } } : {}), ...rest } as DesignInput;
  expect(everythingOf(input)).not.toBeNull();
});

describe('what shrinks to nothing is refused, with the size that would do', () => {
  const refused = (input: object): { sentence: string; change: object; label: string } => {
    const read = readDesign({ version: 1, ...input });
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const say = sayer('in', '1/8 in');
    const [check] = checksOf(planFor(read.design));
    const [remedy] = check!.remedies;
    return { sentence: checkSentence(check!, say), change: remedy!.change, label: remedyLabel(remedy!, say) };
  };

  test('a patch too narrow for its own tabs', () => {
    const { sentence, label, change } = refused({
      construction: 'storage-pocket',
      contents: { width: '1/2 in', height: '4 in' },
      options: { sideScore: '1/4 in', sideFlap: '3/4 in' },
    });
    expect(sentence).toBe(
      'At this size nothing is left of the bottom tab of the front pocket. It takes contents of 3/4 in in the width at least.',
    );
    expect(label).toBe('Make the contents 3/4 in in the width');
    const options = { sideScore: '1/4 in', sideFlap: '3/4 in' };
    const cured = readDesign({ version: 1, construction: 'storage-pocket', options, ...change });
    expect(cured.ok && planFor(cured.design).made).toBeTruthy();
  });

  test('contents too small to fold anything round', () => {
    const { sentence, label } = refused({ construction: 'sleeve', contents: { width: '1 mm', height: '3 in' } });
    expect(sentence).toMatch(/^Contents of .* in the width are too small to fold paper round/);
    expect(label).toBe('Make the contents 1/8 in in the width');
  });
});

test.each(CONSTRUCTIONS.map(({ name }) => name))('%s: a size told to be enough is enough', (construction) => {
  for (const width of [1e-5, 0.3, 2.9]) {
    const input = { version: 1, construction, contents: { width, height: 100 } };
    const read = readDesign(input);
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const plan = planFor(read.design);
    expect(plan.made).toBeNull();
    const [check] = checksOf(plan);
    const grown = check!.remedies.find(({ change }) => change.contents);
    const cured = readDesign({ ...input, ...grown!.change });
    expect([width, cured.ok && planFor(cured.design).made !== null]).toEqual([width, true]);
  }
});

test('the chooser answers whatever it is asked', () => {
  fc.assert(
    fc.property(anyDesign(CONSTRUCTIONS[0]!), ({ contents, blank, tool, graduation }) => {
      const question = { ...(contents ? { contents } : {}), ...(blank ? { blank } : {}), tool, graduation };
      for (const { obstacle } of suggest(question)) if (obstacle) checkSentence(obstacle, sayer('mm', '1 mm'));
    }),
    runs(5),
  );
});
