import { planOf } from '../../../tests/helpers/designs';
import { said } from '../../../tests/helpers/faults';
import { inches, mm } from '../length';
import { COMMON_BOARD, differences, simulate, type Move } from '.';

const card = (fields: object = {}) =>
  planOf({ version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' }, ...fields })
    .made!.pieces[0];

test('the board’s moves go round the sheet: place, punch, score, turn', () => {
  const { programme } = card();
  expect(programme.moves.map((m) => m.do).slice(0, 8)).toEqual([
    'place',
    'punch',
    'score',
    'turn',
    'place',
    'punch',
    'score',
    'turn',
  ]);
  expect(programme.moves.filter((m) => m.do === 'place').map((m) => m.by)).toEqual([
    'ruler',
    'pointer',
    'pointer',
    'pointer',
  ]);
  expect(programme.marks.map((m) => [m.edge, m.at, m.for, m.reference])).toEqual(
    [2.625, 3.375, 2.625, 3.375].map((at, i) => [i + 1, expect.closeTo(inches(at), 6), 'notch', 'board']),
  );
});

test('by hand each edge’s first mark is joined to the next edge’s second mark', () => {
  const { programme } = card({ tool: { kind: 'ruler' } });
  const marks = [1, 2, 3, 4].map((edge) => programme.marks.filter((m) => m.edge === edge).map((m) => m.at / 25.4));
  expect(marks).toEqual(
    [
      [2.25, 3],
      [3, 3.75],
      [2.25, 3],
      [3, 3.75],
    ].map((pair) => pair.map((at) => expect.closeTo(at, 6))),
  );
  const joins = programme.moves.filter((m) => m.do === 'join');
  expect(joins).toHaveLength(4);
  for (const { from, to } of joins) {
    const [first, second] = to.edge === (from.edge % 4) + 1 ? [from, to] : [to, from];
    expect(second.edge).toBe((first.edge % 4) + 1);
    expect(first.at / 25.4).toBeCloseTo(marks[first.edge - 1]![0]!, 6);
    expect(second.at / 25.4).toBeCloseTo(marks[second.edge - 1]![1]!, 6);
  }
});

describe('the simulators know their tool, not the pattern', () => {
  const { piece, programme } = card();
  const { blank } = piece;
  const run = (moves: readonly Move[], tool = COMMON_BOARD) => said(differences(simulate(blank, tool, moves), piece));

  test('the programme gives the pattern; on a board with another notch or offset it does not', () => {
    expect(run(programme.moves)).toEqual([]);
    expect(run(programme.moves, { ...COMMON_BOARD, notch: inches(0.8) })).not.toEqual([]);
    expect(run(programme.moves, { ...COMMON_BOARD, offset: mm(1) })).not.toEqual([]);
  });

  test('a forgotten turn, a setting past the ruler and a missing mark are faults', () => {
    expect(run(programme.moves.filter((m, i) => m.do !== 'turn' || i > 5))[0]).toContain('is not near');
    expect(run([{ do: 'place', edge: 1, by: 'ruler', at: inches(5.5) }])[0]).toContain('ruler ends before');
    expect(run([{ do: 'place', edge: 1, by: 'mark', at: inches(2) }])[0]).toContain('has no mark');
    expect(run([{ do: 'punch' }])[0]).toContain('does not lie in the board');
    expect(run([{ do: 'place', edge: 1, by: 'pointer', at: mm(1) }])[0]).toContain('nothing to meet');
  });

  test('a groove that ends short leaves the pointer nothing to meet, unless the score is carried on', () => {
    const short = { ...COMMON_BOARD, grooveEnd: inches(3) };
    expect(run(programme.moves, short).join()).toContain('does not reach the near edge');
    expect(run(card({ tool: short }).programme.moves, short)).toEqual([]);
  });

  test('by hand: lines need their marks, notches need their lines', () => {
    const hand = card({ tool: { kind: 'ruler' } });
    const tool = { kind: 'ruler', notch: inches(0.75) } as const;
    const without = (kind: Move['do']) =>
      said(
        simulate(
          blank,
          tool,
          hand.programme.moves.filter((m) => m.do !== kind),
        ).faults,
      );
    expect(without('mark')[0]).toContain('lacks a mark');
    expect(without('join')[0]).toContain('no two scores meet');
    expect(said(simulate(blank, tool, [{ do: 'place', edge: 1, by: 'ruler', at: mm(10) }]).faults)).toEqual([
      'there is no envelope board on the table to lay the sheet in',
    ]);
  });
});

describe('straight scores', () => {
  const seam = (fields: object = {}) =>
    planOf({
      version: 1,
      construction: 'seam-envelope',
      blank: { width: '8 1/2 in', height: '11 in' },
      tool: { kind: 'scoring-board' },
      ...fields,
    }).made!.pieces[0];

  test('on a scoring board: one edge to the fence, groove by groove, turned once', () => {
    const { programme } = seam();
    expect(
      programme.moves
        .filter((m) => m.do === 'groove' || m.do === 'turn')
        .map((m) => (m.do === 'groove' ? [m.edge, m.at / 25.4] : m.do)),
    ).toEqual([
      [1, expect.closeTo(2.5, 6)],
      [1, expect.closeTo(6.5, 6)],
      'turn',
      [2, expect.closeTo(1.5, 6)],
      [2, expect.closeTo(10.5, 6)],
      'turn',
    ]);
  });

  test('what lies past the board’s end is measured from the other side', () => {
    const { programme, toolFaults } = seam({ tool: { kind: 'scoring-board', length: '10 in' } });
    expect(
      programme.marks.filter((m) => m.for === 'score').map((m) => [m.edge, m.at / 25.4, m.reference]),
    ).toContainEqual([4, expect.closeTo(0.5, 6), 'fence']);
    expect(toolFaults).toEqual([]);
  });

  test('a board that scores near an edge makes the bottom of a seam envelope, its notch and offset its own', () => {
    for (const offset of [0, 0.5]) {
      const { programme, toolFaults, piece } = seam({
        tool: { kind: 'edge-board', offset },
        graduation: 'exact',
        options: { bottomFlap: 12.7 + offset },
      });
      expect(toolFaults).toEqual([]);
      expect(programme.moves.filter((m) => m.do === 'edge-score')).toEqual([expect.objectContaining({ edge: 3 })]);
      expect(programme.moves.filter((m) => m.do === 'relief')).toHaveLength(2);
      const tool = {
        kind: 'edge-board',
        scoreFrom: inches(0.5),
        relief: inches(0.25),
        offset: mm(offset),
        notch: inches(0.75),
      } as const;
      expect(differences(simulate(piece.blank, { ...tool, relief: inches(0.3) }, programme.moves), piece)).not.toEqual(
        [],
      );
      expect(
        differences(simulate(piece.blank, { ...tool, offset: mm(offset + 1) }, programme.moves), piece),
      ).not.toEqual([]);
    }
  });

  test('the simulated scoring board knows its length, its fence and what is near', () => {
    const { piece, programme } = seam();
    const run = (moves: readonly Move[], length = inches(12)) =>
      said(differences(simulate(piece.blank, { kind: 'scoring-board', length, notch: inches(0.75) }, moves), piece));
    expect(run(programme.moves)).toEqual([]);
    expect(run(programme.moves, inches(8))[0]).toContain('ends before');
    expect(run(programme.moves.filter((m) => m.do !== 'turn'))[0]).toContain('is not near');
    expect(run(programme.moves.filter((m) => m.do !== 'mark')).join()).toContain('lacks a mark');
    expect(run(programme.moves.filter((m) => m.do !== 'cut')).join()).toContain('was not made');
    expect(said(simulate(piece.blank, COMMON_BOARD, programme.moves).faults)[0]).toContain('no scoring board');
  });

  test('holes are marked and punched; one that is not is missed', () => {
    const { piece, programme } = planOf({
      version: 1,
      construction: 'storage-pocket',
      contents: { width: '3 3/4 in', height: '5 in' },
      tool: { kind: 'scoring-board' },
    }).made!.pieces[1]!;
    expect(piece.holes).toHaveLength(6);
    const tool = { kind: 'scoring-board', length: inches(12), notch: inches(0.75) } as const;
    const moves = programme.moves.filter((m, i) => m.do !== 'hole' || i < programme.moves.length - 1);
    expect(said(differences(simulate(piece.blank, tool, moves), piece))).toEqual([
      'hole 6 of the pattern was not made',
    ]);
  });
});
