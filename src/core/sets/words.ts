import { TOLERANCE } from '../geometry';
import type { Say } from '../length';
import { capitalised, uncapitalised } from '../text';
import type { SetCheck, SetCheckOf, SetKind, SetRemedy } from './checks';

const sheets = (count: number): string => `${count} ${count === 1 ? 'sheet' : 'sheets'}`;

const SENTENCES: { readonly [Kind in SetKind]: (check: SetCheckOf<Kind>, say: Say) => string } = {
  'count-short': ({ value, limit, about: { name, takers, round } }) =>
    `${name}: there ${value === 1 ? 'is' : 'are'} ${value}, and what ${round ? 'goes round' : 'holds'} it (${uncapitalised(takers)}) takes ${limit}: ${limit - value} ${limit - value === 1 ? 'is' : 'are'} missing.`,
  'count-spare': ({ value, limit, about: { name, takers, round } }) =>
    `${name}: there are ${value}, and what ${round ? 'goes round' : 'holds'} it (${uncapitalised(takers)}) takes ${limit}: ${value - limit} ${value - limit === 1 ? 'is' : 'are'} left over.`,
  'goes-in': ({ level, value, limit, about: { name, side, given } }, say) => {
    const what = `what the ${uncapitalised(name)} holds`;
    if (level === 'fail')
      return `${what} is ${say(-value, 'up')} too large in the ${side} and does not go in. ${given ? 'Make it smaller, or take another.' : 'Make it smaller, or let the size follow from what it holds.'}`;
    if (level === 'warn' || value <= TOLERANCE.folded)
      return `${what} has ${value <= TOLERANCE.folded ? 'no room' : `only ${say(value, 'down')} of room`} in the ${side}${limit > 0 ? `; under ${say(limit, 'up')} it sits tight` : ''}.`;
    return `${what} has ${say(value)} of room in the ${side}.`;
  },
  'no-plan': ({ about: { name, fills } }) =>
    fills === null
      ? `The ${uncapitalised(name)} has no pattern as it stands; what holds it cannot be sized. See its own checks.`
      : `Nothing is left of the ${uncapitalised(name)} in the room of the ${uncapitalised(fills)}.`,
  'as-large': ({ about: { name, into, keeps, size, otherwise } }, say) => {
    const [now, other] = [size, otherwise].map(({ width, height }) => `${say(width, 'down')} × ${say(height, 'down')}`);
    return keeps === 'least'
      ? `The ${uncapitalised(name)} is the largest on your marks that goes into the ${uncapitalised(into)}, with the least room: for ${now}. With the room aimed for it is for ${other}.`
      : `The ${uncapitalised(name)} is for ${now}, which leaves the room aimed for in the ${uncapitalised(into)}. With the least room it could be for ${other}.`;
  },
  grip: ({ limit, about: { name, deep } }, say) =>
    deep
      ? `What lies in the ${uncapitalised(name)} leaves less than ${say(limit)} beside it for a finger: lay a ribbon under it to lift it out.`
      : `Nothing of what lies in the ${uncapitalised(name)} stands out to be pulled by: a finger notch, or a ribbon round it, helps.`,
  'no-piece': ({ about: { name, piece } }) =>
    `The ${uncapitalised(name)} has no piece called “${piece}”, so its paper is not used.`,
  paper: ({ value, limit, about: { name } }) =>
    Number.isFinite(value)
      ? `${name}: it takes ${sheets(value)}, and there ${limit === 1 ? 'is' : 'are'} ${limit}. Buy ${value - limit} more, or give some pieces another paper.`
      : `${name}: a piece is larger than the sheet. Give it a larger paper.`,
};

/** The sentence for a check of a set. */
export function setSentence(check: SetCheck, say: Say): string {
  const sentence = (SENTENCES[check.kind] as (check: SetCheck, say: Say) => string)(check, say);
  return capitalised(sentence);
}

/** The words on the button of a remedy. */
export function setRemedyLabel(remedy: SetRemedy): string {
  switch (remedy.code) {
    case 'quantity':
      return `${remedy.name}: make it ${remedy.to}`;
    case 'turned':
      return `Turn the ${uncapitalised(remedy.name)} a quarter`;
    case 'own-size':
      return `Size the ${uncapitalised(remedy.name)} for what it holds`;
    case 'room':
      return remedy.to === 'aim' ? `${remedy.name}: leave the room aimed for` : `${remedy.name}: as large as it can be`;
  }
}
