import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { Units } from '@/core/length';
import { UnitsSwitch } from '../parts/UnitsSwitch';
import styles from './Tools.module.css';

const ROOMS = [
  { href: '/tools', label: 'On the table' },
  { href: '/tools/calibrate', label: 'Calibrate a board' },
  { href: '/tools/chart', label: 'My size chart' },
  { href: '/tools/try', label: 'Try a board' },
] as const;

/** The rooms of Tools, and the units they speak in. */
export function ToolsHead({
  title,
  units,
  onUnits,
}: {
  readonly title: string;
  readonly units: Units;
  readonly onUnits: (units: Units) => void;
}) {
  const path = usePathname();
  return (
    <div className={styles.head}>
      <h1>{title}</h1>
      <nav aria-label="Rooms of Tools" className={styles.rooms}>
        {ROOMS.map(({ href, label }) => (
          <Link key={href} href={href} aria-current={path === href ? 'page' : undefined}>
            {label}
          </Link>
        ))}
      </nav>
      <UnitsSwitch value={units} onChange={onUnits} />
    </div>
  );
}
