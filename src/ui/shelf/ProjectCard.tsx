'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import { EllipsisOutlined } from '@ant-design/icons';
import { Button, Dropdown } from 'antd';
import dayjs from 'dayjs';
import relativeTime from 'dayjs/plugin/relativeTime';
import { Link } from '../parts/Link';
import { lengthParts, mm } from '@/core/length';
import { isSquare } from '@/core/pattern';
import { article, several } from '@/core/text';
import type { Project } from '@/data/db';
import { isExample } from '@/data/examples';
import { ExampleTag } from '../parts/ExampleTag';
import { download } from '../parts/download';
import { Figure } from '../parts/Figure';
import { projectAlong } from '../parts/projectAlong';
import { SmallPicture } from '../draw/SmallPicture';
import { InUnits, useUnits } from '../parts/InUnits';
import { useInSight } from './useInSight';
import type { Card } from './card';
import { kindOf } from './kindOf';
import { useCard } from './useCard';
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
  const [sightRef, inSight] = useInSight();
  const card = useCard(project.set, inSight, isExample(project));
  const drag = useDraggable({ id: project.id });
  const drop = useDroppable({ id: project.id });
  const figure = (value: number, unit = true) => <Figure value={value} unit={unit} />;
  return (
    <InUnits units={project.units} graduation={project.set.graduation ?? '1/8 in'}>
      <li
        ref={(node) => {
          drag.setNodeRef(node);
          drop.setNodeRef(node);
        }}
        className={styles.project}
        data-over={(drop.isOver && drop.active?.id !== project.id) || undefined}
        data-pulled={drag.isDragging || undefined}
        style={drag.transform ? { transform: `translate(${drag.transform.x}px, ${drag.transform.y}px)` } : undefined}
        // By name it goes with the keyboard: “Add” on the bench.
        onPointerDown={(event) => drag.listeners?.onPointerDown?.(event)}
      >
        <Link href={`/bench?p=${encodeURIComponent(project.id)}`} className={styles.open} draggable={false}>
          <span className={styles.picture} ref={sightRef}>
            {card?.picture && <SmallPicture picture={card.picture} scale={SHELF_SCALE} room={ROOM} />}
          </span>
          <strong>{project.name.trim() || 'Untitled'}</strong>
          <span className={styles.kind}>
            {card?.kind ?? kindOf(project)}
            {isExample(project) && <ExampleTag />}
          </span>
          <span className={styles.what}>
            {card?.holds && (
              <>
                {card.holds}{' '}
                {card.usual ? (
                  `${article(card.usual)} ${card.usual}`
                ) : (
                  <>
                    {figure(card.contents!.width, false)} × {figure(card.contents!.height)}
                  </>
                )}
                <Blanks card={card} />
              </>
            )}
            {card?.unread ? <em>It cannot be read: {card.unread}</em> : card?.failing && <em> Not ready to cut.</em>}
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
              {
                key: 'along',
                label: 'Hand on or keep: project file (JSON)',
                onClick: () => {
                  const { name, content } = projectAlong(project);
                  download(name, 'application/json', content());
                },
              },
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
    </InUnits>
  );
}

/** "from a 6 in square", "from 8 1/2 × 11 in", "from 4 pieces". */
function Blanks({ card: { pieces, sheets, blank } }: { readonly card: Card }) {
  const { units, graduation } = useUnits();
  const figure = (value: number, unit = true) => <Figure value={value} unit={unit} />;
  if (sheets > 0)
    return (
      <>
        , {several(pieces, 'piece')} from {several(sheets, 'sheet')}
      </>
    );
  if (pieces > 1) return <>, from {pieces} pieces</>;
  const { width, height } = blank!;
  if (isSquare(blank!)) {
    const { whole } = lengthParts(mm(width), units, graduation);
    return (
      <>
        , from {article(whole)} {figure(width)} square
      </>
    );
  }
  return (
    <>
      , from {figure(width, false)} × {figure(height)}
    </>
  );
}
