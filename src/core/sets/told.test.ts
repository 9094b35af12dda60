/** What is said of sets that are wrong, or not quite right; and changes a person makes. */
import { expectApproved } from '../../../tests/helpers/approved';
import { inches, sayer } from '../length';
import { checksOf, checkSentence } from '../checks';
import {
  planAnswerTo,
  CHAINS,
  designOf,
  freeId,
  pieceName,
  planSet,
  readSet,
  setChecks,
  setOfOlder,
  setRemedyLabel,
  setSentence,
  shortagesOf,
  sheetsTaken,
  cutListOf,
  withInside,
  withoutPart,
  withPart,
  withRemedy,
  type PartInput,
  type SetInput,
} from '.';

const say = sayer('in', '1/8 in');
const card: PartInput = {
  id: 'card',
  name: 'Card',
  quantity: 5,
  given: { width: '3 in', height: '4 in', thickness: 1 },
};
const envelope: PartInput = {
  id: 'envelope',
  name: 'Envelope',
  quantity: 4,
  design: { construction: 'seam-envelope' },
  holds: [{ part: 'card' }],
};
const set = (...parts: unknown[]): SetInput => ({ version: 1, parts }) as SetInput;
const planned = (input: SetInput) => {
  const read = readSet(input);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return planSet(read.set);
};

test('each thing wrong with a set has its place and a sentence', () => {
  const wrong: unknown[] = [
    7,
    { version: 1 },
    { version: 2, parts: [card] },
    set(),
    set({ id: 'x' }),
    set({ ...card, design: { construction: 'mat' } }),
    set(card, card),
    set(envelope),
    set({ ...envelope, holds: [{ part: 'envelope' }] }, card),
    set(
      { ...envelope, holds: [{ part: 'box' }] },
      { id: 'box', name: 'Box', design: { construction: 'tray-box' }, holds: [{ part: 'envelope' }] },
    ),
    set({ id: 'envelope', design: { construction: 'seam-envelope' } }),
    set({ id: 'envelope', design: { construction: 'loom', contents: { width: 10, height: 10 } } }),
    set({
      id: 'envelope',
      design: { construction: 'seam-envelope', contents: { width: '3', height: 10 }, tool: { kind: 'ruler' } },
    }),
    set({ ...card, paper: 'blue' }),
    { ...set({ ...card, paper: 'blue' }), papers: [{ id: 'red', width: 100 }, { id: 'red' }] },
    set(card, { ...envelope, round: 'card' }),
    set(card, { ...envelope, holds: [{ part: 'card', fills: true }] }),
    set(card, { ...envelope, holds: [{ part: 'card', count: 0, lie: 'upside-down' }] }),
    set({ ...card, quantity: 1.5, layers: [{ on: 'hat' }], given: { width: -1, height: 3 } }),
    set({ ...card, colour: 'blue' }),
    set(
      { id: 'note', design: { construction: 'folded-card', contents: { width: 30, height: 40 } } },
      { ...envelope, holds: [{ part: 'note', fills: true }] },
    ),
  ];
  const lines = wrong.map((input) => {
    const read = readSet(input);
    return `${JSON.stringify(input)}\n${read.ok ? '    is read' : read.issues.map(({ path, message }) => `    ${path || '(all of it)'}: ${message}`).join('\n')}`;
  });
  expectApproved('sets/complaints', `${lines.join('\n')}\n`);
});

test('a photo that goes in the other way round is turned by one button, and is not where it would not', () => {
  const photo = { id: 'photo', name: 'Photo', given: { width: '4 in', height: '6 in', thickness: 0.3 } };
  const bought = (height: string) => ({
    id: 'bought',
    name: 'Bought envelope',
    given: { width: '7 in', height, thickness: 0.4, envelope: { flap: '2 in', shape: 'pointed', opens: 'width' } },
    holds: [{ part: 'photo' }],
  });
  const failed = (input: SetInput) =>
    setChecks(planned(input)).filter(({ kind, level }) => kind === 'goes-in' && level === 'fail');
  const [check, ...others] = failed(set(photo, bought('5 in')));
  expect(others).toEqual([]);
  const [turn] = check!.remedies;
  expect(setRemedyLabel(turn!)).toBe('Turn the photo a quarter');
  const turned = withRemedy(set(photo, bought('5 in')), turn!);
  expect(turned.parts[0]).toMatchObject({ given: { width: '6 in', height: '4 in', thickness: 0.3 } });
  expect(turned.parts[1]).toEqual(bought('5 in'));
  expect(failed(turned)).toEqual([]);
  expect(failed(set(photo, bought('3 1/2 in')))[0]!.remedies).toEqual([]);
});

