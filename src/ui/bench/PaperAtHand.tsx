import { Select } from 'antd';
import { constructionOptions, isSold } from '@/core/design';
import { LengthField } from '../parts/LengthField';
import { takesSquare, type BriefProps } from './brief';
import { OptionInput } from './Choices';
import { SizeFields } from './SizeFields';
import styles from './Brief.module.css';

/** Most sheets offered for all pieces of one holder; a document may tell more. */
const MOST_SHEETS = 6;

/** Paper first: its size, and what is decided on it. */
export function PaperAtHand({ design, made, onChange }: BriefProps) {
  const { blank, construction, thickness, contents, sheets } = design;
  if (!blank) return null;
  const first = made?.pieces[0].piece.blank;
  const takesAll = first !== undefined && first.width === blank.width && first.height === blank.height;
  const given = sheets ?? (takesAll || !isSold(blank) ? 0 : 1);
  return (
    <>
      <h2>The paper I have</h2>
      {takesSquare(construction) ? (
        <LengthField
          label="Square, each way"
          value={blank.width}
          least={10}
          onChange={(side) => onChange({ blank: { width: side, height: side } }, 'blank')}
        />
      ) : (
        <SizeFields
          labels={['Paper width', 'Paper height']}
          value={blank}
          least={10}
          onChange={(side, length) => onChange({ blank: { ...blank, [side]: length } }, `blank-${side}`)}
        />
      )}
      <div className={styles.pair}>
        {constructionOptions(construction.name)
          .filter((option) => option.onPaper)
          .map((option) => (
            <OptionInput key={option.name} option={option} design={design} onChange={onChange} />
          ))}
      </div>
      {(sheets !== null || (made?.pieces.length ?? 0) > 1) && (
        <Select
          aria-label="What comes from this paper"
          className={styles.wide}
          value={given}
          options={[
            ...(given === 0 || !isSold(blank) ? [{ value: 0, label: 'Its first piece takes it all' }] : []),
            ...Array.from({ length: Math.max(MOST_SHEETS, given) }, (_, i) => ({
              value: i + 1,
              label: i === 0 ? 'All its pieces, from this one sheet' : `All its pieces, from ${i + 1} such sheets`,
            })),
          ]}
          onChange={(count) => onChange({ sheets: count === 0 ? undefined : count }, 'sheets')}
        />
      )}
      <LengthField
        label="Thickness to make room for"
        value={thickness}
        least={0}
        most={60}
        onChange={(thick) => onChange({ contents: { ...contents, thickness: thick } }, 'thickness')}
      />
    </>
  );
}
