import { Link } from './Link';
import type { ReactNode } from 'react';
import styles from './MainLink.module.css';

/** Where to go from here, of all there is on a screen. */
export const MainLink = ({ href, children }: { readonly href: string; readonly children: ReactNode }) => (
  <Link href={href} className={styles.main}>
    {children}
  </Link>
);