test('what is found across a set, and what helps', () => {
  const found: [string, SetInput][] = [
    ['five cards, four envelopes', set(card, envelope)],
    ['four cards, five envelopes', set({ ...card, quantity: 4 }, { ...envelope, quantity: 5 })],
    [
      'a bought envelope too small',
      set(
        { ...card, quantity: 1 },
        {
          id: 'bought',
          name: 'Bought envelope',
          given: { width: '3 1/16 in', height: '4 in', thickness: 0.4, envelope: { flap: '2 in' } },
          holds: [{ part: 'card' }],
        },
      ),
    ],
    [
      'a box of its own size',
      set(
        { ...card, quantity: 1 },
        {
          id: 'box',
          name: 'Box',
          design: { construction: 'tray-box', contents: { width: '3 in', height: '3 in', thickness: '1/2 in' } },
          holds: [{ part: 'card' }],
        },
      ),
    ],
    [
      'a deep stack',
      set(
        { ...card, quantity: 20 },
        { id: 'box', name: 'Box', design: { construction: 'tray-box' }, holds: [{ part: 'card', count: 20 }] },
      ),
    ],
    [
      'a plain sleeve',
      set(
        { ...card, quantity: 1 },
        {
          id: 'sleeve',
          name: 'Sleeve',
          design: { construction: 'sleeve', options: { fingerNotch: 0 } },
          holds: [{ part: 'card' }],
        },
      ),
    ],
    [
      'nothing left for the note',
      set(
        { id: 'note', name: 'Note', design: { construction: 'tray-box' } },
        {
          id: 'purse',
          name: 'Purse',
          design: { construction: 'seam-envelope', contents: { width: 20, height: 20 } },
          holds: [{ part: 'note', fills: true }],
        },
      ),
    ],
    [
      'three boxes, two bands',
      set(
        { ...card, quantity: 3 },
        { id: 'box', name: 'Box', quantity: 3, design: { construction: 'tray-box' }, holds: [{ part: 'card' }] },
        { id: 'band', name: 'Band', quantity: 2, design: { construction: 'belly-band' }, round: 'box' },
      ),
    ],
    [
      'more notes than the tin is deep',
      set(
        { id: 'note', name: 'Note', quantity: 9, design: { construction: 'folded-card' } },
        {
          id: 'tin',
          name: 'Tin',
          design: { construction: 'tray-box', contents: { width: 80, height: 100, thickness: 2 } },
          holds: [{ part: 'note', fills: true, count: 9 }],
        },
      ),
    ],
    [
      'nothing tells the size of what holds it',
      set(
        {
          id: 'ticket',
          name: 'Ticket',
          design: { construction: 'tag', contents: { width: 20, height: 30 }, options: { hole: 40 } },
        },
        { ...envelope, quantity: 1, holds: [{ part: 'ticket' }] },
        { id: 'box', name: 'Box', design: { construction: 'tray-box' }, holds: [{ part: 'envelope' }] },
      ),
    ],
    [
      'no paper',
      {
        ...set({
          ...envelope,
          holds: [],
          design: { construction: 'seam-envelope', contents: { width: '3 in', height: '4 in' } },
          paper: 'red',
          papers: { lid: 'red' },
        }),
        papers: [{ id: 'red', name: 'Red', width: '8 1/2 in', height: '11 in', count: 2 }],
      },
    ],
  ];
  const lines = found.flatMap(([name, input]) => [
    name,
    ...setChecks(planned(input)).map(
      (check) =>
        `    ${check.level} ${check.id}: ${setSentence(check, say)}${check.remedies.map((remedy) => ` [${setRemedyLabel(remedy)}]`).join('')}`,
    ),
  ]);
  expectApproved('sets/found', `${lines.join('\n')}\n`);
});

test('a remedy taken, what it was for is gone', () => {
  for (const input of [
    set(card, envelope),
    set(
      { ...card, quantity: 1 },
      {
        id: 'box',
        name: 'Box',
        design: { construction: 'tray-box', contents: { width: '3 in', height: '3 in', thickness: '1/2 in' } },
        holds: [{ part: 'card' }],
      },
    ),
  ])
    for (const check of setChecks(planned(input)))
      for (const remedy of check.remedies)
        expect(
          setChecks(planned(withRemedy(input, remedy))).some(({ id, level }) => id === check.id && level !== 'pass'),
        ).toBe(false);
});

