import { isSquare } from '../pattern';
import { constructionNamed } from '../constructions';
import { mm, roundTo, type Graduation, type Mm } from '../length';
import type { Remedy } from './check';
import { constructionOptions, type Design } from '../design';
import { HOLDS } from '../plan';

/** A paper the person has. */
export interface OwnPaper {
  readonly name: string;
  readonly width: Mm;
  readonly height: Mm;
  readonly caliper: Mm;
  readonly sided: 1 | 2;
  readonly directional: boolean;
}

/** Marks half as far apart. */
export const FINER: Partial<Record<Graduation, Graduation>> = {
  '1/8 in': '1/16 in',
  '1/16 in': '1/32 in',
  '1 mm': '0.5 mm',
};

/** Holders that suit what lies flat, and what has body: the first that does is offered. */
const OTHERS = {
  flat: ['seam-envelope', 'diagonal-envelope', 'patch-pocket', 'tab-envelope', 'sleeve'],
  thick: ['tray-box', 'accordion-pocket', 'diagonal-box', 'pad-holder', 'belly-band'],
};
/** From here on contents have body, mm. Common practice 1/8 in. */
const BODY = 3.2;
/** Sheets this many times larger are tried when nothing else helps. */
const TIMES = [1.1, 1.25, 1.5, 2, 3, 5, 8];

/** What may help any holder, in the order in which a maker would rather have it: none of it is known to help yet. */
export function generalOffers(design: Design, owned: readonly OwnPaper[]): Remedy[] {
  const { graduation, contents, blank, aim, least, construction, options, paper, sheets } = design;
  const offers: Remedy[] = [];
  const finer = FINER[graduation];
  if (finer) offers.push({ code: 'finer_marks', graduation: finer, change: { graduation: finer } });
  if (aim.width > least.width || aim.height > least.height) offers.push({ code: 'less_room', change: { ease: least } });
  if (contents && contents.width !== contents.height) {
    const turned = { ...contents, width: contents.height, height: contents.width };
    offers.push({ code: 'turned', what: 'contents', change: { contents: turned } });
  }
  if (blank && !isSquare(blank)) {
    const turned = { width: blank.height, height: blank.width };
    const turn = ((paper.turn + 1) % 4) as Design['paper']['turn'];
    offers.push({
      code: 'turned',
      what: 'sheet',
      change: { blank: turned, ...(paper.directional && { paper: { ...paper, turn } }) },
    });
  }
  const values = options as Record<string, unknown>;
  // On a given sheet laps, tabs and flaps may give way to the contents, down to what still holds.
  if (blank && contents)
    for (const { name, title, unit, madeWith, limits } of constructionOptions(construction.name)) {
      const now = values[name];
      if (unit !== 'mm' || madeWith || typeof now !== 'number' || now <= HOLDS || (limits?.least ?? 0) > HOLDS)
        continue;
      offers.push({ code: 'smaller_part', title, to: HOLDS, change: { options: { [name]: HOLDS } } });
    }
  const unusual = constructionOptions(construction.name).filter(
    ({ name, fallback }) => design.told.includes(name) && values[name] !== fallback,
  );
  for (const { name, title } of unusual)
    offers.push({ code: 'usual_option', title, change: { options: { [name]: undefined } } });
  if (unusual.length > 1) offers.push({ code: 'usual_options', change: { options: null } });
  if (sheets !== null && sheets < 20)
    offers.push({ code: 'more_sheets', sheets: sheets + 1, change: { sheets: sheets + 1 } });
  for (const { name, ...sheet } of owned) {
    const { width, height } = sheet;
    offers.push({
      code: 'own_paper',
      name,
      change: { paper: { ...paper, ...sheet }, ...(blank && { blank: { width, height } }) },
    });
  }
  return offers;
}

/** Other holders for the same contents, on the same sheet where one is given. */
export function otherHolders({ construction, contents, thickness }: Design): Remedy[] {
  // A mat, a card or a covered board holds nothing that another holder would.
  if (!contents || construction.ease.aim.width === 0) return [];
  return OTHERS[thickness > BODY ? 'thick' : 'flat'].flatMap((name): Remedy[] => {
    const other = constructionNamed(name);
    return other && other !== construction
      ? [
          {
            code: 'other_holder',
            title: other.title,
            change: { construction: name, options: null, ease: undefined, leastEase: undefined },
          },
        ]
      : [];
  });
}

/** Larger sheets than the one given, larger both ways or one, the smallest first. */
export function largerSheets({ blank, graduation }: Design): Remedy[] {
  if (!blank) return [];
  const grown = (length: Mm, times: number): Mm =>
    times === 1 ? length : roundTo(mm(length * times), graduation, 'up');
  const ways = isSquare(blank)
    ? [[1, 1]]
    : [
        [1, 1],
        [1, 0],
        [0, 1],
      ];
  return TIMES.flatMap((times) =>
    ways.map(([across, along]): Remedy => {
      const width = grown(blank.width, across ? times : 1);
      const height = grown(blank.height, along ? times : 1);
      return { code: 'other_sheet', width, height, change: { blank: { width, height } } };
    }),
  ).sort((a, b) => areaOf(a) - areaOf(b));
}

const areaOf = (sheet: Remedy): number => (sheet.code === 'other_sheet' ? sheet.width * sheet.height : 0);
