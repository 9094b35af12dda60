'use client';

import { EllipsisOutlined } from '@ant-design/icons';
import { Button, Dropdown } from 'antd';
import dayjs from 'dayjs';
import relativeTime from 'dayjs/plugin/relativeTime';
import Link from 'next/link';
import { constructionNamed } from '@/core/constructions';
import { lengthParts } from '@/core/length';
import { article } from '@/core/text';
import { CARDS, pictureOf, sizeNamed, type Made } from '@/core/plan';
import type { Project } from '@/data/db';
import { usePlan } from '../parts/plans';
import { download } from '../parts/download';
import { Figure } from '../parts/Figure';
import { projectAlong } from '../parts/projectAlong';
import { SmallPicture } from '../draw/SmallPicture';
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
  const usual =
    made && contents && 'design' in planned && planned.design.contents
      ? sizeNamed(CARDS, contents.width, contents.height)
      : null;
  const failing = !('checks' in planned) || planned.checks.some((check) => check.level === 'fail');
  const unread = 'issues' in planned ? planned.issues[0]?.message : undefined;
  return (
    <li className={styles.project}>
      <Link href={`/bench?p=${encodeURIComponent(project.id)}`} className={styles.open}>
        <span className={styles.picture}>
          {made && <SmallPicture picture={pictureOf(made)} scale={SHELF_SCALE} room={ROOM} />}
        </span>
        <strong>{project.name.trim() || 'Untitled'}</strong>
        <span className={styles.kind}>{constructionNamed(project.design.construction)?.title}</span>
        <span className={styles.what}>
          {made && (
            <>
              {made.holds.length === 0 ? 'Made for ' : made.fit ? 'Holds ' : 'Holds up to '}
              {usual ? (
                `${article(usual.title)} ${usual.title}`
              ) : (
                <>
                  {figure(contents!.width, false)} × {figure(contents!.height)}
                </>
              )}
              <Blanks made={made} project={project} />
            </>
          )}
          {unread ? <em>It cannot be read: {unread}</em> : failing && <em> Not ready to cut.</em>}
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
              label: 'Save as file (JSON)',
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
  );
}

/** "from a 6 in square", "from 8 1/2 × 11 in", "from 4 pieces". */
function Blanks({ made, project }: { made: Made; project: Project }) {
  const figure = (value: number, unit = true) => (
    <Figure value={value} units={project.units} graduation={project.design.graduation ?? '1/8 in'} unit={unit} />
  );
  if (made.pieces.length > 1) return <>, from {made.pieces.length} pieces</>;
  const { width, height } = made.pieces[0].piece.blank;
  if (Math.abs(width - height) < 1e-6) {
    const { units, design } = project;
    const { whole } = lengthParts(width, units, design.graduation ?? '1/8 in');
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