test('every chain is planned without a fault, and each of its papers has something cut from it', () => {
  for (const chain of CHAINS) {
    const input = chain.set(chain.usual);
    const plan = planned(input);
    expect([chain.id, setChecks(plan).filter(({ level }) => level === 'fail' || level === 'warn')]).toEqual([
      chain.id,
      [],
    ]);
    expect(cutListOf(plan).map(({ paper }) => paper)).toEqual(input.papers!.map(({ id }) => id));
    for (const { paper, pieces } of cutListOf(plan))
      expect(
        sheetsTaken(
          plan.set.papers.find(({ id }) => id === paper),
          pieces,
        ),
      ).toBeLessThan(Infinity);
  }
});

test('papers that run out: as many sheets as a layout takes beyond those there are', () => {
  const [, boxed] = CHAINS;
  const input = boxed!.set({ ...boxed!.usual, count: 12 });
  const withCount = (count: number): SetInput => ({
    ...input,
    papers: input.papers!.map((paper) => (paper.id === 'envelope' ? { ...paper, count } : paper)),
  });
  // An envelope takes more than half a letter sheet.
  expect(shortagesOf(planned(withCount(11)))).toEqual([
    { paper: 'envelope', name: 'Envelope paper', sheets: 12, has: 11 },
  ]);
  expect(shortagesOf(planned(withCount(12)))).toEqual([]);
  expect(shortagesOf(planned(withCount(12)), 2)[0]!.sheets).toBe(24);
});

describe('changes', () => {
  const base = set({
    id: 'envelope',
    name: 'Envelope',
    design: { construction: 'seam-envelope', contents: { width: '3 in', height: '4 in' } },
  });
  test('what goes in tells the size from then on; taken away, the size stays', () => {
    const grown = withInside(base, 'envelope', { id: 'card', given: { width: inches(4), height: inches(5) } });
    const plan = planned(grown);
    expect(plan.parts.find(({ part }) => part.id === 'envelope')!.holds!.width).toBeCloseTo(inches(4), 9);
    const alone = withoutPart(grown, 'card', plan);
    expect(alone.parts).toHaveLength(1);
    expect(planned(alone).parts[0]!.plan.made!.pieces[0].piece.blank).toEqual(
      plan.parts.find(({ part }) => part.id === 'envelope')!.plan.made!.pieces[0].piece.blank,
    );
    expect(withoutPart(alone, 'envelope', null)).toBe(alone);
  });
  test('what fills it leaves its size as it is', () => {
    const grown = withInside(
      base,
      'envelope',
      { id: 'note', design: { construction: 'folded-card' } },
      { fills: true },
    );
    const plan = planned(grown);
    expect(plan.parts.map(({ part }) => part.id)).toEqual(['envelope', 'note']);
    expect(designOf(grown, grown.parts[1]!).contents).toEqual({ width: '3 in', height: '4 in' });
    expect(plan.parts[1]!.outside!.width).toBeLessThan(plan.parts[0]!.plan.made!.inside.width);
  });
  test('ids are words, and no two alike', () => {
    expect(freeId(base, 'Envelope')).toBe('envelope-2');
    expect(freeId(base, 'Gift card, ¼ larger!')).toBe('gift-card-larger');
    expect(freeId(base, '  ')).toBe('part');
  });
  test('a field set to undefined is taken out', () => {
    expect(withPart(base, 'envelope', { name: undefined }).parts[0]).not.toHaveProperty('name');
  });
});

test('a design of an older version, with all it had: every companion is a layer or a part', () => {
  const older = {
    version: 1,
    construction: 'storage-pocket',
    contents: { width: 76.2, height: 101.6, thickness: 1 },
    tool: { kind: 'scoring-board' },
    paper: { width: 305, height: 305, caliper: 0.3, turn: 2, at: { x: 3, y: 4 } },
    companions: ['insert-card', 'mat', 'tag', 'note', 'sweet-wrap', 'hole-template', 'clip-cover'],
    closure: { kind: 'laced' },
  };
  const input = setOfOlder(older);
  const plan = planned(input);
  const [holder] = input.parts;
  expect(holder!.layers!.map(({ on }) => on)).toEqual(['inside', 'front', 'sheet']);
  expect(input.parts.map(({ id }) => id)).toEqual(['part-1', 'tag', 'note', 'sweet', 'sweet-wrap', 'clip-cover']);
  expect(holder!.laid).toEqual({ turn: 2, at: { x: 3, y: 4 } });
  expect(plan.parts.every(({ plan: { made } }) => made !== null)).toBe(true);
  const { companions: _, ...rest } = older;
  const { paper, ...design } = designOf(input, { ...holder!, layers: [] });
  expect(design).toEqual({
    ...Object.fromEntries(Object.entries(rest).filter(([key]) => key !== 'paper')),
    graduation: '1/8 in',
  });
  expect(paper).toMatchObject(rest.paper);
});

