'use client';

import { Alert, Select, Segmented } from 'antd';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { z } from 'zod';
import { formatLength, inches, mm, roundTo, type Mm } from '@/core/length';
import { CARDS, checkSentence, PAPERS, sizeNamed, type Question, type Suggestion } from '@/core/plan';
import { addProject } from '@/data/projects';
import { fitKey } from '@/data/log';
import { UNITS, USUAL_ROOM } from '@/data/setting-kinds';
import { boardOut, loadSetting } from '@/data/settings';
import { SmallPicture } from '../draw/SmallPicture';
import { Boundary } from '../parts/Boundary';
import { LengthField } from '../parts/LengthField';
import { useOnce } from '../parts/once';
import { UnitsSwitch } from '../parts/UnitsSwitch';
import { useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { useToolbox } from '../parts/useToolbox';
import { useUnsent } from '../parts/useUnsent';
import { Waiting } from '../parts/Waiting';
import { Reading, useReading, type HowRead } from '../parts/Reading';
import { useSuggestions } from './useSuggestions';
import styles from './Choose.module.css';

type Asked = 'contents' | 'paper';

const length = z.number().positive().transform(mm);
/** Both questions as they were typed last. */
const ASKING = z.object({
  contents: z.object({ width: length, height: length, thickness: z.number().min(0).transform(mm) }),
  blank: z.object({ width: length, height: length }),
});
type Asking = z.output<typeof ASKING>;
const USUAL: Asking = {
  contents: { width: inches(3), height: inches(4), thickness: mm(0) },
  blank: { width: inches(6), height: inches(6) },
};

/** One scale for all drawings of a page, so that sizes can be compared; px to a millimetre. */
const SCALE = 0.9;
const ROOM = { width: 190, height: 130 };

/** "What can hold this?" and "What can this paper become?": every holder as an answer, drawn as it comes out. */
export function Choose() {
  const router = useRouter();
  const { failed } = useTell();
  const address = useSearchParams();
  const asked: Asked = address.get('have') === 'paper' ? 'paper' : 'contents';
  // A sheet that another screen asks about comes along in the address, in millimetres.
  const given = { width: Number(address.get('width')), height: Number(address.get('height')) };
  const asksSheet = [given.width, given.height].every((length) => length >= 5 && length <= 10_000);
  // The address says the units of the project that asks; without it they are the person's own.
  const [mine = 'in', setMine] = useSetting(UNITS);
  const [here, setHere] = useState(UNITS.shape.safeParse(address.get('units')).data);
  const units = here ?? mine;
  const first = useMemo(
    (): Asking => (asksSheet ? { ...USUAL, blank: { width: mm(given.width), height: mm(given.height) } } : USUAL),
    [asksSheet, given.width, given.height],
  );
  const unsent = useUnsent(asksSheet ? `choose/${given.width}/${given.height}` : 'choose', first, ASKING);
  const { contents, blank } = unsent.value ?? first;
  const setContents = (next: Asking['contents']): void => unsent.set({ contents: next });
  const setBlank = (next: Asking['blank']): void => unsent.set({ blank: next });
  // Where nothing can be kept, a common board is as good as any.
  const toolbox = useToolbox();
  const tool = useMemo(() => (toolbox ? boardOut(toolbox) : null), [toolbox]);
  const graduation = units === 'in' ? '1/8 in' : '1 mm';
  const question = useMemo(
    (): Question => ({
      ...(asked === 'paper' ? { blank } : { contents }),
      graduation,
      ...(tool ? { tool } : {}),
    }),
    [asked, blank, contents, graduation, tool],
  );
  const { suggestions, trouble } = useSuggestions(question);
  const [begin] = useOnce((suggestion: Suggestion) => {
    const name = asked === 'paper' ? `${suggestion.title} from this paper` : suggestion.title;
    // Room that the person's own fits made the usual one.
    const start = async (): Promise<void> => {
      const { design } = suggestion;
      const ease =
        asked === 'contents' ? (await loadSetting(USUAL_ROOM))[fitKey(design.construction, contents)] : undefined;
      const id = await addProject({ name, units, design: ease ? { ...design, ease } : design });
      unsent.forget();
      router.push(`/bench?p=${id}`);
    };
    return start().catch(failed('It could not be started'));
  });
  const size = asked === 'paper' ? blank : contents;
  const setSize = (width: Mm, height: Mm): void =>
    asked === 'paper' ? setBlank({ width, height }) : setContents({ ...contents, width, height });
  const list = asked === 'paper' ? PAPERS : CARDS;
  const can = suggestions?.filter(({ obstacle }) => obstacle === null) ?? [];
  const cannot = suggestions?.filter(({ obstacle }) => obstacle !== null) ?? [];
  return (
    <Reading units={units} graduation={graduation}>
      <main className={styles.choose}>
        <h1>{asked === 'paper' ? 'What can this paper become?' : 'What can hold this?'}</h1>
        <div className={styles.question}>
          <Segmented<Asked>
            aria-label="What you have"
            value={asked}
            options={[
              { value: 'contents', label: 'Something to put in' },
              { value: 'paper', label: 'A paper' },
            ]}
            onChange={(have) => router.replace(`/choose?have=${have}`)}
          />
          <Select
            aria-label={asked === 'paper' ? 'Paper sizes' : 'Usual sizes of contents'}
            className={styles.usual}
            value={sizeNamed(list, size.width, size.height)?.id ?? 'free'}
            options={[
              { value: 'free', label: 'My own size' },
              ...list.map(({ id, title }) => ({ value: id, label: title })),
            ]}
            onChange={(id) => {
              const found = list.find((item) => item.id === id);
              if (found) setSize(found.width, found.height);
            }}
          />
          {(['width', 'height'] as const).map((side) => (
            <LengthField
              key={side}
              label={side === 'width' ? 'Width' : 'Height'}
              value={size[side]}
              least={5}
              onChange={(length) =>
                setSize(side === 'width' ? mm(length) : size.width, side === 'height' ? mm(length) : size.height)
              }
            />
          ))}
          {asked === 'contents' && (
            <LengthField
              label="Thickness"
              value={contents.thickness}
              least={0}
              most={60}
              onChange={(thickness) => setContents({ ...contents, thickness: mm(thickness) })}
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
            <h2>Not from {asked === 'paper' ? 'this paper' : 'these'}</h2>
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
    </Reading>
  );
}

const short = (
  { width, height }: { width: number; height: number },
  { units, graduation }: Pick<HowRead, 'units' | 'graduation'>,
): string =>
  `${formatLength(roundTo(mm(width), graduation, 'down'), units, graduation)} × ${formatLength(roundTo(mm(height), graduation, 'down'), units, graduation)}`;

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
  const reading = useReading();
  return (
    <>
      <button type="button" className={styles.answer} onClick={onTake}>
        <Drawing suggestion={suggestion} />
        <strong>{suggestion.title}</strong>
        <span>
          {suggestion.largest.width > 0
            ? asked === 'paper'
              ? `Holds up to ${short(suggestion.largest, reading)}`
              : `${Math.round(suggestion.paper / 100)} cm² of paper`
            : `Comes out ${short(suggestion.finished, reading)}`}
          , {suggestion.difficulty}
        </span>
      </button>
      <Link href={`/holders/${suggestion.construction}`}>How it is made</Link>
    </>
  );
}

/** A holder that cannot, and why. */
function WhyNot({ suggestion: { title, obstacle } }: { readonly suggestion: Suggestion }) {
  const { say } = useReading();
  return (
    <>
      <strong>{title}.</strong> {checkSentence(obstacle!, say)}
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
