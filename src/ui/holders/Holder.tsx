'use client';

import { Button } from 'antd';
import { Link } from '../parts/Link';
import { CONSTRUCTIONS, constructionNamed, optionFields, type OptionField } from '@/core/constructions';
import { formatLength, inches, mm, sayer } from '@/core/length';
import { consequenceOf } from '@/core/choosing';
import { basePieces, planFor, viewOf, type Made } from '@/core/plan';
import { pictureOf } from '@/core/looks';
import { readDesign } from '@/core/design';
import { stepsOf } from '@/core/making';
import { pileScene } from '@/core/scene';
import { SmallPicture } from '../draw/SmallPicture';
import styles from './Holder.module.css';

/** A card the size of most, or a pile of them where one is boxed: what a page's drawing and steps are shown for. */
const EXAMPLE = { width: inches(3), height: inches(4), thickness: 0 };
const PILE = { ...EXAMPLE, thickness: inches(1) };
const isDeep = (name: string): boolean =>
  optionFields(constructionNamed(name)!.options).some((field) => field.name === 'depth');
const exampleFor = (name: string): typeof EXAMPLE => (isDeep(name) ? PILE : EXAMPLE);
/** Room for a picture of what stands, px. */
const ROOM = { width: 420, height: 300 };
const FACE = { width: 230, height: 230 };

/** A holder's page: what it is for, how it comes out, where makers differ, the usual mistakes, every choice. */
export function Holder({ name }: { name: string }) {
  const construction = constructionNamed(name)!;
  const read = readDesign({
    version: 1,
    construction: name,
    contents: exampleFor(name),
    tool: { kind: 'scoring-board' },
  });
  const plan = read.ok ? planFor(read.design) : null;
  const made = plan?.made ?? null;
  const picture = made ? pictureOf(made) : null;
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
            {picture?.kind === 'still' ? (
              <figure>
                <SmallPicture picture={picture} scale={2} room={ROOM} label="As it stands" />
                <figcaption>As it stands</figcaption>
              </figure>
            ) : (
              <BothFaces made={made} />
            )}
            <p>
              For {isDeep(name) ? '3 × 4 in cards, 1 in of them' : 'a 3 × 4 in card'}:{' '}
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

/** A flat holder from the front and from the back. */
function BothFaces({ made }: { made: Made }) {
  const { built, folded } = made;
  const stack = folded.finished;
  const view = viewOf(built, stack);
  return ([built.front, built.front === 'below' ? 'above' : 'below'] as const).map((from) => {
    const name = from === built.front ? 'Front' : 'Back';
    return (
      <figure key={from}>
        <SmallPicture
          picture={pileScene({ stack, view, from }, { given: basePieces(built) })}
          scale={2}
          room={FACE}
          label={name}
        />
        <figcaption>{name}</figcaption>
      </figure>
    );
  });
}

/** What a choice comes to for the example, read off the folded shape. */
function consequence(name: string, option: string, value: string): string {
  const read = readDesign({ version: 1, construction: name, contents: exampleFor(name), options: { [option]: value } });
  return read.ok ? consequenceOf(planFor(read.design), sayer('in', '1/8 in')) : '';
}

function fallbackWords({ unit, fallback, choices, open }: OptionField): string {
  if (unit === 'choice') return choices.join(', ');
  if (unit === 'yes-no') return fallback ? 'yes' : 'no';
  if (unit === 'count') return String(fallback);
  return typeof fallback === 'number' ? formatLength(mm(fallback), 'in', '1/8 in', true) : (open ?? '');
}