test('one door answers a design and a set, and says which of them has a problem', () => {
  const design = { version: 1, construction: 'mat', contents: { width: 40, height: 50 } };
  expect(planAnswerTo(design)).toMatchObject({ ok: true, answer: { construction: 'mat' } });
  expect(planAnswerTo(set({ ...card, quantity: 4 }, envelope))).toMatchObject({
    ok: true,
    answer: { parts: [{ id: 'card', plan: null }, { id: 'envelope' }] },
  });
  expect(planAnswerTo({ ...design, construction: 'loom' })).toMatchObject({
    ok: false,
    error: 'The design has a problem.',
  });
  expect(planAnswerTo(set())).toMatchObject({ ok: false, error: 'The set has a problem.' });
});

test('what holds a banded box has room for the box and the band round it', () => {
  const [, boxed] = CHAINS;
  const input = boxed!.set(boxed!.usual);
  const bag: PartInput = { id: 'bag', design: { construction: 'tray-box' }, holds: [{ part: 'band' }] };
  const plan = planned({ ...input, parts: [...input.parts, bag] });
  const [box, band, outer] = ['box', 'band', 'bag'].map((id) => plan.parts.find(({ part }) => part.id === id)!);
  expect(band!.own!.height).toBeLessThan(box!.outside!.height);
  expect(band!.outside!.height).toBe(box!.outside!.height);
  expect(band!.outside!.width).toBe(band!.own!.width);
  expect(outer!.holds).toEqual(band!.outside);
});

test('what fills a thing makes it as thick as it is, whether its size is told or follows', () => {
  const note: PartInput = { id: 'note', design: { construction: 'folded-card' } };
  const purse = (contents: object): PartInput => ({
    id: 'purse',
    design: { construction: 'seam-envelope', ...contents },
    holds: [{ part: 'note', fills: true }],
  });
  const box: PartInput = { id: 'box', design: { construction: 'tray-box' }, holds: [{ part: 'purse' }] };
  const tin: PartInput = {
    id: 'tin',
    design: { construction: 'tray-box', contents: { width: 90, height: 120, thickness: 10 } },
    holds: [{ part: 'purse', fills: true }],
  };
  for (const input of [
    set(note, purse({ contents: { width: 80, height: 110 } }), box),
    set(note, purse({}), tin),
    set(card, { ...purse({}), holds: [{ part: 'card' }, { part: 'note', fills: true }] }, note, box),
  ]) {
    const { parts } = planned(input);
    const [inner, middle] = ['note', 'purse'].map((id) => parts.find(({ part }) => part.id === id)!);
    const empty = middle!.plan.made!.finished.thickness - middle!.plan.design.thickness;
    const others = input.parts.some(({ id }) => id === 'card') ? 1 : 0;
    expect(inner!.outside!.thickness).toBeGreaterThan(0.4);
    expect(middle!.outside!.thickness).toBeCloseTo(empty + others + inner!.outside!.thickness, 6);
  }
});

test('what another does not tell the size of has no pattern, and says where to look', () => {
  const { parts } = planned(
    set(
      { id: 'ticket', design: { construction: 'tag', contents: { width: 20, height: 30 }, options: { hole: 40 } } },
      { ...envelope, holds: [{ part: 'ticket' }] },
    ),
  );
  const [, holder] = parts;
  expect(holder!.plan).toMatchObject({ made: null, refusal: { code: 'not-told', about: { part: 'ticket' } } });
  expect(checksOf(holder!.plan).map((check) => checkSentence(check, say))).toEqual([
    'Its size follows from the ticket, which has no pattern or leaves no room. See there first.',
  ]);
});

test('pieces go by the name of their part where several are made, or where the thing is there already', () => {
  const names = (input: SetInput): string[] => {
    const plan = planned(input);
    return cutListOf(plan).flatMap(({ pieces }) => pieces.map(({ part, name }) => pieceName(plan.set, part, name)));
  };
  const box: PartInput = { id: 'box', name: 'Box', design: { construction: 'tray-box' }, holds: [{ part: 'card' }] };
  expect(names(set(card, box))).not.toContainEqual(expect.stringContaining(':'));
  expect(names(set(card, envelope, { ...box, holds: [{ part: 'envelope' }] }))).toContain('Envelope: envelope');
  expect(names(set({ ...card, layers: [{ on: 'front' }] }))).toEqual(['Card: mat']);
});
