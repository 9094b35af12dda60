'use client';

import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { Button, Segmented, Switch } from 'antd';
import { Link } from '../parts/Link';
import { mm } from '@/core/length';
import { article } from '@/core/text';
import {
  figureOf,
  freshTool,
  MOST_TOOLS,
  ownedFigures,
  TOOLS,
  withChanged,
  type OwnTool,
  type ToolChange,
} from '@/core/tools';
import type { Setting } from '@/data/db';
import { HANDED, TOOLBOX } from '@/data/setting-kinds';
import { LengthField } from '../parts/LengthField';
import { useOnce } from '../parts/once';
import { Opened } from '../parts/Opened';
import { SetAside } from '../parts/SetAside';
import { TextField } from '../parts/TextField';
import { damagedIn, useAll, useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { Waiting } from '../parts/Waiting';
import { ToolsHead } from './ToolsHead';
import styles from './Tools.module.css';
import { newId } from '@/data/newId';

/** The tools one owns, what each is like, and which of them are out today. Plans follow. */
export const Tools = () => (
  <Opened what="Opening the toolbox">
    <MyTools />
  </Opened>
);

function MyTools() {
  const { undoable } = useTell();
  const [toolbox, save] = useSetting(TOOLBOX);
  const settings = useAll<Setting>('settings');
  const [handed = 'right', setHanded] = useSetting(HANDED);
  const [add] = useOnce(({ kind, title }: (typeof TOOLS)[number], count: number) =>
    save((now) => [...now, freshTool(kind, count > 0 ? `${title} ${count + 1}` : title, newId())]),
  );
  const remove = (tool: OwnTool, place: number): void => {
    save((now) => now.filter(({ id }) => id !== tool.id));
    undoable({
      key: tool.id,
      done: `“${tool.name}” is taken off the list`,
      back: () => save((now) => [...now.slice(0, place), tool, ...now.slice(place)]),
    });
  };
  return (
    <main className={styles.tools}>
      <ToolsHead title="My tools" />
      <p className={styles.lead}>
        What lies on the table today decides how steps are told: a score without a groove, a cut past the trimmer’s end
        or a punch that is put away are said before you cut.
      </p>
      <SetAside damaged={damagedIn(settings)} />
      <label className={styles.handed}>
        The hand that holds the knife and the folder
        <Segmented<'right' | 'left'>
          aria-label="The hand that holds the knife and the folder"
          value={handed}
          options={[
            { value: 'right', label: 'Right' },
            { value: 'left', label: 'Left: lay the table the other way round' },
          ]}
          onChange={setHanded}
        />
      </label>
      {!toolbox && <Waiting what="Opening the toolbox" />}
      <div className={styles.kinds}>
        {toolbox &&
          TOOLS.map((one) => {
            const { kind, title, plural } = one;
            const figures = ownedFigures(one);
            const own = toolbox.filter((tool) => tool.kind === kind);
            return (
              <section key={kind} className={styles.kind} aria-label={plural}>
                <h2>{plural}</h2>
                <ul>
                  {own.map((tool) => (
                    <ToolCard
                      key={tool.id}
                      tool={tool}
                      figures={figures}
                      onChange={(change) => save((now) => withChanged(now, tool.id, change))}
                      onRemove={() => remove(tool, toolbox.indexOf(tool))}
                    />
                  ))}
                  <li className={styles.add}>
                    <Button
                      icon={<PlusOutlined />}
                      disabled={toolbox.length >= MOST_TOOLS}
                      onClick={() => add(one, own.length)}
                    >
                      Add {article(title)} {title.toLowerCase()}
                    </Button>
                  </li>
                </ul>
              </section>
            );
          })}
      </div>
    </main>
  );
}

function ToolCard({
  tool,
  figures,
  onChange,
  onRemove,
}: {
  readonly tool: OwnTool;
  readonly figures: ReturnType<typeof ownedFigures>;
  readonly onChange: (change: ToolChange) => void;
  readonly onRemove: () => void;
}) {
  const value = (name: string): number => figureOf(tool, name) ?? 0;
  return (
    <li className={`${styles.card} ${tool.out ? '' : styles.away}`}>
      <div className={styles.cardHead}>
        <TextField
          variant="borderless"
          aria-label={`Name of ${tool.name}`}
          className={styles.name}
          value={tool.name}
          maxLength={60}
          needed
          onChange={(name) => onChange({ name })}
        />
        <Switch
          checked={tool.out}
          aria-label={`${tool.name} is out today`}
          checkedChildren="out"
          unCheckedChildren="away"
          onChange={(out) => onChange({ out })}
        />
        <Button
          type="text"
          icon={<DeleteOutlined />}
          aria-label={`Take ${tool.name} off the list`}
          onClick={onRemove}
        />
      </div>
      <div className={styles.figures}>
        {figures.map(({ name, title, hint, least, most }) => (
          <LengthField
            key={name}
            label={title}
            {...(hint ? { hint } : {})}
            least={least}
            most={most}
            value={value(name)}
            onChange={(length) => onChange({ [name]: mm(length) })}
          />
        ))}
      </div>
      {tool.kind === 'envelope-board' && (
        <p className={styles.more}>
          <Link href={`/tools/calibrate?t=${encodeURIComponent(tool.id)}`}>From a trial fold</Link> ·{' '}
          <Link href={`/tools/chart?t=${encodeURIComponent(tool.id)}`}>Its size chart</Link> ·{' '}
          <Link href={`/tools/try?t=${encodeURIComponent(tool.id)}`}>Try it</Link>
        </p>
      )}
    </li>
  );
}
