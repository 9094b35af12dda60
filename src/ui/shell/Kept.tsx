'use client';

import { useEffect } from 'react';
import { openData } from '@/data/opened';
import { HANDED, THEME, type Theme } from '@/data/setting-kinds';
import { Reminder } from '../backup/Reminder';
import { Boundary } from '../parts/Boundary';
import { useSetting } from '../parts/useKept';
import { Unkept } from './Unkept';

interface KeptProps {
  /** The light the person has just chosen; null when it is kept. */
  readonly chosen: Theme | null;
  readonly onTaken: () => void;
  readonly onTheme: (theme: Theme) => void;
}

/** What the frame of every screen knows of what is kept: the light, the hand, what could not be kept, the reminder. */
export function Kept({ chosen, onTaken, onTheme }: KeptProps) {
  const [theme, keep] = useSetting(THEME);
  const [handed] = useSetting(HANDED);
  useEffect(() => {
    if (handed !== undefined) document.documentElement.dataset.hand = handed;
  }, [handed]);
  useEffect(() => {
    // Whatever stands on this page: the data is opened, and what an older page left over is laid. A page that needs it
    // says itself when it does not open.
    openData().catch(() => undefined);
  }, []);
  useEffect(() => {
    if (theme === undefined) return;
    if (chosen === null) onTheme(theme);
    else {
      if (chosen !== theme) keep(chosen);
      onTaken();
    }
  }, [theme, chosen, keep, onTaken, onTheme]);
  return (
    <>
      <Unkept />
      <Boundary what="The reminder">
        <Reminder />
      </Boundary>
    </>
  );
}
