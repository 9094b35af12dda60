import type { ReactNode } from 'react';
import styles from './Empty.module.css';

/** In place of a list with nothing in it: says so, and what fills it. */
export const Empty = ({ children }: { readonly children: ReactNode }) => <p className={styles.empty}>{children}</p>;
