/** What can be wrong with the browser's storage, and what may still be done: sentences, never a browser's own words. */

export type TroubleKind =
  /** The browser gives this page no storage. */
  | 'blocked'
  /** What is stored was written by a newer version of the app. */
  | 'newer'
  /** Another window holds the storage open in an older version. */
  | 'held'
  /** It does not answer. */
  | 'silent'
  /** It was closed under the page: cleared, or taken over by a newer version. */
  | 'closed'
  | 'full'
  /** The record a change was for is not there any more. */
  | 'gone'
  | 'unforeseen';

const SENTENCES: Record<TroubleKind, string> = {
  blocked:
    'This browser gives the page no storage, so nothing can be kept. Allow it to store data for this address (a private window often does not), then load the page again',
  newer: 'What is kept here was written by a newer version of Tuck Fold. Load the page again to get that version',
  held: 'Another window still works with an older version of Tuck Fold. Close that window, and this one goes on by itself',
  silent: 'The browser’s storage does not answer. Close other windows of Tuck Fold, or load the page again',
  closed: 'The browser closed its storage under this page. Load the page again',
  full: 'the browser has no room left. Make room on the disk, or take out photos; until then save your work as a file',
  gone: 'it is no longer in this browser: it was taken out in another window',
  unforeseen:
    'something unforeseen happened in the browser’s storage. Load the page again; if it stays so, save your work as a file',
};

/** Trouble with what is kept. Its message is a sentence without its stop, so that it can stand after a colon. */
export class DataTrouble extends Error {
  constructor(
    readonly kind: TroubleKind,
    sentence = SENTENCES[kind],
  ) {
    super(sentence);
    this.name = 'DataTrouble';
  }
}

/** What the person asked for cannot be, for a reason told in a sentence without its stop. */
export class Refused extends Error {
  override readonly name = 'Refused';
}

const KINDS: Readonly<Record<string, TroubleKind>> = {
  QuotaExceededError: 'full',
  MissingAPIError: 'blocked',
  SecurityError: 'blocked',
  InvalidStateError: 'closed',
  DatabaseClosedError: 'closed',
  VersionError: 'newer',
};

/** The names of an error and of what lies behind it: a library wraps the browser's own. */
function* namesOf(error: unknown): Generator<string> {
  for (let at: unknown = error, deep = 0; typeof at === 'object' && at !== null && deep < 5; deep++) {
    if ('name' in at && typeof at.name === 'string') yield at.name;
    at = 'inner' in at ? at.inner : 'cause' in at ? at.cause : null;
  }
}

/** Whatever the storage threw, as trouble with a sentence. */
export function troubleOf(error: unknown): DataTrouble {
  for (let at: unknown = error, deep = 0; typeof at === 'object' && at !== null && deep < 5; deep++) {
    if (at instanceof DataTrouble) return at;
    at = 'inner' in at ? at.inner : 'cause' in at ? at.cause : null;
  }
  const names = [...namesOf(error)];
  // The browser reports a store it may not open as an error nobody knows.
  const kind = names.map((name) => KINDS[name]).find((known) => known !== undefined);
  if (kind) return new DataTrouble(kind);
  if (names.includes('OpenFailedError') || names.includes('UnknownError')) return new DataTrouble('blocked');
  return new DataTrouble('unforeseen');
}

/** Why something failed, as a sentence without its stop, whatever was thrown. What nobody foresaw is told to the console. */
export function whyOf(error: unknown): string {
  if (error instanceof Refused || error instanceof DataTrouble) return error.message;
  const trouble = troubleOf(error);
  if (trouble.kind === 'unforeseen') console.error(error);
  return trouble.message;
}
