'use client';

import { DndContext, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core';
import { Modal, Select } from 'antd';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { LIES, MOST_ALIKE, outermost, withSetInside, type Lie } from '@/core/sets';
import { z } from '@/core/text/zod';
import type { Project } from '@/data/db';
import { addProject } from '@/data/projects';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { LIE_TITLE } from '../parts/titles';
import { useTell } from '../parts/useTell';
import { useUnsent } from '../parts/useUnsent';
import styles from './Shelf.module.css';

/** A card is pulled once the pointer went so far, px: before that it is pressed. */
const PULLED = 10;

/** Let go, a card is not pressed as well: the link it is would be followed. */
const notPressed = (event: Event): void => event.preventDefault();

interface Putting {
  readonly inner: Project;
  readonly outer: Project;
}
/** How one goes into the other. */
const HOW = z.object({ count: z.number().int().positive(), lie: z.enum(LIES) });
const USUAL: z.infer<typeof HOW> = { count: 1, lie: 'stacked' };

/** The shelf with its cards to be pulled: one let go over another goes into it, as a new project; both stay as they are. */
export function PutTogether({ shelf, children }: { readonly shelf: readonly Project[]; readonly children: ReactNode }) {
  const { failed } = useTell();
  const router = useRouter();
  const [putting, setPutting] = useState<Putting | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: PULLED } }));
  const named = (id: unknown): Project | undefined => shelf.find((project) => project.id === id);
  const [put] = useOnce(({ inner, outer }: Putting, { count, lie }: z.infer<typeof HOW>) => {
    const [holder] = outermost(outer.set).filter(({ round }) => round === undefined);
    const set = withSetInside(outer.set, (holder ?? outer.set.parts.at(-1)!).id, inner.set, { count, lie });
    return addProject({ name: `${inner.name}, in ${outer.name}`.slice(0, 120), units: outer.units, set })
      .then((id) => router.push(`/bench?p=${id}`))
      .catch(failed('They could not be put together'));
  });
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={() => window.addEventListener('click', notPressed, true)}
      onDragCancel={() => window.removeEventListener('click', notPressed, true)}
      onDragEnd={({ active, over }) => {
        setTimeout(() => window.removeEventListener('click', notPressed, true));
        const [inner, outer] = [named(active.id), named(over?.id)];
        if (inner && outer && inner !== outer) setPutting({ inner, outer });
      }}
    >
      {children}
      {putting && (
        <HowIn
          key={`${putting.inner.id}/${putting.outer.id}`}
          putting={putting}
          onPut={(how) => put(putting, how)}
          onLeave={() => setPutting(null)}
        />
      )}
    </DndContext>
  );
}

interface HowInProps {
  readonly putting: Putting;
  readonly onPut: (how: z.infer<typeof HOW>) => Promise<unknown> | void;
  readonly onLeave: () => void;
}

/** How many of the one go into the other, and how they lie there. */
function HowIn({ putting: { inner, outer }, onPut, onLeave }: HowInProps) {
  const { value, set, forget } = useUnsent(`put/${inner.id}/${outer.id}`, USUAL, HOW);
  const { count, lie } = value ?? USUAL;
  return (
    <Modal
      open
      title={`“${inner.name}” into “${outer.name}”?`}
      okText="Put them together"
      onOk={() => {
        forget();
        return onPut({ count, lie });
      }}
      onCancel={() => {
        forget();
        onLeave();
      }}
    >
      <p>A new project: what holds the other follows its size. Both of these stay as they are.</p>
      <div className={styles.putting}>
        <label>
          How many in one{' '}
          <NumberField
            aria-label="How many in one"
            min={1}
            max={MOST_ALIKE}
            precision={0}
            value={count}
            onChange={(next) => set({ count: next })}
          />
        </label>
        <Select<Lie>
          aria-label="How they lie"
          value={lie}
          options={LIES.map((one) => ({ value: one, label: LIE_TITLE[one] }))}
          onChange={(next) => set({ lie: next })}
        />
      </div>
    </Modal>
  );
}
