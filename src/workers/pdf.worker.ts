import { expose } from 'comlink';
import { PAGES, setSheets, sheetsByPaper } from '@/core/files';
import { benchCardPdf } from '@/core/files/bench-card';
import { sheetPdf, type PrintWords } from '@/core/files/pdf';
import { isPlainText, type Printed } from '@/core/files/pdf-text';
import { printPicture } from '@/core/files/print-picture';
import { type Units, sayer } from '@/core/length';
import { figureText, keyFigures } from '@/core/looks';
import { planSet, readSet, walkOf, type SetInput } from '@/core/sets';
import { uncapitalised } from '@/core/text';
import { greets } from './helper';

/** What came of printing; plain data, because error classes do not survive the crossing. */
export type PdfAnswer =
  | {
      readonly ok: true;
      readonly bytes: Uint8Array;
      /** Which letters could not be printed, as a sentence; null when all were. */
      readonly missing: string | null;
    }
  | { readonly ok: false; readonly message: string };

/** Font files for letters that readers of PDF have not of their own; fetched only where such letters are printed. */
const REGULAR = [
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-latin-ext-400-normal.woff',
    import.meta.url,
  ),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-vietnamese-400-normal.woff',
    import.meta.url,
  ),
  new URL('../../node_modules/@fontsource/source-sans-3/files/source-sans-3-greek-400-normal.woff', import.meta.url),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-greek-ext-400-normal.woff',
    import.meta.url,
  ),
  new URL('../../node_modules/@fontsource/source-sans-3/files/source-sans-3-cyrillic-400-normal.woff', import.meta.url),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-cyrillic-ext-400-normal.woff',
    import.meta.url,
  ),
];
const BOLD = [
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-latin-ext-700-normal.woff',
    import.meta.url,
  ),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-vietnamese-700-normal.woff',
    import.meta.url,
  ),
  new URL('../../node_modules/@fontsource/source-sans-3/files/source-sans-3-greek-700-normal.woff', import.meta.url),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-greek-ext-700-normal.woff',
    import.meta.url,
  ),
  new URL('../../node_modules/@fontsource/source-sans-3/files/source-sans-3-cyrillic-700-normal.woff', import.meta.url),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-cyrillic-ext-700-normal.woff',
    import.meta.url,
  ),
];

/** The fonts a text takes besides those every reader has. One that cannot be fetched is done without. */
async function fontsFor(text: string, files: readonly URL[]): Promise<Uint8Array[]> {
  if (isPlainText(text.normalize('NFC'))) return [];
  const fetched = await Promise.all(
    files.map((file) =>
      fetch(file).then(
        async (answer) => (answer.ok ? new Uint8Array(await answer.arrayBuffer()) : null),
        () => null,
      ),
    ),
  );
  return fetched.filter((file) => file !== null);
}

const answerOf = ({ bytes, missing }: Printed): PdfAnswer => ({
  ok: true,
  bytes,
  missing:
    missing.length === 0
      ? null
      : `No font here has the ${missing.length === 1 ? 'sign' : 'signs'} ${missing.slice(0, 12).join(' ')}: a dot stands for ${missing.length === 1 ? 'it' : 'them'} in the print.`,
});

/** Most lines of the label that are for parts. */
const PART_LINES = 7;

/** What is in a set, a line each, the outermost first. */
function inLines(parts: readonly string[]): readonly string[] {
  const out = [...parts].reverse();
  return out.length <= PART_LINES
    ? out
    : [...out.slice(0, PART_LINES - 1), `and ${out.length - PART_LINES + 1} more things`];
}

/** A set planned anew, and the page it is printed on; or why it cannot be. */
function setToPrint(set: SetInput, page: string) {
  const read = readSet(set);
  const paper = PAGES.find((one) => one.id === page);
  if (!read.ok) return { ok: false, message: read.issues[0]!.message } as const;
  if (!paper) return { ok: false, message: `“${page}” is not a page size here.` } as const;
  const plan = planSet(read.set);
  const made = plan.parts.flatMap(({ part, plan: one }) =>
    one.made && !part.given ? [{ part, plan: one, made: one.made }] : [],
  );
  const first = made.at(-1);
  return first
    ? ({ ok: true, paper, plan, parts: made, outermost: first } as const)
    : ({ ok: false, message: 'There is no pattern to print yet. See the first check.' } as const);
}

const pdfWorker = {
  ...greets,
  /** Plans the set anew and prints the sheets of all its parts. */
  async print(set: SetInput, page: string, words: PrintWords): Promise<PdfAnswer> {
    const it = setToPrint(set, page);
    if (!it.ok) return it;
    const fonts = await fontsFor(
      `${words.title} ${Object.values(words.pieces).join(' ')} ${it.plan.set.parts.map(({ name }) => name).join(' ')}`,
      REGULAR,
    );
    return answerOf(await sheetPdf(sheetsByPaper(it.plan), it.paper, words, printPicture(it.outermost.made), fonts));
  },
  /** Plans the set anew and prints its whole make as one card. */
  async card(
    set: SetInput,
    page: string,
    { title, units, copies, day }: { title: string; units: Units; copies: number; day: string },
  ): Promise<PdfAnswer> {
    const it = setToPrint(set, page);
    if (!it.ok) return it;
    const { plan, parts, outermost } = it;
    const say = sayer(units, plan.set.graduation);
    const several = parts.length > 1;
    const { made } = outermost;
    const { design } = outermost.plan;
    const kind = design.construction.title;
    const contents = design.contents ?? made.largest;
    const names = plan.set.parts.map(({ name }) => name).join(' ');
    const fonts = {
      regular: await fontsFor(`${title} ${names}`, REGULAR),
      bold: await fontsFor(`${title} ${names}`, BOLD),
    };
    return answerOf(
      await benchCardPdf(
        setSheets(plan),
        it.paper,
        {
          title,
          kind: [
            several ? `${plan.set.parts.map(({ name, quantity }) => `${quantity} × ${name}`).join(', ')}` : kind,
            ...(copies > 1 ? [`${copies} ${several ? 'sets' : 'copies'}`] : []),
          ].join(', '),
          numbers: parts.flatMap(({ part, plan: one, made: own }) =>
            keyFigures(own, one.design).map((figure) => ({
              label: several ? `${part.name}: ${uncapitalised(figure.label)}` : figure.label,
              value: figureText(figure, say),
            })),
          ),
          steps: walkOf(plan, say, 1, 'together')
            .filter(({ copies: [copy] }) => copy === 1)
            .map(({ part, step: { text, caution } }) => {
              const { name, quantity } = plan.set.parts.find(({ id }) => id === part)!;
              return {
                text: several ? `${name}${quantity > 1 ? ` (${quantity} of it)` : ''}: ${text}` : text,
                caution,
              };
            }),
          copies,
          units,
          label: [
            title,
            ...(several
              ? inLines(
                  plan.parts.map(
                    ({ part: { name, quantity }, outside }) =>
                      `${quantity > 1 ? `${quantity} × ` : ''}${name}${outside ? `, ${say(outside.width)} × ${say(outside.height)}` : ''}`,
                  ),
                )
              : [
                  kind,
                  `for ${say(contents.width, 'down')} × ${say(contents.height, 'down')}`,
                  `cut ${say(made.pieces[0].piece.blank.width)} × ${say(made.pieces[0].piece.blank.height)}`,
                ]),
            `made ${day}`,
          ],
        },
        printPicture(made),
        fonts,
      ),
    );
  },
};
export type PdfWorker = typeof pdfWorker;
expose(pdfWorker);
