import { Button } from 'antd';
import { useRef, type ReactNode } from 'react';

interface FilePickerProps {
  /** What the file is, for those who hear the page. */
  readonly label: string;
  /** Kinds of file offered, as an input's `accept`. */
  readonly accept: string;
  readonly icon?: ReactNode;
  readonly onFile: (file: File) => void;
  readonly children: ReactNode;
}

/** A button that asks for a file. */
export function FilePicker({ label, accept, icon, onFile, children }: FilePickerProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button icon={icon} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // The same file may be chosen again once it was mended.
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
