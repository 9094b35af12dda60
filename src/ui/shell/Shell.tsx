'use client';

import { BulbOutlined, MoonOutlined, SunOutlined } from '@ant-design/icons';
import { AntdRegistry } from '@ant-design/nextjs-registry';
import { App, Button, ConfigProvider, theme as antTheme, Tooltip } from 'antd';
import dynamic from 'next/dynamic';
import { Link } from '../parts/Link';
import { usePathname } from 'next/navigation';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import type { Theme } from '@/data/setting-kinds';
import { Boundary } from '../parts/Boundary';
import { NewVersion } from './NewVersion';
import { useMedia } from './useMedia';
import { useNoClickThrough } from './useNoClickThrough';
import { componentTokens } from './tokens';
import styles from './Shell.module.css';

/** What the frame knows of what is kept: it loads once the frame is painted. */
const Kept = dynamic(() => import('./Kept').then((module) => module.Kept), { ssr: false });

const DARK = '(prefers-color-scheme: dark)';
const STILL = '(prefers-reduced-motion: reduce)';

const NEXT: Record<Theme, Theme> = { auto: 'light', light: 'dark', dark: 'auto' };
const THEME_WORD: Record<Theme, string> = { auto: 'as the device says', light: 'day', dark: 'evening' };
const THEME_ICON: Record<Theme, ReactNode> = { auto: <BulbOutlined />, light: <SunOutlined />, dark: <MoonOutlined /> };

/** Where one can always go. */
const PLACES = [
  { href: '/', label: 'Shelf' },
  { href: '/cutting', label: 'Cutting' },
  { href: '/stash', label: 'Stash' },
  { href: '/tools', label: 'Tools' },
  { href: '/log', label: 'Log' },
  { href: '/backup', label: 'Backup' },
] as const;

/** The frame round every screen: component theme, wordmark, light. */
export function Shell({ children }: { children: ReactNode }) {
  const path = usePathname();
  const [theme, setTheme] = useState<Theme>('auto');
  // Chosen, and not yet in the hands of what keeps it.
  const [chosen, setChosen] = useState<Theme | null>(null);
  const taken = useCallback(() => setChosen(null), []);
  const deviceDark = useMedia(DARK);
  const still = useMedia(STILL);
  useNoClickThrough();
  const dark = theme === 'dark' || (theme === 'auto' && deviceDark);
  useEffect(() => {
    document.documentElement.dataset.theme = dark ? 'dark' : 'light';
  }, [dark]);
  return (
    <AntdRegistry>
      <ConfigProvider
        theme={{
          algorithm: dark ? antTheme.darkAlgorithm : antTheme.defaultAlgorithm,
          token: {
            fontFamily: 'var(--body)',
            fontSize: 15,
            borderRadius: 6,
            controlHeight: 38,
            motion: !still,
            ...componentTokens(dark ? 'dark' : 'light'),
          },
        }}
      >
        <App>
          <header className={styles.bar}>
            <Link href="/" className={styles.mark} aria-label="Tuck Fold, to the shelf">
              <svg viewBox="0 0 34 24" width="34" height="24" aria-hidden="true">
                <path d="M2 4h30v18H2z" className={styles.markPaper} />
                <path d="M2 22 12.500 12 17 15.500 21.500 12 32 22" className={styles.markLine} />
                <path d="M2 4 17 16 32 4" className={styles.markFlap} />
              </svg>
              <span>Tuck Fold</span>
            </Link>
            <nav className={styles.places} aria-label="Places">
              {PLACES.map(({ href, label }) => (
                <Link
                  key={href}
                  href={href}
                  aria-current={(href === '/' ? path === '/' : path.startsWith(href)) ? 'page' : undefined}
                >
                  {label}
                </Link>
              ))}
            </nav>
            <span className={styles.saying}>measured, folded, proved before you cut</span>
            <Tooltip title={`Light: ${THEME_WORD[theme]}`}>
              <Button
                type="text"
                icon={THEME_ICON[theme]}
                aria-label={`Light: ${THEME_WORD[theme]}. Change.`}
                onClick={() => {
                  setTheme(NEXT[theme]);
                  setChosen(NEXT[theme]);
                }}
              />
            </Tooltip>
          </header>
          <Boundary what="What is kept">
            <Kept chosen={chosen} onTaken={taken} onTheme={setTheme} />
          </Boundary>
          <NewVersion making={path.startsWith('/make')} />
          <Boundary what="This screen" of={path}>
            {children}
          </Boundary>
        </App>
      </ConfigProvider>
    </AntdRegistry>
  );
}
