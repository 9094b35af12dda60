'use client';

import dynamic from 'next/dynamic';
import { Link } from '../parts/Link';
import { Waiting } from '../parts/Waiting';
import styles from './Shelf.module.css';

/** What is on the shelf needs the data, the shapes it is read through and the planning: they load once this is painted. */
const shelf = () => import('./OnTheShelf').then((module) => module.OnTheShelf);
const OnTheShelf = dynamic(shelf, { ssr: false, loading: () => <Waiting what="Opening the shelf" /> });
// Fetched while the page comes to life, not only when it is asked for.
if (typeof window !== 'undefined') shelf().catch(() => undefined);

/** The questions a project starts with: each leads to the holders that answer it. */
const QUESTIONS = [
  {
    key: 'contents',
    title: 'I have something to put in',
    text: 'A card, a photo, a ticket. See what can hold it, and what paper each takes.',
  },
  {
    key: 'paper',
    title: 'I have this paper',
    text: 'A square, a strip or a scrap. See what it can become.',
  },
  {
    key: 'set',
    title: 'I want several things together',
    text: 'Cards in envelopes in a box, photos in a folder, a gift card in its holder.',
  },
  {
    key: 'envelopes',
    title: 'I have these envelopes',
    text: 'Bought ones: which card fits, what album or box they make.',
  },
  {
    key: 'wrong',
    title: 'I cut it wrong',
    text: 'Too short, a score too many, the wrong figure. See what the sheet can still be.',
  },
] as const;

const TO: Partial<Record<(typeof QUESTIONS)[number]['key'], string>> = {
  set: '/sets',
  envelopes: '/envelopes',
  wrong: '/rescue',
};

/** Home: begin something, or go on with what is on the shelf. */
export function Shelf() {
  return (
    <main className={styles.shelf}>
      <h1>What shall it hold?</h1>
      <p className={styles.what}>Say what goes in, or what paper there is: it is folded here before you cut.</p>
      <div className={styles.questions}>
        {QUESTIONS.map((question) => (
          <Link
            key={question.key}
            href={TO[question.key] ?? `/choose?have=${question.key}`}
            className={styles.question}
          >
            <QuestionDrawing kind={question.key} />
            <span>
              <strong>{question.title}</strong>
              <span>{question.text}</span>
            </span>
          </Link>
        ))}
      </div>
      <OnTheShelf />
    </main>
  );
}

function QuestionDrawing({ kind }: { kind: (typeof QUESTIONS)[number]['key'] }) {
  return (
    <svg viewBox="0 0 96 76" width="96" height="76" aria-hidden="true" className={styles.drawing}>
      {kind === 'set' ? (
        <>
          <path d="M6 14h84v54H6z" className={styles.paper} />
          <path d="M16 22h64v40H16z" className={styles.card} />
          <path d="M26 29h44v26H26z" className={styles.paper} />
          <path d="M26 29 48 44 70 29" className={styles.line} />
          <path d="M40 8h16v66H40z" className={styles.fold} />
        </>
      ) : kind === 'wrong' ? (
        <>
          <path d="M14 8h60v60H14z" className={styles.paper} />
          <path d="M40 8 14 34M74 42 48 68" className={styles.fold} />
          <path d="M66 8v60" className={styles.fold} />
          <path d="M80 12l8 8M88 12l-8 8" className={styles.line} />
        </>
      ) : kind === 'envelopes' ? (
        <>
          <path d="M10 8h56v36H10z" className={styles.paper} />
          <path d="M20 18h56v36H20z" className={styles.paper} />
          <path d="M30 30h56v38H30z" className={styles.card} />
          <path d="M30 30 58 52 86 30" className={styles.line} />
          <path d="M30 72v-3M30 70.500h56M86 72v-3" className={styles.line} />
        </>
      ) : kind === 'contents' ? (
        <>
          <rect x="30" y="4" width="36" height="48" rx="2" className={styles.card} />
          <path d="M18 32h60v38H18z" className={styles.paper} />
          <path d="M18 70 42 50 48 54 54 50 78 70" className={styles.line} />
          <path d="M18 32 48 54 78 32" className={styles.line} />
        </>
      ) : (
        <>
          <path d="M17 6h62v62H17z" className={styles.paper} />
          <path d="M43 6 17 32M53 6 79 32M79 42 53 68M17 42 43 68" className={styles.fold} />
          <path d="M17 68V74M28 68v4M38 68v4M48 68v6M58 68v4M68 68v4M79 68v6" className={styles.line} />
        </>
      )}
    </svg>
  );
}
