'use client';

import { DndContext, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core';
import { Modal, Select } from 'antd';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { LIES, MOST_ALIKE, outermost, withSetInside, type Lie } from '@/core/sets';
import type { Project } from '@/data/db';
import { addProject } from '@/data/projects';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { LIE_TITLE } from '../parts/titles';
import { useTell } from '../parts/useTell';
import styles from './Shelf.module.css';

/** A card is pulled once the pointer went so far, px: before that it is pressed. */
const PULLED = 10;

/** Let go, a card is not pressed as well: the link it is would be followed. */
const notPressed = (event: Event): void => event.preventDefault();

interface Putting {
  readonly inner: Project;
  readonly outer: Project;
  readonly count: number;
  readonly lie: Lie;
}

/** The shelf with its cards to be pulled: one let go over another goes into it, as a new project; both stay as they are. */
export function PutTogether({ shelf, children }: { readonly shelf: readonly Project[]; readonly children: ReactNode }) {
  const { failed } = useTell();
  const router = useRouter();
  const [putting, setPutting] = useState<Putting | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: PULLED } }));
  const named = (id: unknown): Project | undefined => shelf.find((project) => project.id === id);
  const [put] = useOnce((now: Putting) => {
    const { inner, outer, count, lie } = now;
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
        if (inner && outer && inner !== outer) setPutting({ inner, outer, count: 1, lie: 'stacked' });
      }}
    >
      {children}
      {putting && (
        <Modal
          open
          title={`“${putting.inner.name}” into “${putting.outer.name}”?`}
          okText="Put them together"
          onOk={() => put(putting)}
          onCancel={() => setPutting(null)}
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
                value={putting.count}
                onChange={(count) => setPutting({ ...putting, count })}
              />
            </label>
            <Select<Lie>
              aria-label="How they lie"
              value={putting.lie}
              options={LIES.map((value) => ({ value, label: LIE_TITLE[value] }))}
              onChange={(lie) => setPutting({ ...putting, lie })}
            />
          </div>
        </Modal>
      )}
    </DndContext>
  );
}
