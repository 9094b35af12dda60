'use client';

import { Alert, Select, Segmented } from 'antd';
import { Link } from '../parts/Link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { z } from '@/core/text/zod';
import { formatLength, inches, mm, roundTo, usualMarks, type Mm, type Units } from '@/core/length';
import type { Does } from '@/core/constructions';
import { CARDS, MEASURED, PAPERS, sizeIn, sizeNamed, sizesFor, type PaperSize } from '@/core/design';
import { checkSentence } from '@/core/checks';
import type { Question, Suggestion } from '@/core/choosing';
import { setOf } from '@/core/sets';
import { addProject } from '@/data/projects';
import { fitKey } from '@/data/log';
import { UNITS, USUAL_ROOM } from '@/data/setting-kinds';
import { loadSetting, toolsOut } from '@/data/settings';
import { SmallPicture } from '../draw/SmallPicture';
import { Boundary } from '../parts/Boundary';
import { LengthField } from '../parts/LengthField';
import { useOnce } from '../parts/once';
import { UnitsSwitch } from '../parts/UnitsSwitch';
import { useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { useToolbox } from '../parts/useToolbox';
import { useAsked } from '../parts/useUnsent';
import { Waiting } from '../parts/Waiting';
import { InUnits, useUnits, type HowRead } from '../parts/InUnits';
import { Words } from '../parts/Words';
import { sheetWords } from './sheetWords';
import { useSuggestions } from './useSuggestions';
import styles from './Choose.module.css';

type Asked = 'contents' | 'paper' | 'both';
const ASKED: readonly Asked[] = ['contents', 'paper', 'both'];

const length = z.number().positive().transform(mm);
/** Both questions as they were typed last. */
const ASKING = z.object({
  contents: z.object({ width: length, height: length, thickness: z.number().min(0).transform(mm) }),
  blank: z.object({ width: length, height: length }),
});
type Asking = z.output<typeof ASKING>;
/** What it begins with, until somebody says what they have. */
const USUAL: Readonly<Record<Units, Asking>> = {
  in: {
    contents: { width: inches(3), height: inches(4), thickness: mm(0) },
    blank: { width: inches(6), height: inches(6) },
  },
  mm: {
    contents: { width: mm(74), height: mm(105), thickness: mm(0) },
    blank: { width: mm(210), height: mm(297) },
  },
};

/** One scale for all drawings of a page, so that sizes can be compared; px to a millimetre. */
const SCALE = 0.9;
const ROOM = { width: 190, height: 130 };

/** "What can hold this?" and "What can this paper become?": every holder as an answer, drawn as it comes out. */
export function Choose() {
  const router = useRouter();
  const { failed } = useTell();
  const address = useSearchParams();
  const asked: Asked = ASKED.find((one) => one === address.get('have')) ?? 'contents';
  // A sheet that another screen asks about comes along in the address, in millimetres.
  const given = { width: Number(address.get('width')), height: Number(address.get('height')) };
  const asksSheet = [given.width, given.height].every((length) => length >= 5 && length <= 10_000);
  // The address says the units of the project that asks; without it they are the person's own.
  const [mine = UNITS.fallback, setMine] = useSetting(UNITS);
  const [here, setHere] = useState(UNITS.shape.safeParse(address.get('units')).data);
  const units = here ?? mine;
  const first = useMemo(
    (): Asking =>
      asksSheet ? { ...USUAL[units], blank: { width: mm(given.width), height: mm(given.height) } } : USUAL[units],
    [asksSheet, given.width, given.height, units],
  );
  const unsent = useAsked(asksSheet ? `choose/${given.width}/${given.height}` : 'choose', first, ASKING);
  const { contents, blank } = unsent.value ?? first;
  const setContents = (next: Asking['contents']): void => unsent.set({ contents: next });
  const setBlank = (next: Asking['blank']): void => unsent.set({ blank: next });
  // Where nothing can be kept, a common board is as good as any.
  const toolbox = useToolbox();
  const tools = useMemo(() => (toolbox ? toolsOut(toolbox) : null), [toolbox]);
  const graduation = usualMarks(units);
  const question = useMemo(
    (): Question => ({
      ...(asked === 'paper' ? { blank } : { contents }),
      // A paper to cut it from: what does not come out of it cannot be.
      ...(asked === 'both' ? { paper: blank } : {}),
      graduation,
      ...tools,
    }),
    [asked, blank, contents, graduation, tools],
  );
  const { suggestions, trouble } = useSuggestions(question);
  const [begin] = useOnce((suggestion: Suggestion) => {
    const name = asked === 'paper' ? `${suggestion.title} from this paper` : suggestion.title;
    // Room that the person's own fits made the usual one.
    const start = async (): Promise<void> => {
      const { design } = suggestion;
      const ease =
        asked !== 'paper' ? (await loadSetting(USUAL_ROOM))[fitKey(design.construction, contents)] : undefined;
      const id = await addProject({ name, units, set: setOf(ease ? { ...design, ease } : design) });
      unsent.forget();
      router.push(`/bench?p=${id}`);
    };
    return start().catch(failed('It could not be started'));
  });
  const can = suggestions?.filter(({ obstacle }) => obstacle === null) ?? [];
  const cannot = suggestions?.filter(({ obstacle }) => obstacle !== null) ?? [];
  return (
    <InUnits units={units} graduation={graduation}>
      <main className={styles.choose}>
        <h1>{TITLE[asked]}</h1>
        <div className={styles.question}>
          <Segmented<Asked>
            aria-label="What you have"
            value={asked}
            options={[
              { value: 'contents', label: 'Something to put in' },
              { value: 'paper', label: 'A paper' },
              { value: 'both', label: 'Both' },
            ]}
            onChange={(have) => router.replace(`/choose?have=${have}`)}
          />
          {asked !== 'paper' && (
            <>
              <Sizes
                list={CARDS}
                label="Usual sizes of contents"
                size={contents}
                onSize={(size) => setContents({ ...contents, ...size })}
              />
              <LengthField
                label="Thickness"
                value={contents.thickness}
                least={0}
                most={60}
                onChange={(thickness) => setContents({ ...contents, thickness: mm(thickness) })}
              />
            </>
          )}
          {asked !== 'contents' && (
            <Sizes
              list={PAPERS}
              label="Paper sizes"
              of={asked === 'both' ? 'Paper’s ' : ''}
              size={blank}
              onSize={setBlank}
            />
          )}
          <UnitsSwitch
            value={units}
            onChange={(next) => {
              setHere(next);
              setMine(next);
            }}
          />
        </div>
        {trouble && <Alert type="error" showIcon title={`${trouble}.`} />}
        {!suggestions && !trouble && <Waiting what="Folding every holder" />}
        <ol className={styles.list} aria-label="Holders, best first">
          {can.map((suggestion) => (
            <li key={suggestion.construction}>
              <Boundary what={suggestion.title} of={suggestion}>
                <Answer suggestion={suggestion} asked={asked} onTake={() => begin(suggestion)} />
              </Boundary>
            </li>
          ))}
        </ol>
        {cannot.length > 0 && (
          <section className={styles.cannot}>
            <h2>{asked === 'contents' ? 'Not round this' : 'Not from this paper'}</h2>
            <ul>
              {cannot.map((suggestion) => (
                <li key={suggestion.construction}>
                  <Boundary what={suggestion.title} of={suggestion}>
                    <WhyNot suggestion={suggestion} />
                  </Boundary>
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
    </InUnits>
  );
}

const short = (
  { width, height }: { width: number; height: number },
  { units, graduation }: Pick<HowRead, 'units' | 'graduation'>,
): string =>
  `${formatLength(roundTo(mm(width), graduation, 'down'), units, graduation)} × ${formatLength(roundTo(mm(height), graduation, 'down'), units, graduation)}`;

const TITLE: Readonly<Record<Asked, string>> = {
  contents: 'What can hold this?',
  paper: 'What can this paper become?',
  both: 'What holds this, from this paper?',
};
const DOES_WORD: Readonly<Record<Does, string>> = {
  closes: 'Closes over it',
  opens: 'An open pocket',
  wraps: 'Goes round it',
  stands: 'Stands round it',
  gathers: 'An album of many',
  decorates: 'For looks',
};

/** A usual size, or one's own. */
function Sizes({
  list,
  label,
  of = '',
  size,
  onSize,
}: {
  readonly list: readonly PaperSize[];
  readonly label: string;
  /** Whose width and height they are, where there are others. */
  readonly of?: string;
  readonly size: { readonly width: Mm; readonly height: Mm };
  readonly onSize: (size: { width: Mm; height: Mm }) => void;
}) {
  const { units } = useUnits();
  return (
    <>
      <Select
        aria-label={label}
        className={styles.usual}
        value={sizeNamed(list, size.width, size.height, MEASURED)?.id ?? 'free'}
        options={[
          { value: 'free', label: 'My own size' },
          ...sizesFor(units, list).map(({ id, title }) => ({ value: id, label: title })),
        ]}
        onChange={(id) => {
          const found = list.find((item) => item.id === id);
          if (found) onSize(sizeIn(found, units));
        }}
      />
      {(['width', 'height'] as const).map((side) => {
        const name = side === 'width' ? 'Width' : 'Height';
        return (
          <LengthField
            key={side}
            label={of ? `${of}${side}` : name}
            value={size[side]}
            least={5}
            onChange={(length) =>
              onSize({
                width: side === 'width' ? mm(length) : size.width,
                height: side === 'height' ? mm(length) : size.height,
              })
            }
          />
        );
      })}
    </>
  );
}

/** How many a sheet gives, as one says it. */
const givesSaid = (gives: number): string =>
  gives === 0 ? 'takes more than one sheet' : gives === 1 ? 'one from the sheet' : `${gives} from the sheet`;

/** A holder that can: a component of its own, so that what breaks in it stays in its place. */
function Answer({
  suggestion,
  asked,
  onTake,
}: {
  readonly suggestion: Suggestion;
  readonly asked: Asked;
  readonly onTake: () => void;
}) {
  const reading = useUnits();
  return (
    <>
      <button type="button" className={styles.answer} onClick={onTake}>
        <Drawing suggestion={suggestion} />
        <strong>{suggestion.title}</strong>
        <span>
          <Words>
            {suggestion.largest.width > 0
              ? asked === 'paper'
                ? `Holds up to ${short(suggestion.largest, reading)}`
                : `${DOES_WORD[suggestion.does]}${suggestion.suits ? '' : ', loosely'}; ${suggestion.gives === null ? sheetWords(suggestion.paper, reading.units) : givesSaid(suggestion.gives)}`
              : `Comes out ${short(suggestion.finished, reading)}`}
            ; {suggestion.difficulty}
          </Words>
        </span>
      </button>
      <Link href={`/holders/${suggestion.construction}`}>How it is made</Link>
    </>
  );
}

/** A holder that cannot, and why. */
function WhyNot({ suggestion: { title, obstacle } }: { readonly suggestion: Suggestion }) {
  const { say } = useUnits();
  return (
    <>
      <strong>{title}.</strong> <Words>{checkSentence(obstacle!, say)}</Words>
    </>
  );
}

/** The holder as it comes out, to one scale with its neighbours where it has room. */
function Drawing({ suggestion: { picture } }: { suggestion: Suggestion }) {
  if (!picture) return null;
  return (
    <span className={styles.drawing}>
      <SmallPicture picture={picture} scale={SCALE} room={ROOM} />
    </span>
  );
}
