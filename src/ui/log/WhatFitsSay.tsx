import { Button } from 'antd';
import { group } from 'd3-array';
import { constructionNamed, type Ease } from '@/core/constructions';
import { FELT, roomFromFits, type ContentsKind, type RoomAdvice } from '@/core/fit';
import { formatLength, mm } from '@/core/length';
import type { LogRecord } from '@/data/db';
import { evidenceIn, fitKey, fitKeyParts, FIT_MARKS, ownMakes } from '@/data/log';
import { USUAL_ROOM } from '@/data/setting-kinds';
import { ExampleTag } from '../parts/ExampleTag';
import { useSetting } from '../parts/useKept';
import { useUnits } from '../parts/InUnits';
import { Words } from '../parts/Words';
import { FitChart } from './FitChart';
import styles from './Log.module.css';

const CONTENTS: Record<ContentsKind, string> = { flat: 'round flat things', thick: 'round thick things' };
/** Room that differs less than this is the same room, mm: half of the finest mark used at a table. */
const SAME = 0.8;

/** What the fits so far say about the room to leave, by kind of holder and of contents: offered, never forced. */
export function WhatFitsSay({ entries }: { readonly entries: readonly LogRecord[] }) {
  const { units } = useUnits();
  const [usual = {}, setUsual] = useSetting(USUAL_ROOM);
  // Until there is one of one's own the examples show how it works; they are never taken for the person's.
  const mine = ownMakes(entries);
  const examples = mine.length === 0;
  const groups = group(evidenceIn(examples ? entries : mine), (entry) => fitKey(entry.construction, entry.contents));
  if (groups.size === 0) return null;
  const graduation = FIT_MARKS[units];
  const say = (value: number): string => formatLength(mm(value), units, graduation, true);
  const keep = (key: string, room: Ease | null): void => {
    setUsual(({ [key]: _, ...others }) => (room ? { ...others, [key]: room } : others));
  };
  return (
    <section className={styles.noPrint}>
      <h2>What the fits say</h2>
      <p className={styles.said}>
        <Words>
          The middle of what each make would have wanted: the room its plan left, and more where it was tight. A fit
          that was not measured counts as {say(FELT)}.
        </Words>
      </p>
      <div className={styles.advice}>
        {[...groups].map(([key, own]) => {
          const { construction, contents } = fitKeyParts(key);
          const aim = constructionNamed(construction)?.ease.aim;
          const advice = roomFromFits(own, graduation);
          if (!aim || !advice) return null;
          const now = usual[key] ?? aim;
          const differs = (['width', 'height'] as const).some(
            (side) => Math.abs(advice[side].onMark - now[side]) > SAME,
          );
          return (
            <article key={key} aria-label={`${constructionNamed(construction)?.title} ${CONTENTS[contents]}`}>
              <h3>
                {constructionNamed(construction)?.title}, {CONTENTS[contents]}
                {examples && <ExampleTag />}
              </h3>
              <p>{restsOn(own, advice)}</p>
              {(['width', 'height'] as const).map((side) => (
                <FitChart key={side} side={side} makes={own} advice={advice[side]} />
              ))}
              <div className={styles.offer}>
                {differs ? (
                  <>
                    <span>
                      Leave <strong>{say(advice.width.onMark)}</strong> in the width,{' '}
                      <strong>{say(advice.height.onMark)}</strong> in the height; it is {say(now.width)} and{' '}
                      {say(now.height)} now.
                    </span>
                    {!examples && (
                      <Button onClick={() => keep(key, { width: advice.width.onMark, height: advice.height.onMark })}>
                        Make that my usual room
                      </Button>
                    )}
                  </>
                ) : (
                  <span>
                    {say(now.width)} and {say(now.height)}, {usual[key] ? 'your usual room' : 'what plans aim for'}, is
                    right.
                  </span>
                )}
                {usual[key] && <Button onClick={() => keep(key, null)}>Back to what plans aim for</Button>}
              </div>
            </article>
          );
        })}
      </div>
    </section>
  );
}

/** How many makes it rests on, and how sure that is. */
function restsOn(
  makes: readonly LogRecord[],
  { width, height }: { readonly width: RoomAdvice; readonly height: RoomAdvice },
): string {
  const count = makes.length;
  const off = makes.filter(({ fit }) => fit.width.how !== 'right' || fit.height.how !== 'right').length;
  const spread = Math.max(width.most - width.least, height.most - height.least);
  return `Rests on ${count} ${count === 1 ? 'make' : 'makes'}, ${off === 0 ? 'all just right' : `${off} of them not right`}${count < 3 ? ': a first hint, no more' : spread > 3 ? '; they do not agree well' : ''}.`;
}
