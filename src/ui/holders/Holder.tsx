'use client';

import { Button } from 'antd';
import { Link } from '../parts/Link';
import { CONSTRUCTIONS, constructionNamed, optionFields, type OptionField } from '@/core/constructions';
import { formatLength, inches, mm, sayer, usualMarks, usualOn, usualWords, type Mm, type Units } from '@/core/length';
import { consequenceOf } from '@/core/choosing';
import { basePieces, planFor, viewOf, type Made } from '@/core/plan';
import { asMade, pictureOf } from '@/core/looks';
import { begunIn, readDesign, type DesignInput } from '@/core/design';
import { stepsOf } from '@/core/making';
import { pileScene } from '@/core/scene';
import { SmallPicture } from '../draw/SmallPicture';
import { useUnits } from '../parts/InUnits';
import { InMyUnits } from '../parts/MyUnits';
import styles from './Holder.module.css';

/** A card the size of most, or a pile of them where one is boxed: what a page's drawing and steps are shown for. */
const EXAMPLES: Record<Units, { readonly card: string; readonly size: Record<'width' | 'height' | 'pile', Mm> }> = {
  in: { card: '3 × 4 in', size: { width: inches(3), height: inches(4), pile: inches(1) } },
  mm: { card: '75 × 100 mm', size: { width: mm(75), height: mm(100), pile: mm(25) } },
};
const isDeep = (name: string): boolean =>
  optionFields(constructionNamed(name)!.options).some((field) => field.name === 'depth');

/** A holder round the example, begun in the person's units, with some choices made otherwise. */
function exampleFor(name: string, units: Units, options: DesignInput['options'] = {}): DesignInput {
  const { width, height, pile } = EXAMPLES[units].size;
  return begunIn({
    version: 1,
    construction: name,
    contents: { width, height, thickness: isDeep(name) ? pile : 0 },
    graduation: usualMarks(units),
    options,
  });
}

/** Room for a picture of what stands, px. */
const ROOM = { width: 420, height: 300 };
const FACE = { width: 230, height: 230 };

/** A holder's page: what it is for, how it comes out, where makers differ, the usual mistakes, every choice. */
export const Holder = ({ name }: { name: string }) => (
  <InMyUnits>
    <Told name={name} />
  </InMyUnits>
);

function Told({ name }: { name: string }) {
  const construction = constructionNamed(name)!;
  const { units } = useUnits();
  const say = sayer(units, usualMarks(units));
  const read = readDesign({ ...exampleFor(name, units), tool: { kind: 'scoring-board' } });
  const plan = read.ok ? planFor(read.design) : null;
  const made = plan?.made ?? null;
  const picture = made ? pictureOf(made) : null;
  const {
    card,
    size: { pile },
  } = EXAMPLES[units];
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
              For {isDeep(name) ? `${card} cards, ${say(pile)} of them` : `a ${card} card`}:{' '}
              {made.pieces
                .map(({ piece }) => `${piece.name} ${say(piece.blank.width)} × ${say(piece.blank.height)}`)
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
                          {why} {consequence(name, field.name, value, units)}
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
              <dd>{usualWords(instead, units)}</dd>
            </div>
          ))}
        </dl>
        {plan && (
          <>
            <h2>In order, on a scoring board</h2>
            <ol className={styles.steps}>
              {stepsOf(plan, say).map((step) => (
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
                <td>{fallbackWords(field, units)}</td>
                <td>{usualWords(field.description, units)}</td>
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
          picture={asMade(made, pileScene({ stack, view, from }, { given: basePieces(built) }))}
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
function consequence(name: string, option: string, value: string, units: Units): string {
  const read = readDesign(exampleFor(name, units, { [option]: value }));
  return read.ok ? consequenceOf(planFor(read.design), sayer(units, usualMarks(units))) : '';
}

function fallbackWords({ unit, fallback, choices, open = '' }: OptionField, units: Units): string {
  if (unit === 'choice') return choices.join(', ');
  if (unit === 'yes-no') return fallback ? 'yes' : 'no';
  if (unit === 'count') return String(fallback);
  return typeof fallback === 'number'
    ? formatLength(usualOn(usualMarks(units), mm(fallback)), units, usualMarks(units), true)
    : usualWords(open, units);
}
