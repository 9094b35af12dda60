/**
 * A holder is one file and one line: here one is the whole list, and the laws, the second reader and what every holder
 * offers must hold of it as of any other.
 */
jest.mock('../../src/core/constructions/list', () => {
  const { ticketJacket } = jest.requireActual<typeof import('./ticket-jacket')>('./ticket-jacket');
  const { plainSheet } = jest.requireActual<typeof import('../../src/core/constructions/layers/plain-sheet')>(
    '../../src/core/constructions/layers/plain-sheet',
  );
  return { CONSTRUCTIONS: [ticketJacket], GIVEN: [plainSheet] };
});
import '../../src/core/files/laws.test';
import { planOf } from '../helpers/designs';
import { disagreements } from '../helpers/disagreements';
import { CONSTRUCTIONS } from '../../src/core/constructions';
import { jsonSchema } from '../../src/core/files';
import { inches, sayer } from '../../src/core/length';
import { checkSentence, checksOf } from '../../src/core/checks';
import { constructionOptions, type DesignInput } from '../../src/core/design';
import { planDocument } from '../../src/core/document';
import { stepsOf } from '../../src/core/making';

const say = sayer('mm', '1 mm');
const jacket = (more: object = {}) =>
  planOf({
    version: 1,
    construction: 'ticket-jacket',
    contents: { width: 80, height: 120, thickness: 1 },
    graduation: '1 mm',
    ...more,
  } as DesignInput);

test('it alone is on the list', () => {
  expect(CONSTRUCTIONS.map(({ name }) => name)).toEqual(['ticket-jacket']);
  expect(constructionOptions('ticket-jacket').map(({ title }) => title)).toEqual(['Tab', 'Thumb room']);
  expect(JSON.stringify(jsonSchema())).toContain('How much lower the front is.');
});

test('it is planned, checked and told with nothing else written for it', () => {
  const plan = jacket();
  expect(checksOf(plan).filter(({ level }) => level === 'fail')).toEqual([]);
  const told = stepsOf(plan, say).map(({ text }) => text);
  expect(disagreements(plan, planDocument(plan))).toEqual([]);
  expect(told.findIndex((text) => text.startsWith('Fold the front up'))).toBeGreaterThan(0);
  expect(told.at(-1)).toMatch(/slide the contents in|Insert|Slide|Put/i);
});

test('its own promise is measured on the folded thing, worded in its own file, and cured', () => {
  const thumb = (show: number) => {
    const plan = jacket({ options: { show } });
    return { plan, check: checksOf(plan).find(({ id }) => id === 'own-thumb-room')! };
  };
  expect(thumb(12).check).toMatchObject({ level: 'pass', value: expect.closeTo(12, 6), remedies: [] });
  expect(checkSentence(thumb(12).check, say)).toBe('A thumb finds 12 mm of the back to hold.');
  const { check } = thumb(4);
  expect(check.level).toBe('note');
  expect(checkSentence(check, say)).toBe(
    'Only 4 mm of the back stands out: a thumb finds no hold. Make the front lower.',
  );
  expect(check.remedies).toEqual([{ code: 'cure', label: 'Make the front lower', change: { options: { show: 10 } } }]);
  expect(thumb(10).check.level).toBe('pass');
});

test('a part too large is told and cured by its id', () => {
  const [check] = checksOf(jacket({ options: { tab: inches(3) } }));
  expect(check).toMatchObject({ id: 'part-too-large', about: { part: 'tab', id: 'tab' } });
  const [cure] = check!.remedies;
  const cured = jacket({ options: (cure as unknown as { change: { options: object } }).change.options });
  expect(cured.made).not.toBeNull();
});
