import { Alert, Modal } from 'antd';
import { Link } from '../parts/Link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { KeptPaper } from '@/core/cutting';
import { formatLength, mm } from '@/core/length';
import type { DesignInput } from '@/core/design';
import type { Question, Suggestion } from '@/core/choosing';
import { setOf } from '@/core/sets';
import { addProject, allProjects } from '@/data/projects';
import type { ChooserWorker } from '@/workers/chooser.worker';
import { helperWhy, startHelper } from '@/workers/helper';
import { SmallPicture } from '../draw/SmallPicture';
import { Boundary } from '../parts/Boundary';
import { useOnce } from '../parts/once';
import { plannedSet } from '../parts/plans';
import { useTell } from '../parts/useTell';
import { Waiting } from '../parts/Waiting';
import { useUnits } from '../parts/InUnits';
import { Words } from '../parts/Words';
import styles from './Stash.module.css';

interface BecomesProps {
  readonly paper: KeptPaper;
  readonly onClose: () => void;
}

/** Most different contents asked about, those of the projects touched last. */
const MOST_CONTENTS = 10;

/** Contents the person makes holders for, and in which project. */
interface Used {
  readonly name: string;
  readonly contents: NonNullable<DesignInput['contents']>;
}

async function contentsUsed(): Promise<Used[]> {
  const seen = new Set<string>();
  return (await allProjects()).shelf
    .flatMap(({ name, set }) => {
      const whole = plannedSet(set);
      return 'plan' in whole
        ? whole.plan.parts.flatMap(({ part, plan }): Used[] => {
            const { contents } = plan.design;
            if (!contents || part.given || part.design.construction.does === 'decorates') return [];
            return [{ name: set.parts.length > 1 ? `${name}: ${part.name}` : name, contents }];
          })
        : [];
    })
    .filter(({ contents }) => {
      const key = `${contents.width} ${contents.height} ${contents.thickness ?? 0}`;
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    })
    .slice(0, MOST_CONTENTS);
}

/** A sheet or an offcut against every holder and everything the person makes holders for, folded and proved. */
export function Becomes({ paper, onClose }: BecomesProps) {
  const { units } = useUnits();
  const { failed } = useTell();
  const router = useRouter();
  const [answers, setAnswers] = useState<readonly { used: Used; holders: readonly Suggestion[] }[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const { width, height, caliper, sided, directional } = paper;
  useEffect(() => {
    const helper = startHelper<ChooserWorker>(
      () => new Worker(new URL('../../workers/chooser.worker.ts', import.meta.url), { type: 'module' }),
    );
    const ask = async (): Promise<void> => {
      const all = await contentsUsed();
      const questions = all.map(({ contents }): Question => ({
        contents,
        paper: { width, height, caliper, sided, directional },
      }));
      const found = await helper.ask(
        (remote) => remote.chooseEach(questions),
        (silent) => setTrouble(silent.message),
      );
      setTrouble(null);
      setAnswers(all.map((used, i) => ({ used, holders: found[i]! })));
    };
    ask().catch((error: unknown) => setTrouble(helperWhy(error)));
    return () => helper.end();
  }, [width, height, caliper, sided, directional]);
  const [begin] = useOnce((used: Used, { design, title }: Suggestion) =>
    addProject({ name: `${used.name}: ${title}`.slice(0, 120), units, set: setOf(design) })
      .then((id) => router.push(`/bench?p=${id}`))
      .catch(failed('It could not be started')),
  );
  const say = (value: number): string => formatLength(mm(value), units, units === 'in' ? '1/16 in' : '0.5 mm');
  const some = answers?.filter(({ holders }) => holders.length > 0) ?? [];
  return (
    <Modal open title={`What can “${paper.name}” become?`} footer={null} width={860} onCancel={onClose}>
      <p className={styles.soft}>
        {say(width)} × {say(height)}, against every holder and what your projects hold.{' '}
        <Link href={`/choose?have=paper&width=${width}&height=${height}&units=${units}`}>
          What else it can hold, at its largest
        </Link>
      </p>
      {trouble && <Alert type="error" showIcon title={`${trouble}.`} />}
      {!answers && !trouble && <Waiting what="Folding every holder" />}
      {answers && some.length === 0 && (
        <p>It is too small for anything your projects hold. It may still serve for mats, tags or liners.</p>
      )}
      {some.map(({ used, holders }) => (
        <section key={used.name} className={styles.becomes} aria-label={`For ${used.name}`}>
          <h3>
            <Words>
              {used.name}: {say(Number(used.contents.width))} × {say(Number(used.contents.height))}
            </Words>
          </h3>
          <ul>
            {holders.map((holder) => (
              <li key={holder.construction}>
                <Boundary what={holder.title}>
                  <button type="button" onClick={() => begin(used, holder)}>
                    <span>
                      {holder.picture && (
                        <SmallPicture picture={holder.picture} scale={0.4} room={{ width: 84, height: 62 }} />
                      )}
                    </span>
                    {holder.title}
                  </button>
                </Boundary>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </Modal>
  );
}
