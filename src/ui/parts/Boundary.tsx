'use client';

import { Alert, Button } from 'antd';
import { Component, type ReactNode } from 'react';
import { download } from './download';
import styles from './Boundary.module.css';

interface BoundaryProps {
  /** What stands inside, as a sentence begins: `This project`, `The cutting view`. */
  readonly what: string;
  /** Where something of the person's is concerned: what can be taken along as a file. */
  readonly along?: { readonly name: string; readonly content: () => string };
  readonly onBin?: () => void;
  /** When this changes it is tried again by itself: the design was mended. */
  readonly of?: unknown;
  readonly children: ReactNode;
}

interface BoundaryState {
  readonly error: unknown;
  readonly of: unknown;
}

/** True when a part of the app could not be loaded: the connection is gone, or another version is out. */
export const isMissingPart = (error: unknown): boolean =>
  error instanceof Error &&
  (error.name === 'ChunkLoadError' ||
    /load(ing)? (css )?chunk|dynamically imported|module script/i.test(error.message));

/** What is said of an error in a screen, whatever it was. */
export const boundaryWords = (what: string, error: unknown): string =>
  isMissingPart(error)
    ? `${what} could not be loaded. The connection is gone, or a newer version is out: load the page again.`
    : `${what} cannot be shown: something in it is not as it should be. The rest goes on.`;

/** Keeps an error small: what broke says so, with what can be done, and everything round it stays. */
export class Boundary extends Component<BoundaryProps, BoundaryState> {
  override state: BoundaryState = { error: null, of: this.props.of };

  static getDerivedStateFromError(error: unknown): Partial<BoundaryState> {
    return { error: error ?? new Error('nothing was thrown') };
  }

  static getDerivedStateFromProps({ of }: BoundaryProps, state: BoundaryState): BoundaryState | null {
    return of === state.of ? null : { error: null, of };
  }

  override render(): ReactNode {
    const { error } = this.state;
    const { what, along, onBin, children } = this.props;
    if (error === null) return children;
    return (
      <Alert
        className={styles.boundary}
        type="error"
        showIcon
        title={boundaryWords(what, error)}
        description={
          <span className={styles.buttons}>
            {isMissingPart(error) ? (
              <Button onClick={() => window.location.reload()}>Load the page again</Button>
            ) : (
              <Button onClick={() => this.setState({ error: null })}>Try again</Button>
            )}
            {along && (
              <Button onClick={() => download(along.name, 'application/json', along.content())}>
                Take it along as a file
              </Button>
            )}
            {onBin && <Button onClick={onBin}>Put it in the bin</Button>}
          </span>
        }
      />
    );
  }
}
