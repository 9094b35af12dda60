import { soldAs } from '@/core/constructions';
import { useUnits } from './InUnits';

/** What a bought envelope is most likely called in the shop, where it measures more than that. */
export function SoldAs({ across, deep, className }: SoldAsProps) {
  const { say } = useUnits();
  const [one, other] = [soldAs(across), soldAs(deep)];
  if (one === null && other === null) return null;
  const name = [one ?? across, other ?? deep].map((side) => say(side)).join(' × ');
  return (
    <p className={className} role="note">
      Sold as {name}, most likely: it measures more, and what it measures is what counts.
    </p>
  );
}

interface SoldAsProps {
  readonly across: number;
  readonly deep: number;
  readonly className?: string | undefined;
}
