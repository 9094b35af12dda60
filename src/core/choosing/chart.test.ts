import { planOf } from '../../../tests/helpers/designs';
import { INCH, inches, mm } from '../length';
import { COMMON_BOARD, enclosedBy, simulate } from '../tools';
import { CARDS } from '../design';
import { sizeChart } from './chart';

const card = (width: number, height: number, thickness = 0) => ({
  name: `${width} × ${height}`,
  width: inches(width),
  height: inches(height),
  thickness: inches(thickness),
});

describe('a size chart of one’s own', () => {
  test('the 3 × 4 card: a 6 in square set at 2 5/8, the flaps lapping by the notch (common practice, no source)', () => {
    const [line] = sizeChart([card(3, 4)], COMMON_BOARD, '1/8 in');
    if (!line?.ok) throw new Error('no line');
    expect([line.row.blank / INCH, line.row.setting / INCH]).toEqual([expect.closeTo(6, 9), expect.closeTo(2.625, 9)]);
    expect(line.row.lap / INCH).toBeCloseTo(0.75, 6);
    expect(line.row.onRuler).toBe(true);
  });

  test('every line, carried out on the simulated board, encloses the card with the room it promises', () => {
    const lines = sizeChart(
      CARDS.map(({ title, width, height }) => ({ name: title, width, height, thickness: mm(0) })),
      { ...COMMON_BOARD, notch: mm(20), offset: mm(0.8) },
      '1/16 in',
    );
    expect(lines.filter((line) => line.ok).length).toBeGreaterThan(6);
    for (const line of lines) {
      if (!line.ok) continue;
      const { row } = line;
      const tool = { ...COMMON_BOARD, notch: mm(20), offset: mm(0.8) };
      const made = planOf({
        version: 1,
        construction: 'diagonal-envelope',
        contents: { width: row.card.width, height: row.card.height },
        tool,
        graduation: '1/16 in',
      }).made!;
      const { moves } = made.pieces[0].programme;
      const inside = enclosedBy(simulate({ width: row.blank, height: row.blank }, tool, moves).scores)!;
      const [short, long] = [inside.width, inside.height].sort((a, b) => a - b);
      // Beside the room there is what the envelope's own paper takes.
      const { taken } = made.holds[0]!;
      const want = (['width', 'height'] as const)
        .map((side) => row.card[side] + row.room[side] + taken[side])
        .sort((a, b) => a - b);
      expect(short!).toBeCloseTo(want[0]!, 2);
      expect(long!).toBeCloseTo(want[1]!, 2);
      expect(Math.min(row.room.width, row.room.height)).toBeGreaterThanOrEqual(inches(1 / 16) - 1e-6);
    }
  });

  test('another notch gives another chart, and more ease a larger sheet', () => {
    const of = (tool: typeof COMMON_BOARD, ease = {}) => {
      const [line] = sizeChart([card(3, 4)], tool, '1/16 in', ease);
      return line?.ok ? line.row : null;
    };
    expect(of({ ...COMMON_BOARD, notch: inches(1) })!.blank).toBeGreaterThan(of(COMMON_BOARD)!.blank);
    expect(of(COMMON_BOARD, { width: inches(1 / 2), height: inches(1 / 2) })!.blank).toBeGreaterThan(
      of(COMMON_BOARD)!.blank,
    );
  });

  test('past the board’s ruler the setting is a mark on the sheet', () => {
    const [line] = sizeChart([card(8, 9)], COMMON_BOARD, '1/8 in');
    expect(line).toMatchObject({ ok: true, row: { onRuler: false } });
  });

  test('a card that no square holds says why', () => {
    const [line] = sizeChart([card(1.5, 9)], COMMON_BOARD, '1/8 in');
    expect(line).toMatchObject({ ok: false, why: { id: 'overhang' } });
  });
});
