import { cardFor, soldAs } from '@/core/constructions';
import { useUnits } from './InUnits';

/** What a bought envelope is most likely called in the shop, where it measures more than that, and the card it is made for. */
export function SoldAs({ across, deep, className }: SoldAsProps) {
  const { say } = useUnits();
  const [one, other] = [soldAs(across), soldAs(deep)];
  const card = cardFor(across, deep);
  const sides = (...both: readonly number[]): string => both.map((side) => say(side)).join(' × ');
  const said = [
    ...(one === null && other === null
      ? []
      : [
          `Sold as ${sides(one ?? across, other ?? deep)}, most likely: it measures more, and what it measures is what counts.`,
        ]),
    ...(card ? [`Made for a card of ${sides(card.width, card.height)}.`] : []),
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
