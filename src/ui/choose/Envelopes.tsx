'use client';

import { Button, Segmented } from 'antd';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useMemo } from 'react';
import { z } from '@/core/text/zod';
import { inches, mm, usualMarks, usualWords } from '@/core/length';
import { figureText, keyFigures, pictureOf } from '@/core/looks';
import { cutListOf, ENVELOPE_WAYS, setBegunIn, type Envelopes as Have, type EnvelopeWay } from '@/core/sets';
import { uncapitalised, several } from '@/core/text';
import { addProject } from '@/data/projects';
import { UNITS } from '@/data/setting-kinds';
import { SmallPicture } from '../draw/SmallPicture';
import { Boundary } from '../parts/Boundary';
import { LengthField } from '../parts/LengthField';
import { MyUnitsSwitch } from '../parts/MyUnits';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { Opened } from '../parts/Opened';
import { SoldAs } from '../parts/SoldAs';
import { plannedSet } from '../parts/plans';
import { useUnits } from '../parts/InUnits';
import { useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { useAsked } from '../parts/useUnsent';
import { Words } from '../parts/Words';
import { WhereToMeasure } from './WhereToMeasure';
import styles from './Choose.module.css';

/** Bought envelopes: measured, and what can be made of them. */
export const Envelopes = () => (
  <Opened what="Laying out the envelopes">
    <Measured />
  </Opened>
);

const ROOM = { width: 190, height: 130 };
const MOST = 120;

const length = z.number().positive();
const HAVE = z.object({
  across: length,
  deep: length,
  flap: length,
  shape: z.enum(['pointed', 'straight']),
  count: z.number().int().positive(),
  photo: z.object({ width: length, height: length }),
});
/** Square ones sold as 6 in, as they usually measure. */
const USUAL: Have = {
  across: inches(6.125),
  deep: inches(6.125),
  flap: inches(3),
  shape: 'pointed',
  count: 12,
  photo: { width: inches(4), height: inches(4) },
};

function Measured() {
  const { failed } = useTell();
  const router = useRouter();
  const [units = UNITS.fallback] = useSetting(UNITS);
  const { value, set, forget } = useAsked('envelopes', USUAL, HAVE);
  const have = value ?? USUAL;
  const change = (part: Partial<Have>): void => set(part);
  const shown = useDeferredValue(have);
  const [begin] = useOnce((way: EnvelopeWay) =>
    addProject({
      name: way.title,
      units,
      set: setBegunIn(usualMarks(units), way.set(have)),
    })
      .then((id) => {
        forget();
        router.push(`/bench?p=${id}`);
      })
      .catch(failed('It could not be started')),
  );
  return (
    <main className={styles.choose}>
      <h1>I have these envelopes</h1>
      <p className={styles.lead}>
        Measure one: {usualWords('sold sizes run up to 1/8 in over their name', units)}, and everything follows from
        what it really is.
      </p>
      <section className={styles.measured} aria-label="The envelopes">
        <WhereToMeasure have={have} />
        <div className={styles.has}>
          <MyUnitsSwitch />
          <div className={styles.sizes}>
            <LengthField
              label="A: along the mouth"
              value={mm(have.across)}
              least={30}
              most={500}
              onChange={(across) => change({ across })}
            />
            <LengthField
              label="B: into the mouth"
              value={mm(have.deep)}
              least={30}
              most={500}
              onChange={(deep) => change({ deep })}
            />
            <LengthField
              label="C: depth of the flap"
              value={mm(have.flap)}
              least={5}
              most={500}
              onChange={(flap) => change({ flap })}
            />
          </div>
          <SoldAs across={have.across} deep={have.deep} className={styles.soldAs} />
          <div className={styles.sizes}>
            <Segmented<Have['shape']>
              className={styles.shape}
              aria-label="Shape of the flap"
              value={have.shape}
              options={[
                { value: 'pointed', label: 'Pointed flap' },
                { value: 'straight', label: 'Straight flap' },
              ]}
              onChange={(shape) => change({ shape })}
            />
            <label className={styles.howMany}>
              How many
              <NumberField
                aria-label="How many envelopes"
                min={1}
                max={MOST}
                precision={0}
                value={have.count}
                onChange={(count) => change({ count })}
              />
            </label>
          </div>
          <div className={styles.sizes}>
            {(['width', 'height'] as const).map((side) => (
              <LengthField
                key={side}
                label={`The photos’ ${side}, for an album`}
                value={mm(have.photo[side])}
                least={20}
                most={400}
                onChange={(size) => change({ photo: { ...have.photo, [side]: size } })}
              />
            ))}
          </div>
        </div>
      </section>
      <ul className={styles.list} aria-label="What they can become">
        {ENVELOPE_WAYS.map((way) => (
          <li key={way.id}>
            <Boundary what={way.title} of={shown}>
              <Way way={way} have={shown} onTake={() => begin(way)} />
            </Boundary>
          </li>
        ))}
      </ul>
    </main>
  );
}

interface WayProps {
  readonly way: EnvelopeWay;
  readonly have: Have;
  readonly onTake: () => void;
}

/** One thing they can become, as it comes out. */
function Way({ way, have, onTake }: WayProps) {
  const { say, units } = useUnits();
  const wont = way.wont(have);
  const whole = useMemo(
    () => (wont === null ? plannedSet(setBegunIn(usualMarks(units), way.set(have))) : null),
    [way, have, wont, units],
  );
  const plan = whole && 'plan' in whole ? whole.plan : null;
  const made = plan?.parts.find(({ part }) => !part.given)?.plan;
  const pieces = plan
    ? cutListOf(plan).reduce((sum, cuts) => sum + cuts.pieces.reduce((all, { quantity }) => all + quantity, 0), 0)
    : 0;
  const finished = made?.made && keyFigures(made.made, made.design).find(({ id }) => id === 'finished');
  return (
    <div className={styles.answer}>
      <span className={styles.drawing} aria-hidden="true">
        {made?.made && <SmallPicture picture={pictureOf(made.made)} scale={0.55} room={ROOM} />}
      </span>
      <strong>{way.title}</strong>
      <span>{way.lead}</span>
      {wont !== null ? (
        <span role="note">{wont}</span>
      ) : finished ? (
        <span aria-live="polite">
          <Words>{`Finished ${figureText(finished, say)}; ${several(pieces, 'piece')} to cut.`}</Words>
        </span>
      ) : (
        <span role="alert">There is no room for it at this size: see what it says on the bench.</span>
      )}
      <Button type="primary" disabled={wont !== null} onClick={onTake}>
        Begin {uncapitalised(way.title)}
      </Button>
    </div>
  );
}
