import { constructionOptions, type Design, type DesignChange, type PaperSize } from '@/core/design';
import { formatLength, type Units } from '@/core/length';
import type { Made } from '@/core/plan';

/** What each part of the brief knows of what is designed, and how it changes it. */
export interface BriefProps {
  readonly design: Design;
  readonly made: Made | null;
  /** Another part of the set tells what goes in. */
  readonly told: boolean;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** A size for a list: its name, and its lengths where the name does not say them. */
export const sizeLabel = (size: PaperSize, units: Units): string =>
  /\d ×|\d in/.test(size.title)
    ? size.title
    : `${size.title}, ${formatLength(size.width, units, '1/32 in')} × ${formatLength(size.height, units, '1/32 in')}`;

/** Holders set on an envelope board start from a square. */
export const takesSquare = ({ name }: Design['construction']): boolean =>
  constructionOptions(name).some((option) => option.name === 'setting');
