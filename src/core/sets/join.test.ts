/** Sets put into each other: ids, papers and counts come along, and nothing of either is lost. */
import { sayer } from '../length';
import {
  CHAINS,
  minutesOf,
  outermost,
  planSet,
  readSet,
  walkOf,
  withInside,
  withSetInside,
  withSetOutside,
  type SetInput,
} from '.';
import { joined } from './join';

const chain = (id: string): SetInput => {
  const found = CHAINS.find((one) => one.id === id)!;
  return found.set(found.usual);
};
const planned = (input: SetInput) => {
  const read = readSet(input);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return planSet(read.set);
};
const box: SetInput = {
  version: 1,
  papers: [{ id: 'card', name: 'Kraft', width: 300, height: 400, caliper: 0.4 }],
  parts: [
    {
      id: 'box',
      name: 'Box',
      quantity: 2,
      design: { construction: 'tray-box', contents: { width: 50, height: 60, thickness: 20 } },
    },
  ],
};

test('what one sees of a set is what nothing holds or goes round', () => {
  expect(outermost(chain('cards-in-a-box')).map(({ id }) => id)).toEqual(['band']);
  expect(outermost(chain('gift-card')).map(({ id }) => id)).toEqual(['envelope']);
});

test('two sets as one keep their parts and papers under ids of their own; the same paper is one', () => {
  const card = chain('card-and-envelope');
  const { set, outer } = joined(card, card);
  expect(set.parts.map(({ id }) => id)).toEqual(['card-2', 'envelope-2', 'card', 'envelope']);
  expect(set.papers).toEqual(card.papers);
  expect(outer).toBe('envelope-2');
  expect(set.parts[1]!.holds).toEqual([{ part: 'card-2' }]);
  const kraft = joined(card, box);
  // A paper of that name is another here: it has an id of its own, and its pieces know it.
  expect(kraft.set.papers!.map(({ id, name }) => [id, name]).at(-1)).toEqual(['card-2', 'Kraft']);
  expect(kraft.set.parts[0]).toMatchObject({ id: 'box', paper: 'card-2' });
  expect(planned(kraft.set).parts).toHaveLength(3);
});

test('papers of single pieces and of layers, and the tool a set is made with, come along', () => {
  const lidded: SetInput = {
    ...box,
    tool: { kind: 'scoring-board' },
    parts: [{ ...box.parts[0]!, papers: { lid: 'card' }, layers: [{ on: 'front', paper: 'card' }] }],
  };
  const card = { ...chain('card-and-envelope'), tool: { kind: 'ruler' } } as const;
  const [own] = joined(card, lidded).set.parts;
  expect(own).toMatchObject({
    id: 'box',
    paper: 'card-2',
    papers: { lid: 'card-2' },
    layers: [{ on: 'front', paper: 'card-2' }],
    tool: { kind: 'scoring-board' },
  });
  // What is made with the tool of the whole set needs none of its own; a part's own stays its own.
  expect(joined({ ...card, tool: { kind: 'scoring-board' } }, lidded).set.parts[0]).not.toHaveProperty('tool');
  const [edge] = joined(card, { ...lidded, parts: [{ ...lidded.parts[0]!, tool: { kind: 'edge-board' } }] }).set.parts;
  expect(edge!.tool).toEqual({ kind: 'edge-board' });
  expect(joined(card, box).set.parts[0]).not.toHaveProperty('tool');
  expect(joined(card, box).set.parts[0]).not.toHaveProperty('papers');
  const { plan } = planned(joined(card, lidded).set).parts.find(({ part }) => part.id === 'box')!;
  expect(plan.design.papers).toMatchObject({ lid: { caliper: 0.4 } });
  expect(plan.design.tool.kind).toBe('scoring-board');
});

test('a part that is put into one of several goes into that one alone', () => {
  const set = chain('cards-in-a-box');
  const inner = { id: 'note', given: { width: 40, height: 50, thickness: 0.2 } };
  const put = withInside(set, 'box', inner, { count: 2 });
  expect(put.parts[0]).toEqual(inner);
  for (const part of set.parts) {
    const now = put.parts.find(({ id }) => id === part.id)!;
    const added = (now.holds ?? []).filter(({ part: held }) => held === 'note');
    expect([part.id, added]).toEqual([part.id, part.id === 'box' ? [{ part: 'note', count: 2 }] : []]);
    if (part.id !== 'box') expect(now).toBe(part);
  }
});

test('a set in a part of another tells its size, as many as it takes for each of them', () => {
  const both = withSetInside(box, 'box', chain('card-and-envelope'), { count: 3, lie: 'stacked' });
  const plan = planned(both);
  const quantities = Object.fromEntries(plan.parts.map(({ part }) => [part.id, part.quantity]));
  expect(quantities).toEqual({ card: 6, envelope: 6, box: 2 });
  const [envelope, holder] = ['envelope', 'box'].map((id) => plan.parts.find(({ part }) => part.id === id)!);
  expect(holder!.holds!.thickness).toBeCloseTo(3 * envelope!.outside!.thickness, 9);
  expect(holder!.plan.design.contents!.width).toBeCloseTo(envelope!.outside!.width, 9);
});

test('a part in another set: each in one of its own, or all in one', () => {
  const cards = chain('card-and-envelope');
  const four = { ...cards, parts: cards.parts.map((part) => ({ ...part, quantity: 4 })) };
  const counts = (each: boolean) =>
    planned(
      withSetOutside(
        four,
        'envelope',
        { ...box, parts: [{ ...box.parts[0]!, quantity: 1 }] },
        { count: 4, lie: 'beside', each },
      ),
    ).parts.map(({ part }) => [part.id, part.quantity, part.holds[0]?.count ?? 0]);
  expect(counts(true)).toEqual([
    ['card', 4, 0],
    ['envelope', 4, 1],
    ['box', 4, 1],
  ]);
  expect(counts(false).at(-1)).toEqual(['box', 1, 4]);
});

test('the time a set takes grows with every copy, by less where nothing is set anew', () => {
  const plan = planned(chain('card-and-envelope'));
  const say = sayer('in', '1/8 in');
  const [one, two] = [1, 2].map((copies) => minutesOf(walkOf(plan, say, copies, 'together')));
  expect(one).toBeGreaterThan(5);
  expect(two).toBeGreaterThan(1.8 * one!);
  expect(two).toBeLessThan(2 * one!);
});
