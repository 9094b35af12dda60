import { Select } from 'antd';
import { toolFor } from '@/core/choosing';
import { CONSTRUCTIONS, DOES, type Does } from '@/core/constructions';
import { inputOf, type DesignChange, type DesignInput } from '@/core/design';
import type { Tool } from '@/core/tools';
import { toolsOut } from '@/data/settings';
import { Link } from '../parts/Link';
import { useToolbox } from '../parts/useToolbox';
import type { BriefProps } from './brief';
import styles from './Brief.module.css';

const DOES_TITLE: Readonly<Record<Does, string>> = {
  closes: 'Closes over what it holds',
  opens: 'Open pockets',
  wraps: 'Goes round it',
  stands: 'Stands',
  gathers: 'Albums',
  decorates: 'For looks',
};
/** All holders, by what they do. */
const GROUPS = DOES.map((does) => ({
  label: DOES_TITLE[does],
  options: CONSTRUCTIONS.filter((one) => one.does === does).map(({ name, title }) => ({ value: name, label: title })),
}));

/** Which holder it is, another to try, and its page of advice. */
export function MadeAs({ design, onChange }: BriefProps) {
  const { construction } = design;
  const toolbox = useToolbox();
  /** The board that suits that holder, where the design is made with one of those that are out. */
  const boardFor = (name: string): Pick<DesignChange, 'tool'> => {
    if (!toolbox || !['envelope-board', 'scoring-board'].includes(design.tool.kind)) return {};
    const asked = { ...inputOf(design), construction: name, options: {} } as DesignInput;
    return { tool: toolFor(asked, toolsOut(toolbox)) as Tool };
  };
  return (
    <>
      <h2>Made as</h2>
      <Select
        aria-label="Made as"
        className={styles.wide}
        value={construction.name}
        showSearch={{ optionFilterProp: 'label' }}
        options={GROUPS}
        // What was decided for one holder means nothing for another: its options go, the rest stays.
        onChange={(name) =>
          onChange(
            { construction: name, options: null, ease: undefined, leastEase: undefined, ...boardFor(name) },
            'construction',
          )
        }
      />
      <p className={styles.purpose}>
        {construction.purpose} <Link href={`/holders/${construction.name}`}>How it is made</Link>
      </p>
    </>
  );
}
