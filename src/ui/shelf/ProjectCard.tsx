'use client';

import { EllipsisOutlined } from '@ant-design/icons';
import { Button, Dropdown } from 'antd';
import dayjs from 'dayjs';
import relativeTime from 'dayjs/plugin/relativeTime';
import Link from 'next/link';
import { foldedBox, mouthView } from '@/core/fold';
import { CARDS, sizeNamed, type Made } from '@/core/plan';
import type { Project } from '@/data/db';
import { usePlan } from '../bench/usePlan';
import { Figure } from '../parts/Figure';
import { FoldedFace } from '../draw/FoldedFace';
import styles from './Shelf.module.css';

dayjs.extend(relativeTime);

interface ProjectCardProps {
  readonly project: Project;
  readonly onRename: () => void;
  readonly onDuplicate: () => void;
  readonly onBin: () => void;
}

/** One scale for the whole shelf, so that a ticket looks smaller than a postcard; px to a millimetre. */
const SHELF_SCALE = 1;
/** Room for a drawing on its card, px; only what is larger is drawn smaller. */
const ROOM = { width: 230, height: 136 };

/** A project on the shelf: the folded thing drawn to scale, its name and what it is. */
export function ProjectCard({ project, onRename, onDuplicate, onBin }: ProjectCardProps) {
  const planned = usePlan(project.design);
  const made = 'plan' in planned ? planned.plan.made : null;
  const contents = made && 'design' in planned ? (planned.design.contents ?? made.largest) : null;
  const figure = (value: number, unit = true) => (
    <Figure value={value} units={project.units} graduation={project.design.graduation ?? '1/8 in'} unit={unit} />
  );
  const usual = made?.fit && contents ? sizeNamed(CARDS, contents.width, contents.height) : null;
  const failing = !('checks' in planned) || planned.checks.some((check) => check.level === 'fail');
  return (
    <li className={styles.project}>
      <Link href={`/bench?p=${encodeURIComponent(project.id)}`} className={styles.open}>
        <span className={styles.picture}>{made && <Picture made={made} />}</span>
        <strong>{project.name}</strong>
        <span className={styles.what}>
          {made && (
            <>
              {made.fit ? 'Holds ' : 'Holds up to '}
              {usual ? (
                `${/^(A\d|ID)/.test(usual.title) ? 'an' : 'a'} ${usual.title}`
              ) : (
                <>
                  {figure(contents!.width, false)} × {figure(contents!.height)}
                </>
              )}
              , from a {figure(made.built.piece.blank.width)} square
            </>
          )}
          {failing && <em> Not ready to cut.</em>}
        </span>
        <span className={styles.when} suppressHydrationWarning>
          {dayjs(project.updatedAt).fromNow()}
        </span>
      </Link>
      <Dropdown
        trigger={['click']}
        autoFocus
        menu={{
          items: [
            { key: 'rename', label: 'Rename', onClick: onRename },
            { key: 'duplicate', label: 'Duplicate', onClick: onDuplicate },
            { key: 'bin', label: 'Move to the bin', onClick: onBin },
          ],
        }}
      >
        <Button
          type="text"
          className={styles.menu}
          icon={<EllipsisOutlined />}
          aria-label={`More for ${project.name}`}
        />
      </Dropdown>
    </li>
  );
}

function Picture({ made }: { made: Made }) {
  const stack = made.folded.finished;
  const view = mouthView(stack, made.built.cavities[0]);
  const box = foldedBox(stack, view);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const scale = Math.min(SHELF_SCALE, ROOM.width / width, ROOM.height / height);
  return (
    <svg width={width * scale + 2} height={height * scale + 2} aria-hidden="true">
      <FoldedFace stack={stack} view={view} face="back" scale={scale} x={1} y={1} />
    </svg>
  );
}
