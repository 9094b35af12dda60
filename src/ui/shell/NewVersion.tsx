import { Serwist } from '@serwist/window';
import { Alert, Button } from 'antd';
import { useEffect, useRef, useState } from 'react';

/** A make on a table holds this: no window takes another version under it. */
const MAKING = 'tuck-fold-making';
/** Looked for a newer version this often while the page stands open, ms. */
const OFTEN = 60 * 60_000;
/** What is kept is looked through so long after the page was opened, ms. */
const SOON = 4000;

/** Holds the lock of a make that is on the table in this window. */
function useMaking(making: boolean): void {
  useEffect(() => {
    if (!making || !('locks' in navigator)) return;
    let done: () => void = () => undefined;
    const over = new Promise<void>((resolve) => (done = resolve));
    navigator.locks.request(MAKING, { mode: 'shared' }, () => over).catch(() => undefined);
    return done;
  }, [making]);
}

/** True while a make is on the table in any window. */
const someoneMakes = async (): Promise<boolean> =>
  'locks' in navigator && ((await navigator.locks.query()).held ?? []).some(({ name }) => name === MAKING);

/** Comes when no window has a make on the table any more: whoever asks for the lock alone gets it only then. */
const nobodyMakes = (signal: AbortSignal): Promise<void> =>
  navigator.locks.request(MAKING, { mode: 'exclusive', signal }, () => undefined);

/**
 * Keeps the app for use without a network, and offers a newer version when one is there: taken when the person agrees,
 * and never under a make.
 */
export function NewVersion({ making }: { readonly making: boolean }) {
  const [offered, setOffered] = useState(false);
  const [busyElsewhere, setBusyElsewhere] = useState(false);
  const worker = useRef<Serwist | null>(null);
  useMaking(making);
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const kept = new Serwist('/sw.js', { scope: '/', type: 'classic' });
    worker.current = kept;
    kept.addEventListener('waiting', () => setOffered(true));
    // Where the browser keeps no app (a page that is not secure, storage that is blocked), it works with the network.
    kept.register().catch(() => undefined);
    // What the browser lost of what is kept is fetched again.
    const heal = (): void => navigator.serviceWorker.controller?.postMessage({ type: 'HEAL' });
    const look = (): void => {
      if (document.visibilityState === 'visible') kept.update().catch(() => undefined);
      heal();
    };
    const timer = setInterval(look, OFTEN);
    // Not while the page comes to life.
    const begun = setTimeout(heal, SOON);
    window.addEventListener('online', heal);
    return () => {
      clearInterval(timer);
      clearTimeout(begun);
      window.removeEventListener('online', heal);
    };
  }, []);
  useEffect(() => {
    if (!busyElsewhere) return;
    const left = new AbortController();
    nobodyMakes(left.signal)
      .then(() => setBusyElsewhere(false))
      .catch(() => undefined);
    return () => left.abort();
  }, [busyElsewhere]);
  if (!offered || making) return null;
  const take = async (): Promise<void> => {
    if (await someoneMakes()) return setBusyElsewhere(true);
    // All of this window's own changes are kept as they are made: nothing is lost by loading it again.
    navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
    worker.current?.messageSkipWaiting();
  };
  return (
    <Alert
      type="info"
      banner
      showIcon
      closable={{ onClose: () => setOffered(false), 'aria-label': 'Later' }}
      title={
        busyElsewhere
          ? 'A make is on the table in another window. The newer version waits until it is done.'
          : 'A newer version of Tuck Fold is ready.'
      }
      action={
        <Button size="small" type="primary" onClick={() => void take()}>
          Take it now
        </Button>
      }
    />
  );
}
