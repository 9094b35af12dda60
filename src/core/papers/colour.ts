/** Colours of paper, as `#rrggbb`. */

/** Red, green and blue, 0 to 255. */
type Rgb = readonly [red: number, green: number, blue: number];

export const COLOUR = /^#[\da-f]{6}$/;

const rgbOf = (colour: string): Rgb =>
  [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16)) as unknown as Rgb;
const hexOf = (rgb: Rgb): string =>
  `#${rgb
    .map((part) =>
      Math.round(Math.min(255, Math.max(0, part)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** A colour between two: 0 is the first, 1 the second. */
export function mixed(from: string, to: string, share: number): string {
  const [a, b] = [rgbOf(from), rgbOf(to)];
  return hexOf([0, 1, 2].map((i) => a[i]! + (b[i]! - a[i]!) * share) as unknown as Rgb);
}

/** How much light a colour gives back, 0 to 1 (WCAG 2.2, relative luminance). */
export function luminance(colour: string): number {
  const [red, green, blue] = rgbOf(colour).map((part) => {
    const share = part / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!;
}

/** How well two colours are told apart, 1 to 21 (WCAG 2.2, contrast ratio). */
export function contrast(a: string, b: string): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (high + 0.05) / (low + 0.05);
}

/** Lines on paper are drawn in this, or, where that is lost on it, in `CASING`: one of the two is told from any colour. */
export const LINE = '#141210';
export const CASING = '#fffdf6';

/** Which of the two is seen better on a colour. */
export const lineOn = (colour: string): string => (contrast(LINE, colour) >= contrast(CASING, colour) ? LINE : CASING);

/**
 * Words people call papers by, and the colour meant; what stands first counts where a name has several. Common practice, no
 * source.
 */
const NAMED: readonly (readonly [words: RegExp, colour: string])[] = [
  [/\b(midnight|navy)\b/, '#25304f'],
  [/\b(deep|dark) blue\b/, '#25304f'],
  [/\b(pale|light|sky|powder|baby) blue\b/, '#bcd0de'],
  [/\b(teal|petrol)\b/, '#2b6468'],
  [/\b(turquoise|aqua)\b/, '#7fb8b4'],
  [/\b(forest|bottle|pine|dark) green\b|\b(pine|fir)\b/, '#2f4d3d'],
  [/\b(pale|light|mint) green\b|\bmint\b/, '#cfe0cd'],
  [/\b(sage|moss|olive)\b/, '#9aa583'],
  [/\b(burgundy|wine|maroon|bordeaux)\b/, '#6b2733'],
  [/\b(brick|rust|terracotta|copper)\b/, '#b05a3c'],
  [/\b(salmon|coral|peach|apricot)\b/, '#eab596'],
  [/\b(rose|blush|pale pink|light pink)\b/, '#ecc9c4'],
  [/\b(lilac|lavender)\b/, '#cdc2dc'],
  [/\b(purple|violet|plum|aubergine)\b/, '#5d4468'],
  [/\b(mustard|ochre|honey)\b/, '#cf9a3a'],
  [/\b(gold|golden)\b/, '#c9a553'],
  [/\b(silver|foil)\b/, '#c6c9cc'],
  [/\b(kraft|manila|manilla|cardboard|parcel)\b/, '#cba878'],
  [/\b(cream|ivory|vanilla|champagne)\b/, '#f3e9cf'],
  [/\b(ecru|oatmeal|sand|beige|buff|linen|straw)\b/, '#e2d3b5'],
  [/\b(charcoal|slate|anthracite|dark gr[ea]y)\b/, '#45484c'],
  [/\b(pale|light) gr[ea]y\b/, '#d5d4cf'],
  [/\bgr[ea]y\b/, '#a8a49b'],
  [/\b(sepia|parchment|antique|old)\b/, '#e4d5b4'],
  [/\b(black|onyx|ebony)\b/, '#262422'],
  [/\bblue\b/, '#4a6a94'],
  [/\bgreen\b/, '#5f8463'],
  [/\bred\b/, '#a83a32'],
  [/\bpink\b/, '#dda3ab'],
  [/\borange\b/, '#d9813a'],
  [/\byellow\b/, '#eccf6a'],
  [/\bbrown\b/, '#7a5a42'],
  [/\bwhite\b/, '#faf8f2'],
];

/** Paper that nobody tells the colour of: a natural one, so that its paler back is told from it. */
const NATURAL = '#dccba6';

/** The colour a paper is called by, or a natural one. */
export const colourNamed = (name: string): string =>
  NAMED.find(([words]) => words.test(name.toLowerCase()))?.[1] ?? NATURAL;
