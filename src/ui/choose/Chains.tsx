'use client';

import { Button } from 'antd';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { z } from '@/core/text/zod';
import { mm, usualMarks, type Graduation } from '@/core/length';
import { pictureOf } from '@/core/looks';
import { CHAINS, cutListOf, setBegunIn, type Begun, type Chain } from '@/core/sets';
import { capitalised, several } from '@/core/text';
import { addProject } from '@/data/projects';
import { UNITS } from '@/data/setting-kinds';
import { SmallPicture } from '../draw/SmallPicture';
import { Boundary } from '../parts/Boundary';
import { LengthField } from '../parts/LengthField';
import { MyUnitsSwitch } from '../parts/MyUnits';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { Opened } from '../parts/Opened';
import { plannedSet } from '../parts/plans';
import { useUnits } from '../parts/InUnits';
import { useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { useAsked } from '../parts/useUnsent';
import { Words } from '../parts/Words';
import styles from './Choose.module.css';

/** Ready chains to start from, each from the one thing a person has. */
export const Chains = () => (
  <Opened what="Laying out the chains">
    <AllChains />
  </Opened>
);

/** Longest that is taken up again from a draft, mm. */
const LONGEST = 10_000;
const length = z.number().nonnegative().max(LONGEST);
/** The chain that is chosen, and what was told of each. */
const TOLD = z.object({
  id: z.string(),
  begun: z.record(
    z.string(),
    z.object({ width: length, height: length, thickness: length, count: z.number().int().positive() }),
  ),
});
const FRESH: z.infer<typeof TOLD> = { id: CHAINS[0]!.id, begun: {} };

const MOST = 60;
const ROOM = { width: 96, height: 72 };

function AllChains() {
  const { failed } = useTell();
  const router = useRouter();
  const [units = UNITS.fallback] = useSetting(UNITS);
  const { value, set, forget } = useAsked('sets', FRESH, TOLD);
  const { id, begun } = value ?? FRESH;
  const chosen = CHAINS.find((chain) => chain.id === id) ?? CHAINS[0]!;
  const now = begun[chosen.id] ?? chosen.usual;
  const change = (part: Partial<Begun>): void =>
    set(({ begun: all }) => ({
      begun: { ...all, [chosen.id]: { ...(all[chosen.id] ?? chosen.usual), ...part } },
    }));
  const marks = usualMarks(units);
  const [begin] = useOnce(() =>
    addProject({ name: chosen.title, units, set: setBegunIn(marks, chosen.set(now)) })
      .then((project) => {
        forget();
        router.push(`/bench?p=${project}`);
      })
      .catch(failed('It could not be started')),
  );
  return (
    <main className={styles.choose}>
      <h1>Several things together</h1>
      <p className={styles.lead}>
        Choose a chain and say what you have: everything round it follows its size, and goes on following it.
      </p>
      <ul className={styles.chains} aria-label="Chains to start from">
        {CHAINS.map((chain) => (
          <li key={chain.id}>
            <button type="button" aria-pressed={chain.id === chosen.id} onClick={() => set({ id: chain.id })}>
              <Boundary what={chain.title}>
                <ChainPicture chain={chain} />
              </Boundary>
              <span>
                <strong>{chain.title}</strong>
                <span>{chain.lead}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      <section className={styles.has} aria-label={chosen.has}>
        <h2>{chosen.has}</h2>
        <MyUnitsSwitch />
        <div className={styles.sizes}>
          {(['width', 'height', 'thickness'] as const).map((side) => (
            <LengthField
              key={`${chosen.id} ${side}`}
              label={capitalised(side)}
              value={now[side]}
              least={side === 'thickness' ? 0 : 10}
              most={side === 'thickness' ? 60 : 600}
              onChange={(length) => change({ [side]: mm(length) })}
            />
          ))}
          <label className={styles.howMany}>
            How many
            <NumberField
              key={chosen.id}
              aria-label="How many"
              min={1}
              max={MOST}
              precision={0}
              value={now.count}
              onChange={(count) => change({ count })}
            />
          </label>
        </div>
        <WhatComes chain={chosen} begun={now} marks={marks} />
        <Button type="primary" size="large" onClick={() => begin()}>
          Begin this set
        </Button>
      </section>
    </main>
  );
}

/** The outermost thing of a chain as it usually comes out. */
function ChainPicture({ chain }: { readonly chain: Chain }) {
  const whole = useMemo(() => plannedSet(chain.set(chain.usual)), [chain]);
  const shown = 'plan' in whole ? whole.plan.parts.filter(({ part }) => !part.round).at(-1)?.plan.made : null;
  return (
    <span className={styles.chainPicture} aria-hidden="true">
      {shown && <SmallPicture picture={pictureOf(shown)} scale={0.36} room={ROOM} />}
    </span>
  );
}

interface WhatComesProps {
  readonly chain: Chain;
  readonly begun: Begun;
  readonly marks: Graduation;
}

/** The parts and how large each comes out, before it is begun. */
function WhatComes({ chain, begun, marks }: WhatComesProps) {
  const { say } = useUnits();
  const whole = useMemo(() => plannedSet(setBegunIn(marks, chain.set(begun))), [chain, begun, marks]);
  if (!('plan' in whole)) return <p role="alert">{whole.issues.map(({ message }) => message).join(' ')}</p>;
  const pieces = cutListOf(whole.plan).reduce(
    (sum, cuts) => sum + cuts.pieces.reduce((all, { quantity }) => all + quantity, 0),
    0,
  );
  return (
    <p className={styles.comes} aria-live="polite">
      <Words>
        {`${whole.plan.parts
          .map(({ part, own: outside }) =>
            outside
              ? `${part.quantity > 1 ? `${part.quantity} × ` : ''}${part.name} ${say(outside.width)} × ${say(outside.height)}, ${say(outside.thickness)} thick`
              : `${part.name}: no pattern`,
          )
          .join('; ')}. ${several(pieces, 'piece')} to cut.`}
      </Words>
    </p>
  );
}
