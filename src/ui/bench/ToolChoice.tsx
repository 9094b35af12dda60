import { Select } from 'antd';
import { formatLength, mm, type Mm } from '@/core/length';
import { benchFigures, boardsOf, figureOf, OFFERED, planTool, sameTool, withFigure, type Tool } from '@/core/tools';
import { useUnits } from '../parts/InUnits';
import { LengthField } from '../parts/LengthField';
import { Link } from '../parts/Link';
import { useToolbox } from '../parts/useToolbox';
import { takesSquare, type BriefProps } from './brief';
import styles from './Brief.module.css';

/** The tool it is scored and punched with, and its figures. */
export function ToolChoice({ design, onChange }: BriefProps) {
  const { units } = useUnits();
  const toolbox = useToolbox();
  const { tool, construction } = design;
  const say = (value: number): string => formatLength(mm(value), units, units === 'in' ? '1/32 in' : '0.5 mm', true);
  const boards = toolbox ? boardsOf(toolbox) : [];
  const own = boards.find((board) => sameTool(tool, board.tool));
  // Of a kind that is owned, the owned ones stand in the list; what this project has besides stands there too.
  const others = OFFERED.filter(({ kind }) => kind === tool.kind || !boards.some((board) => board.tool.kind === kind));
  const told = planTool(tool).told?.(tool, say);
  const figures = benchFigures(tool).filter(({ notched }) => !notched || takesSquare(construction));
  const change = (name: string, length: Mm | undefined): void => {
    onChange({ tool: withFigure(tool, name, length) }, `tool-${name}`);
  };
  return (
    <>
      <h2>Tool</h2>
      <Select
        aria-label="Tool"
        className={styles.wide}
        value={own ? own.own.id : tool.kind}
        options={[
          ...boards.map(({ own: { id, name } }) => ({ value: id, label: name })),
          ...others
            .filter(({ kind }) => !own || kind !== tool.kind)
            .map(({ kind, label, common }) => ({
              value: kind as string,
              label: !common && boards.some((board) => board.tool.kind === kind) ? 'This project’s own' : label,
            })),
        ]}
        onChange={(chosen: string) => {
          const board = boards.find((b) => b.own.id === chosen);
          onChange({ tool: board ? { ...board.tool } : { kind: chosen as Tool['kind'] } }, 'tool');
        }}
      />
      {told && (
        <>
          <p className={styles.board}>{told}</p>
          <Link href="/tools" className={styles.toTools}>
            My tools and their figures
          </Link>
        </>
      )}
      {figures.length > 0 && (
        <div className={figures.length > 1 ? styles.pair : undefined}>
          {figures.map(({ name, title, hint, clears, least, most }) => (
            <LengthField
              key={`${tool.kind} ${name}`}
              label={title}
              {...(hint && { hint })}
              {...(clears && { placeholder: clears, onClear: () => change(name, undefined) })}
              value={figureOf(tool, name)}
              least={least}
              most={most}
              onChange={(length) => change(name, mm(length))}
            />
          ))}
        </div>
      )}
    </>
  );
}
