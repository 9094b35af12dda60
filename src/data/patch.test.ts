import fc from 'fast-check';
import { runs } from '../../tests/helpers/runs';
import { collide, fieldsIn, patchBetween, patched, same } from './patch';

const record = {
  name: 'Star cards',
  design: { contents: { width: 76, height: 101 }, options: { lap: 12 }, tool: { kind: 'ruler', notch: 19 } },
  tools: [
    { id: 'a', name: 'Board', notch: 19 },
    { id: 'b', name: 'Ruler', notch: 5 },
  ],
  papers: null as readonly string[] | null,
  companions: ['tag', 'note'],
};
type Rec = typeof record;

describe('a patch says what changed and nothing else', () => {
  test.each<[string, (r: Rec) => Rec, object[]]>([
    ['a field', (r) => ({ ...r, name: 'Moon' }), [{ at: ['name'], set: 'Moon' }]],
    [
      'a field inside',
      (r) => ({ ...r, design: { ...r.design, contents: { width: 80, height: 101 } } }),
      [{ at: ['design', 'contents', 'width'], set: 80 }],
    ],
    [
      'a field taken out',
      (r) => ({ ...r, design: { ...r.design, options: {} as never } }),
      [{ at: ['design', 'options', 'lap'], drop: true }],
    ],
    [
      'a tool, which is one thing',
      (r) => ({ ...r, design: { ...r.design, tool: { kind: 'ruler', notch: 20 } } }),
      [{ at: ['design', 'tool'], set: { kind: 'ruler', notch: 20 } }],
    ],
    [
      'a figure of one item',
      (r) => ({ ...r, tools: [r.tools[0]!, { ...r.tools[1]!, notch: 6 }] }),
      [{ at: ['tools', { id: 'b' }, 'notch'], set: 6 }],
    ],
    [
      'an item more, behind another',
      (r) => ({ ...r, tools: [r.tools[0]!, { id: 'c', name: 'New', notch: 1 }, r.tools[1]!] }),
      [{ at: ['tools', { id: 'c' }], set: { id: 'c', name: 'New', notch: 1 }, behind: 'a' }],
    ],
    ['an item less', (r) => ({ ...r, tools: [r.tools[1]!] }), [{ at: ['tools', { id: 'a' }], drop: true }]],
    [
      'another order',
      (r) => ({ ...r, tools: [r.tools[1]!, r.tools[0]!] }),
      [{ at: ['tools'], set: expect.any(Array) }],
    ],
    ['a tick', (r) => ({ ...r, companions: ['note', 'mat'] }), [{ at: ['companions'], less: ['tag'], more: ['mat'] }]],
    ['from nothing to a list', (r) => ({ ...r, papers: ['p'] }), [{ at: ['papers'], set: ['p'] }]],
    ['nothing', (r) => ({ ...r, name: 'Star cards', gone: undefined }), []],
  ])('%s', (_, change, patch) => {
    const after = change(record);
    expect(patchBetween(record, after)).toEqual(patch);
    expect(same(patched(record, patchBetween(record, after)), after)).toBe(true);
  });
});

describe('two patches made of the same record', () => {
  const both = (one: (r: Rec) => Rec, other: (r: Rec) => Rec): Rec =>
    patched(patched(record, patchBetween(record, one(record))), patchBetween(record, other(record)));

  test('name and width, two figures of one tool, two ticks, two new tools: neither is lost', () => {
    const merged = both(
      (r) => ({
        ...r,
        name: 'Moon',
        tools: [{ ...r.tools[0]!, notch: 20 }, r.tools[1]!, { id: 'c', name: 'C', notch: 1 }],
        companions: [...r.companions, 'mat'],
      }),
      (r) => ({
        ...r,
        design: { ...r.design, contents: { width: 80, height: 101 } },
        tools: [{ ...r.tools[0]!, name: 'Old board' }, r.tools[1]!, { id: 'd', name: 'D', notch: 2 }],
        companions: ['note'],
      }),
    );
    expect(merged).toMatchObject({ name: 'Moon', companions: ['note', 'mat'] });
    expect(merged.design.contents.width).toBe(80);
    expect(merged.tools.map(({ id, name, notch }) => [id, name, notch])).toEqual([
      ['a', 'Old board', 20],
      ['b', 'Ruler', 5],
      ['d', 'D', 2],
      ['c', 'C', 1],
    ]);
  });

  test('a figure of a tool that was taken out does not bring it back', () => {
    const merged = both(
      (r) => ({ ...r, tools: [r.tools[1]!] }),
      (r) => ({ ...r, tools: [{ ...r.tools[0]!, notch: 30 }, r.tools[1]!] }),
    );
    expect(merged.tools.map(({ id }) => id)).toEqual(['b']);
  });

  test('they collide where they speak of one place, or of a place inside it', () => {
    const patch = (change: (r: Rec) => Rec) => patchBetween(record, change(record));
    const width = patch((r) => ({ ...r, design: { ...r.design, contents: { width: 1, height: 101 } } }));
    const wider = patch((r) => ({ ...r, design: { ...r.design, contents: { width: 2, height: 101 } } }));
    const height = patch((r) => ({ ...r, design: { ...r.design, contents: { width: 76, height: 9 } } }));
    const design = patch((r) => ({ ...r, design: null as never }));
    expect([collide(width, wider), collide(width, height), collide(width, design), collide(design, height)]).toEqual([
      true,
      false,
      true,
      true,
    ]);
    expect([...fieldsIn([...width, ...patch((r) => ({ ...r, name: '' }))])]).toEqual(['design', 'name']);
  });
});

test('a name that every object has is a field like any other', () => {
  const before = JSON.parse('{"a": 1}') as object;
  const after = JSON.parse('{"a": 1, "__proto__": {"b": 2}, "constructor": 3}') as object;
  const now = patched(before, patchBetween(before, after));
  expect(Object.getPrototypeOf(now)).toBe(Object.prototype);
  expect(({} as { b?: number }).b).toBeUndefined();
});

const json = fc.letrec<{ value: unknown }>((tie) => ({
  value: fc.oneof(
    { maxDepth: 3 },
    fc.constantFrom(null, true, 0, 1, 'x', ''),
    fc.array(tie('value'), { maxLength: 4 }),
    fc.array(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), n: fc.integer({ min: 0, max: 2 }) }), {
      maxLength: 4,
    }),
    fc.dictionary(fc.constantFrom('p', 'q', 'tool', 'id', 'list'), tie('value')),
  ),
})).value;

test('whatever two records are, the patch makes the one of the other', () => {
  fc.assert(
    fc.property(json, json, (before, after) => {
      expect(same(patched(before, patchBetween(before, after)), after)).toBe(true);
    }),
    runs(500),
  );
});

test('patches that do not collide come to the same in either order', () => {
  const fields = fc.record({ p: json, q: json, list: json });
  fc.assert(
    fc.property(fields, json, json, (base, one, other) => {
      const [a, b] = [patchBetween(base, { ...base, p: one }), patchBetween(base, { ...base, q: other })];
      expect(same(patched(patched(base, a), b), patched(patched(base, b), a))).toBe(true);
      expect(collide(a, b)).toBe(false);
    }),
  );
});

test('a patch laid over any other record never throws and never touches the record itself', () => {
  fc.assert(
    fc.property(json, json, json, (before, after, other) => {
      const text = JSON.stringify(other);
      patched(other, patchBetween(before, after));
      expect(JSON.stringify(other)).toBe(text);
    }),
    runs(500),
  );
});
