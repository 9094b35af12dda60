/**
 * A tool is one file and one line: here a machine that cuts from a drawing is added to the list, and everything that
 * tools have must follow: the design's schema, the owner's card, programmes and their proof, steps, words, a picture.
 */
jest.mock('../../src/core/tools/list', () => {
  const { TOOLS } = jest.requireActual<typeof import('../../src/core/tools/list')>('../../src/core/tools/list');
  const { dieCutter } = jest.requireActual<typeof import('./die-cutter')>('./die-cutter');
  return { TOOLS: [...TOOLS, dieCutter] };
});
import { planOf } from '../helpers/designs';
import { said } from '../helpers/faults';
import { CONSTRUCTIONS } from '../../src/core/constructions';
import { jsonSchema } from '../../src/core/files';
import { inches, mm, sayer } from '../../src/core/length';
import { checkSentence, checksOf } from '../../src/core/checks';
import { planDocument } from '../../src/core/document';
import { stepsOf } from '../../src/core/making';
import type { DesignInput } from '../../src/core/design';
import type { Plan } from '../../src/core/plan';
import {
  boardsOf,
  freshTool,
  moveWords,
  OFFERED,
  planTool,
  toolOf,
  toolSchema,
  wholeSheet,
} from '../../src/core/tools';

const say = sayer('in', '1/8 in');
const KIND = 'die-cutter' as never;
const plan = (construction: string, tool: object = {}, contents: object = {}): Plan =>
  planOf({
    version: 1,
    construction,
    contents: { width: '4 in', height: '4 1/2 in', ...contents },
    tool: { kind: KIND, bed: '24 in', ...tool },
  } as DesignInput);

test.each(CONSTRUCTIONS.map(({ name }) => [name]))(
  '%s: made by the machine in one go, and that gives the pattern',
  (name) => {
    const made = plan(name);
    for (const { programme, toolFaults } of made.made!.pieces) {
      expect(said(toolFaults)).toEqual([]);
      expect(programme.moves.map((move) => move.do)).toEqual(['die']);
    }
    const sentences = checksOf(made).map((check) => checkSentence(check, say));
    expect(sentences).toContain('The machine, tried in the computer, makes these very scores and cuts.');
    const flat = stepsOf(made, say).filter(({ phase }) => phase === 'flat' && made.made!.pieces.length > 0);
    // Pieces alike are laid in one after the other, in one step.
    const laid = flat.filter(({ text }) => text.includes('machine’s mat'));
    expect(laid.flatMap(({ piece, alike = [] }) => [piece, ...alike])).toHaveLength(made.made!.pieces.length);
    expect(flat.every(({ text }) => !text.includes('ruler'))).toBe(true);
    expect(planDocument(made, say).pieces).toHaveLength(made.made!.pieces.length);
  },
);

test('a machine whose scores drift does not give the pattern, and a sheet too wide is told', () => {
  const off = plan('seam-envelope', { drift: '1/16 in' });
  expect(said(off.made!.pieces[0].toolFaults)[0]).toBe('score 1 of the pattern was not made');
  const wide = plan('seam-envelope', { bed: '5 in' });
  expect(said(wide.made!.pieces[0].toolFaults)[0]).toMatch(/^a sheet of .* does not go into a machine of 127 mm$/);
  const [{ piece }] = wide.made!.pieces;
  const told = checksOf(wide).find(({ kind }) => (kind as string) === 'bed-end')!;
  expect(told.level).toBe('warn');
  expect(checkSentence(told, say)).toBe(
    `The sheet is ${say(piece.blank.width)} wide, and the machine takes 5 in. Turn it, or cut it by hand.`,
  );
});

test('it stands among the tools: in the schema, on a card of its own, on the table', () => {
  expect(toolSchema.safeParse({ kind: KIND }).data).toEqual({
    kind: 'die-cutter',
    bed: inches(12),
    drift: 0,
    notch: inches(3 / 4),
  });
  expect(JSON.stringify(jsonSchema())).toContain('The widest sheet the machine takes.');
  expect(toolSchema.safeParse({ kind: 'loom' }).error!.issues[0]!.message).toBe(
    'The tool is one of "envelope-board", "scoring-board", "edge-board", "ruler" or "die-cutter", named by its kind.',
  );
  expect(OFFERED.map(({ label }) => label)).toContain('A die-cutting machine');
  const own = freshTool(KIND, 'My machine', 'm1');
  expect(own).toMatchObject({ bed: inches(12), drift: 0, out: true });
  expect(boardsOf([own])).toEqual([{ own, tool: toolOf(own) }]);
  const made = plan('seam-envelope');
  const [{ piece, programme }] = made.made!.pieces;
  const { tool } = made.design;
  expect(moveWords(programme.moves[0]!, say)).toBe('let the machine score and cut.');
  expect(planTool(tool).under!(tool, programme.moves, { wide: 100, deep: mm(80) })).toMatchObject({
    box: { right: inches(24) },
  });
  expect(wholeSheet(piece.blank).paper).toHaveLength(1);
});
