import { several } from '@/core/text';
import styles from './Licences.module.css';

/** A package or font the app is made of, and the name of its terms. */
interface LicencesProps {
  readonly parts: readonly { readonly name: string; readonly version: string; readonly terms: string }[];
}

const isFont = (name: string): boolean => name.startsWith('@fontsource');

/** What the app is made of, and under which terms; the terms themselves are one file. */
export function Licences({ parts }: LicencesProps) {
  const under = (kind: string) => parts.filter(({ terms }) => terms === kind);
  const kinds = [...new Set(parts.map(({ terms }) => terms))].sort((a, b) => under(b).length - under(a).length);
  return (
    <main className={styles.page}>
      <h1>What Tuck Fold is made of</h1>
      <p className={styles.lead}>
        {several(parts.filter(({ name }) => isFont(name)).length, 'font')} and{' '}
        {several(parts.filter(({ name }) => !isFont(name)).length, 'package')} by people who give their work away, each
        under its own terms. {/* oxlint-disable-next-line nextjs/no-html-link-for-pages -- a file, no page */}
        <a href="/licences.txt">All of the terms, word for word</a>
      </p>
      {kinds.map((kind) => (
        <section key={kind} className={styles.card} aria-label={kind}>
          <h2>{kind}</h2>
          <ul className={styles.parts}>
            {under(kind).map(({ name, version }) => (
              <li key={`${name} ${version}`}>
                {name} <span>{version}</span>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </main>
  );
}
