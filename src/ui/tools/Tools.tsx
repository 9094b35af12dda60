'use client';

import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { App, Button, Input, Spin, Switch } from 'antd';
import Link from 'next/link';
import { mm, type Graduation, type Units } from '@/core/length';
import { OWN_TOOLS, ownToolSchema, type OwnTool, type Toolbox } from '@/core/tools';
import { changeToolbox } from '@/data/settings';
import { LengthField } from '../parts/LengthField';
import { useToolbox } from '../parts/useToolbox';
import { useUnits } from '../parts/useUnits';
import { ToolsHead } from './ToolsHead';
import styles from './Tools.module.css';

/** The tools one owns, what each is like, and which of them are out today. Plans follow. */
export function Tools() {
  const { message, notification } = App.useApp();
  const toolbox = useToolbox();
  const { units, graduation, set } = useUnits();
  const save = (change: (now: Toolbox) => Toolbox): void => {
    changeToolbox(change).catch((error: Error) => void message.error(`The tools could not be kept: ${error.message}`));
  };
  const remove = (tool: OwnTool, place: number): void => {
    save((now) => now.filter(({ id }) => id !== tool.id));
    notification.open({
      key: tool.id,
      title: `“${tool.name}” is taken off the list`,
      actions: (
        <Button
          type="primary"
          onClick={() => {
            save((now) => [...now.slice(0, place), tool, ...now.slice(place)]);
            notification.destroy(tool.id);
          }}
        >
          Put it back
        </Button>
      ),
      duration: 8,
    });
  };
  return (
    <main className={styles.tools}>
      <ToolsHead title="My tools" units={units} onUnits={set} />
      <p className={styles.lead}>
        What lies on the table today decides how steps are told: a score without a groove, a cut past the trimmer’s end
        or a punch that is put away are said before you cut.
      </p>
      {!toolbox && <Spin aria-label="Opening the toolbox" />}
      <div className={styles.kinds}>
        {toolbox &&
          OWN_TOOLS.map(({ kind, title, plural, figures, fresh }) => {
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
                      units={units}
                      graduation={graduation}
                      onChange={(next) => save((now) => now.map((t) => (t.id === tool.id ? next : t)))}
                      onRemove={() => remove(tool, toolbox.indexOf(tool))}
                    />
                  ))}
                  <li className={styles.add}>
                    <Button
                      icon={<PlusOutlined />}
                      onClick={() =>
                        save((now) => [
                          ...now,
                          ownToolSchema.parse({
                            id: crypto.randomUUID(),
                            name: own.length > 0 ? `${title} ${own.length + 1}` : title,
                            out: true,
                            kind,
                            ...fresh,
                          }),
                        ])
                      }
                    >
                      Add {/^[aeiou]/i.test(title) ? 'an' : 'a'} {title.toLowerCase()}
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
  units,
  graduation,
  onChange,
  onRemove,
}: {
  readonly tool: OwnTool;
  readonly figures: (typeof OWN_TOOLS)[number]['figures'];
  readonly units: Units;
  readonly graduation: Graduation;
  readonly onChange: (tool: OwnTool) => void;
  readonly onRemove: () => void;
}) {
  const value = (name: string): number => (tool as unknown as Record<string, number>)[name]!;
  return (
    <li className={`${styles.card} ${tool.out ? '' : styles.away}`}>
      <div className={styles.cardHead}>
        <Input
          variant="borderless"
          aria-label={`Name of ${tool.name}`}
          className={styles.name}
          value={tool.name}
          maxLength={60}
          onChange={(event) => onChange({ ...tool, name: event.target.value })}
        />
        <Switch
          checked={tool.out}
          aria-label={`${tool.name} is out today`}
          checkedChildren="out"
          unCheckedChildren="away"
          onChange={(out) => onChange({ ...tool, out })}
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
            units={units}
            graduation={graduation}
            least={least}
            most={most}
            value={value(name)}
            onChange={(length) => onChange({ ...tool, [name]: mm(length) } as OwnTool)}
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
