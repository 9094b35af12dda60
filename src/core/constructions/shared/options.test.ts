import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { choiceOption, lengthOption, openLengthOption, optionFields } from './options';
import { CONSTRUCTIONS } from '..';

const sample = z.strictObject({
  lap: lengthOption('Lap', 'Holds the seam.', inches(1 / 2), { least: 3, most: 60 }),
  setting: openLengthOption('Set at', 'Where it stands.', { over: 0 }, { onPaper: true, open: 'in the middle' }),
  seam: choiceOption('Seam', 'Where it runs.', ['centred', 'even']),
});

test('options tell forms their title, reason, unit, limits, choices and default, in their own order', () =>
  expect(optionFields(sample)).toEqual([
    {
      name: 'lap',
      title: 'Lap',
      description: 'Holds the seam.',
      unit: 'mm',
      limits: { least: 3, most: 60 },
      choices: [],
      fallback: 12.7,
    },
    {
      name: 'setting',
      title: 'Set at',
      description: 'Where it stands.',
      unit: 'mm',
      limits: { over: 0 },
      onPaper: true,
      open: 'in the middle',
      choices: [],
      fallback: undefined,
    },
    {
      name: 'seam',
      title: 'Seam',
      description: 'Where it runs.',
      unit: 'choice',
      choices: ['centred', 'even'],
      fallback: 'centred',
    },
  ]));

test('text is read as a length, out of bounds is refused, and what is left out gets its default', () => {
  expect(sample.parse({ lap: '3/4 in' })).toEqual({ lap: inches(3 / 4), seam: 'centred' });
  expect(sample.parse({})).toEqual({ lap: mm(12.7), seam: 'centred' });
  for (const wrong of [{ lap: '1 mm' }, { lap: '3 in' }, { seam: 'slanted' }, { lapp: 1 }])
    expect(sample.safeParse(wrong).success).toBe(false);
});

test.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))(
  '%s: every option has a title, a reason and a default or a word for being left open; every choice is spoken for',
  (_, construction) => {
    for (const { title, description, unit, fallback, open, choices, name } of optionFields(construction.options)) {
      expect(title).toMatch(/^[A-Z]/);
      expect(description).toMatch(/\.$/);
      expect(['mm', 'choice', 'count', 'yes-no']).toContain(unit);
      expect(fallback ?? open).toBeDefined();
      const spoken = construction.schools.filter((school) => school.option === name).map((school) => school.value);
      if (unit === 'choice') expect(spoken.sort()).toEqual([...choices].sort());
    }
    const complete = construction.options.parse({});
    const known = optionFields(construction.options).map(({ name }) => name);
    for (const idle of construction.idle(complete)) expect(known).toContain(idle);
  },
);
