import { Select } from 'antd';
import { CARDS, MEASURED, sizeIn, sizeNamed } from '@/core/design';
import { mm } from '@/core/length';
import { useUnits } from '../parts/InUnits';
import { LengthField } from '../parts/LengthField';
import { inWords } from '../parts/Words';
import { sizeLabel, type BriefProps } from './brief';
import { SizeFields } from './SizeFields';
import styles from './Brief.module.css';

/** What is asked, and of what: an album is sized from the photos it is for. */
const ASKED = {
  size: { title: 'Its size', sides: ['Width', 'Height'] },
  photos: { title: 'The photos it is for', sides: ['Photo’s width', 'Photo’s height'] },
  contents: { title: 'What goes in', sides: ['Width', 'Height'] },
} as const;

/** Contents first: their size, by a usual name or measured. */
export function WhatGoesIn({ design, onChange }: BriefProps) {
  const { units } = useUnits();
  const { contents, thickness } = design;
  if (!contents) return null;
  const change = (part: Partial<typeof contents>, key: string): void =>
    onChange({ contents: { ...contents, ...part } }, key);
  const { does } = design.construction;
  const { title, sides } = ASKED[does === 'decorates' ? 'size' : does === 'gathers' ? 'photos' : 'contents'];
  return (
    <>
      <h2>{title}</h2>
      <Select
        {...inWords}
        aria-label="Usual sizes of contents"
        className={styles.wide}
        value={sizeNamed(CARDS, contents.width, contents.height, MEASURED)?.id ?? 'free'}
        options={[
          { value: 'free', label: 'My own size' },
          ...CARDS.map((card) => ({ value: card.id, label: sizeLabel(card, units), title: card.source })),
        ]}
        onChange={(id) => {
          const card = CARDS.find((c) => c.id === id);
          if (card) change(sizeIn(card, units), 'preset');
        }}
      />
      <SizeFields
        labels={sides}
        value={contents}
        least={5}
        onChange={(side, length) => change({ [side]: length }, side)}
      />
      <LengthField
        label="Thickness"
        hint="At its thickest place"
        value={thickness}
        least={0}
        most={60}
        onChange={(thick) => change({ thickness: mm(thick) }, 'thickness')}
      />
    </>
  );
}
