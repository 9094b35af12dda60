import { Button } from 'antd';
import { panelName, type Made } from '@/core/plan';
import type { Design, DesignChange } from '@/core/design';
import { listed } from '@/core/text';
import { useUnits } from '../parts/InUnits';
import styles from './Brief.module.css';

interface SpoiledSheetProps {
  readonly design: Design;
  readonly made: Made | null;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** Says that a piece is made of a sheet that went wrong, and how it is mended; a new one takes its place at a touch. */
export function SpoiledSheet({ design: { rescued }, made, onChange }: SpoiledSheetProps) {
  const { say } = useUnits();
  if (!rescued) return null;
  const { piece, sheet, strips, joined } = rescued;
  const names = (panels: readonly string[]): string =>
    listed(
      panels.map((id) => (made ? panelName(made.built, id) : id)),
      'the ',
    );
  const mends = [
    ...(joined.length > 0 ? [`the ${names(joined)} made anew`] : []),
    ...(strips.length > 0 ? [`a strip behind the ${names(strips)}`] : []),
  ];
  return (
    <section role="note" aria-label="The sheet that went wrong" className={styles.spoiled}>
      <strong>The {piece} is made of the sheet that went wrong</strong>
      <p>
        It is {say(sheet.width)} × {say(sheet.height)}
        {mends.length > 0 ? `, ${mends.join(' and ')}` : ''}. The steps tell what is left to do.
      </p>
      <Button size="small" onClick={() => onChange({ rescued: undefined }, 'new-sheet')}>
        Take a new sheet instead
      </Button>
    </section>
  );
}
