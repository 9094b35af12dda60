'use client';

import { Button } from 'antd';
import Link from 'next/link';
import { CONSTRUCTIONS, constructionNamed, optionFields, type OptionField } from '@/core/constructions';
import { foldedBox } from '@/core/fold';
import { formatLength, inches, mm } from '@/core/length';
import { givenPieces, planFor, readDesign, sayer, stepsOf, viewOf } from '@/core/plan';
import { FoldedFace } from '../draw/FoldedFace';
import styles from './Holder.module.css';

/** A card the size of most: what a page's drawing and steps are shown for. */
const EXAMPLE = { width: inches(3), height: inches(4), thickness: 0 };

/** A holder's page: what it is for, how it comes out, where makers differ, the usual mistakes, every choice. */
export function Holder({ name }: { name: string }) {
  const construction = constructionNamed(name)!;
  const read = readDesign({ version: 1, construction: name, contents: EXAMPLE, tool: { kind: 'scoring-board' } });
  const plan = read.ok ? planFor(read.design) : null;
  const made = plan?.made ?? null;
  const fields = optionFields(construction.options);
  const schools = fields.filter((field) => construction.schools.some(({ option }) => option === field.name));
  return (
    <main className={styles.holder}>
      <nav aria-label="Holders" className={styles.others}>
        {CONSTRUCTIONS.map((other) => (
          <Link
            key={other.name}
            href={`/holders/${other.name}`}
            aria-current={other.name === name ? 'page' : undefined}
          >
            {other.title}
          </Link>
        ))}
      </nav>
      <article>
        <h1>{construction.title}</h1>
        <p className={styles.purpose}>{construction.purpose}</p>
        {made && (
          <div className={styles.faces}>
            {([made.built.front, made.built.front === 'below' ? 'above' : 'below'] as const).map((face) => {
              const stack = made.folded.finished;
              const view = viewOf(made.built, stack);
              const box = foldedBox(stack, view);
              const scale = Math.min(2, 230 / (box.maxX - box.minX), 230 / (box.maxY - box.minY));
              return (
                <figure key={face}>
                  <svg
                    width={(box.maxX - box.minX) * scale + 4}
                    height={(box.maxY - box.minY) * scale + 4}
                    role="img"
                    aria-label={face === made.built.front ? 'Front' : 'Back'}
                  >
                    <FoldedFace
                      stack={stack}
                      view={view}
                      face={face}
                      scale={scale}
                      x={2}
                      y={2}
                      given={givenPieces(made.built)}
                    />
                  </svg>
                  <figcaption>{face === made.built.front ? 'Front' : 'Back'}</figcaption>
                </figure>
              );
            })}
            <p>
              For a 3 × 4 in card:{' '}
              {made.pieces
                .map(
                  ({ piece }) =>
                    `${piece.name} ${formatLength(piece.blank.width, 'in', '1/8 in')} × ${formatLength(piece.blank.height, 'in', '1/8 in', true)}`,
                )
                .join(', ')}
              .
            </p>
          </div>
        )}
        <Link href="/choose?have=contents">
          <Button type="primary">Size one of mine</Button>
        </Link>
        {schools.length > 0 && (
          <>
            <h2>Where makers differ</h2>
            {schools.map((field) => (
              <section key={field.name}>
                <h3>{field.title}</h3>
                <dl>
                  {construction.schools
                    .filter(({ option }) => option === field.name)
                    .map(({ value, title, why }) => (
                      <div key={value}>
                        <dt>{title}</dt>
                        <dd>
                          {why} {consequence(name, field.name, value)}
                        </dd>
                      </div>
                    ))}
                </dl>
              </section>
            ))}
          </>
        )}
        <h2>Usual mistakes</h2>
        <dl>
          {construction.advice.map(({ mistake, instead }) => (
            <div key={mistake}>
              <dt>{mistake}</dt>
              <dd>{instead}</dd>
            </div>
          ))}
        </dl>
        {plan && (
          <>
            <h2>In order, on a scoring board</h2>
            <ol className={styles.steps}>
              {stepsOf(plan, sayer('in', '1/8 in')).map((step) => (
                <li key={step.id}>{step.text}</li>
              ))}
            </ol>
          </>
        )}
        <h2>Every choice</h2>
        <table className={styles.options}>
          <tbody>
            {fields.map((field) => (
              <tr key={field.name}>
                <th scope="row">{field.title}</th>
                <td>{fallbackWords(field)}</td>
                <td>{field.description}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <h2>Held to</h2>
        <ul>
          {construction.sources.map((source) => (
            <li key={source}>{source}</li>
          ))}
        </ul>
      </article>
    </main>
  );
}

/** What a choice comes to for the example: inside and thickness, read off the folded shape. */
function consequence(name: string, option: string, value: string): string {
  const read = readDesign({ version: 1, construction: name, contents: EXAMPLE, options: { [option]: value } });
  const made = read.ok ? planFor(read.design).made : null;
  if (!made || made.built.cavities.length === 0) return '';
  const { width, height } = made.inside;
  return `Inside ${formatLength(width, 'in', '1/8 in')} × ${formatLength(height, 'in', '1/8 in', true)}, ${formatLength(mm(made.finished.thickness), 'mm', '0.5 mm', true)} thick.`;
}

function fallbackWords({ unit, fallback, choices, open }: OptionField): string {
  if (unit === 'choice') return choices.join(', ');
  if (unit === 'yes-no') return fallback ? 'yes' : 'no';
  if (unit === 'count') return String(fallback);
  return typeof fallback === 'number' ? formatLength(mm(fallback), 'in', '1/8 in', true) : (open ?? '');
}
