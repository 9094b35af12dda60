import type { Ease } from '../constructions';
import type { Graduation, Mm } from '../length';
import type { Tool } from '../tools';
import { checksOf, type Check } from '../checks';
import { readDesign } from '../design';
import { leastLap, settingOf } from '../looks';
import { planFor } from '../plan';

/** A card to be put in, for a chart. */
export interface ChartCard {
  readonly name: string;
  readonly width: Mm;
  readonly height: Mm;
  readonly thickness: Mm;
}

/** What a maker's own board makes for one card. */
export interface ChartRow {
  readonly card: ChartCard;
  readonly blank: Mm;
  readonly setting: Mm;
  /** False where the setting lies past the board's ruler and is marked on the sheet. */
  readonly onRuler: boolean;
  readonly lap: Mm;
  readonly room: Ease;
}
export type ChartLine =
  | { readonly ok: true; readonly row: ChartRow }
  | { readonly ok: false; readonly card: ChartCard; readonly why: Check | null };

/**
 * Envelopes from a square for many cards, on one board with one ease and graduation. Every line is planned, folded and
 * proved like a project; what fails a check says which.
 */
export function sizeChart(
  cards: readonly ChartCard[],
  tool: Tool,
  graduation: Graduation,
  ease: { readonly width?: Mm; readonly height?: Mm } = {},
): ChartLine[] {
  return cards.map((card): ChartLine => {
    const { width, height, thickness } = card;
    const read = readDesign({
      version: 1,
      construction: 'diagonal-envelope',
      contents: { width, height, thickness },
      ease,
      // A chart tells no trim.
      options: { flaps: 'whole' },
      tool,
      graduation,
    });
    if (!read.ok) return { ok: false, card, why: null };
    const plan = planFor(read.design);
    const why = checksOf(plan).find(({ level }) => level === 'fail') ?? null;
    const setting = plan.made ? settingOf(plan.made) : null;
    if (!plan.made?.fit || !setting || why) return { ok: false, card, why };
    return {
      ok: true,
      row: {
        card,
        blank: plan.made.pieces[0].piece.blank.width,
        setting: setting.at[0]!,
        onRuler: setting.onRuler,
        lap: leastLap(plan.made)!,
        room: plan.made.fit.ease,
      },
    };
  });
}
