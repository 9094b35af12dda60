/** Writes docs/constructions.md from the registry: `npm run -s constructions`. A test holds the file to it. */
import { writeFileSync } from 'node:fs';
import { CONSTRUCTIONS, optionFields, type OptionField } from '../src/core/constructions';
import { formatLength, inches, mm } from '../src/core/length';
import { planFor } from '../src/core/plan';
import { readDesign } from '../src/core/design';

export const FILE = 'docs/constructions.md';

const length = (value: number): string => formatLength(mm(value), 'in', '1/8 in', true).replace(/^about /, '≈ ');

function fallback({ unit, choices, fallback: value, open }: OptionField): string {
  if (unit === 'choice') return choices.map((choice, i) => (i === 0 ? `**${choice}**` : choice)).join(', ');
  if (unit === 'yes-no') return value ? '**yes**, no' : 'yes, **no**';
  if (unit === 'count') return String(value);
  return typeof value === 'number' ? length(value) : (open ?? '');
}

/** The whole document. Sizes are planned for a 3 × 4 in card, so that a change of a formula shows here. */
export function constructionsDocument(): string {
  const example = { width: inches(3), height: inches(4), thickness: 0 };
  return [
    '# Every holder there is',
    '',
    'Written by `npm run -s constructions` from the registry; sizes are for a 3 × 4 in card at its defaults, folded and',
    'measured. Defaults are bold or given. “Common practice” marks figures that workshops use and no standard states.',
    '',
    ...CONSTRUCTIONS.flatMap((construction) => {
      const read = readDesign({ version: 1, construction: construction.name, contents: example });
      const made = read.ok ? planFor(read.design).made : null;
      return [
        `## ${construction.title} (\`${construction.name}\`)`,
        '',
        construction.purpose,
        '',
        ...(made
          ? [
              `Pieces: ${made.pieces.map(({ piece }) => `${piece.name} ${length(piece.blank.width)} × ${length(piece.blank.height)}`).join('; ')}. ${
                made.holds[0]?.limits.includes('depth')
                  ? `Inside ${length(made.inside.width)} × ${length(made.inside.height)} × ${length(made.inside.depth)}.`
                  : made.holds.length > 0
                    ? `Inside ${length(made.inside.width)} × ${length(made.inside.height)}.`
                    : 'It holds nothing.'
              }`,
              '',
            ]
          : []),
        '| option | default | why |',
        '|---|---|---|',
        ...optionFields(construction.options).map(
          (field) => `| \`${field.name}\` | ${fallback(field)} | ${field.description} |`,
        ),
        '',
        `Held to: ${construction.sources.join('; ')}.`,
        '',
      ];
    }),
  ].join('\n');
}

if (process.argv[1]?.endsWith('constructions.ts')) writeFileSync(FILE, constructionsDocument());
