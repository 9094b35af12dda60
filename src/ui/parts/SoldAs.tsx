import { soldAs, soldFor } from '@/core/constructions';
import { TOLERANCE } from '@/core/geometry';
import { useUnits } from './InUnits';

/** What a bought envelope is most likely called in the shop, where it measures more than that, and the card it is made for. */
export function SoldAs({ across, deep, className }: SoldAsProps) {
  const { say } = useUnits();
  const sides = (width: number, height: number): string => `${say(width)} × ${say(height)}`;
  const known = soldFor(across, deep);
  const sold = known?.envelope ?? { width: soldAs(across) ?? across, height: soldAs(deep) ?? deep };
  const more = Math.max(Math.abs(across - sold.width), Math.abs(deep - sold.height)) > TOLERANCE.drawn;
  const said = [
    ...(more ? [`Sold as ${sides(sold.width, sold.height)}, most likely: what it measures is what counts.`] : []),
    ...(known ? [`Made for a card of ${sides(known.card.width, known.card.height)}.`] : []),
  ];
  return said.length === 0 ? null : (
    <p className={className} role="note">
      {said.join(' ')}
    </p>
  );
}

interface SoldAsProps {
  readonly across: number;
  readonly deep: number;
  readonly className?: string | undefined;
}
