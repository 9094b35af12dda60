import { quoted } from '../text';
import type { Units } from './graduation';
import { INCH, mm, type Mm } from './mm';

/** What came of reading a length: the length, or a sentence about the text that could not be read. */
export type ParsedLength = { ok: true; value: Mm } | { ok: false; message: string };

const UNIT: Record<string, number> = {
  mm: 1,
  millimetre: 1,
  millimetres: 1,
  millimeter: 1,
  millimeters: 1,
  cm: 10,
  centimetre: 10,
  centimetres: 10,
  centimeter: 10,
  centimeters: 10,
  m: 1000,
  metre: 1000,
  metres: 1000,
  meter: 1000,
  meters: 1000,
  in: INCH,
  inch: INCH,
  inches: INCH,
  '"': INCH,
  ft: 12 * INCH,
  foot: 12 * INCH,
  feet: 12 * INCH,
  "'": 12 * INCH,
};

/** Longest text worth reading as one length, characters. */
const LONGEST_TEXT = 40;
/** Largest length anyone folds, mm: a 100 m roll. */
const LARGEST = 100_000;

const AMOUNT = /^(-)?(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$|^(-)?(\d+(?:[.,]\d+)?|[.,]\d+)$/;

/**
 * Reads a length as people type it: `3 3/4 in`, `3-3/4"`, `3¾"`, `3.75in`, `95 mm`, `9,5 cm`.
 * @param text what was typed; a leading minus is read (board offsets need it)
 * @param unitless the unit of text without one; without it such text is refused
 */
export function parseLength(text: string, unitless?: Units): ParsedLength {
  const say = (message: string): ParsedLength => ({ ok: false, message });
  if (text.trim() === '') return say('A length is missing. Write for example 3 3/4 in or 95 mm.');
  if (text.length > LONGEST_TEXT)
    return say(`${quoted(text, 25)} is too long to be a length. Write for example 3 3/4 in or 95 mm.`);
  const unreadable = say(`${quoted(text)} does not read as a length. Write for example 3 3/4 in, 3.75 in or 95 mm.`);
  // Fractions of one sign are taken apart; no other sign stands for plain figures: 3² is not 32.
  const plain = text
    .replace(/[\u00BC-\u00BE\u2150-\u215E]/g, (sign) => ` ${sign.normalize('NFKD')}`)
    .replace(/[\uFF10-\uFF19]/g, (figure) => figure.normalize('NFKC'))
    .replace(/[\u00A0\u2000-\u200A\u202F]/g, ' ')
    .replace(/\u2044/g, '/')
    .replace(/[\u2010-\u2015\u2212]/g, '-')
    .replace(/''|[\u2033\u201D\u201C]/g, '"')
    .replace(/[\u2032\u2019]/g, "'")
    .trim()
    .toLowerCase();
  const split = /^(.*?)\s*([a-z]+\.?|["'])?$/.exec(plain);
  const amountText = split?.[1]?.trim() ?? '';
  const unitText = split?.[2]?.replace(/\.$/, '') ?? '';
  const amount = AMOUNT.exec(amountText);
  if (!amount) return unreadable;
  const unit = unitText === '' ? unitless : unitText;
  if (unit === undefined) return say(`${quoted(text)} has no unit. Write ${amountText} in or ${amountText} mm.`);
  const size = Object.hasOwn(UNIT, unit) ? UNIT[unit] : undefined;
  if (size === undefined) return say(`${quoted(unitText)} is not a unit known here. Use in, mm or cm.`);
  let value: number;
  if (amount[4] !== undefined) {
    const denominator = Number(amount[4]);
    if (denominator === 0) return say(`${quoted(text)} divides by nothing. Write for example 3 3/4 in.`);
    value = Number(amount[2] ?? 0) + Number(amount[3]) / denominator;
  } else value = Number(amount[6]!.replace(',', '.'));
  value *= size * (amount[1] || amount[5] ? -1 : 1);
  if (Math.abs(value) > LARGEST) return say(`${quoted(text)} is longer than 100 m. Check the unit.`);
  return { ok: true, value: mm(value === 0 ? 0 : value) };
}
