import { Link } from '../parts/Link';
import { usePathname } from 'next/navigation';
import { MyUnitsSwitch } from '../parts/MyUnits';
import styles from './Tools.module.css';

const ROOMS = [
  { href: '/tools', label: 'On the table' },
  { href: '/tools/calibrate', label: 'Calibrate a board' },
  { href: '/tools/chart', label: 'My size chart' },
  { href: '/tools/try', label: 'Try a board' },
] as const;

interface ToolsHeadProps {
  readonly title: string;
  /** Left out where a plan is read in its own units. */
  readonly units?: boolean;
}

/** The rooms of Tools, and the units they speak in. */
export function ToolsHead({ title, units = true }: ToolsHeadProps) {
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
      {units && <MyUnitsSwitch />}
    </div>
  );
}
