import { Alert, Button } from 'antd';
import type { Editing } from './useUnsent';

interface OvertakenProps<T> {
  readonly editing: Editing<T>;
  /** What a field is called, and what its value is in words. */
  readonly words: (field: keyof T & string, value: T) => string;
}

/** Says what stands in a form besides what is seen: what was typed before, and what changed elsewhere meanwhile. */
export function Overtaken<T extends object>({ editing, words }: OvertakenProps<T>) {
  const { overtaken, restored, forget, takeTheirs } = editing;
  return (
    <>
      {restored && (
        <Alert
          type="info"
          showIcon
          title="Here is what you typed last time."
          action={<Button onClick={forget}>Begin anew</Button>}
        />
      )}
      {overtaken && (
        <Alert
          type="warning"
          showIcon
          title="This was changed in another window meanwhile"
          description={`There it says ${overtaken.fields.map((field) => words(field, overtaken.theirs)).join(', ')}. What you typed here stays, and what you did not touch follows.`}
          action={<Button onClick={takeTheirs}>Take what is there</Button>}
        />
      )}
    </>
  );
}
