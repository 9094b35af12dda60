'use client';

import { Button, Result } from 'antd';
import { Link } from '@/ui/parts/Link';
import { boundaryWords, isMissingPart } from '@/ui/parts/Boundary';

/** What stands in place of a screen that broke; the frame round it, and everything kept, is as it was. */
export default function BrokenScreen({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <main>
      <Result
        status="warning"
        title="This screen cannot be shown"
        subTitle={`${boundaryWords('It', error)} What you made is kept.`}
        extra={[
          isMissingPart(error) ? (
            <Button key="again" type="primary" onClick={() => window.location.reload()}>
              Load the page again
            </Button>
          ) : (
            <Button key="again" type="primary" onClick={reset}>
              Try again
            </Button>
          ),
          <Link key="shelf" href="/">
            <Button>To the shelf</Button>
          </Link>,
          <Link key="backup" href="/backup">
            <Button>Save a backup</Button>
          </Link>,
        ]}
      />
    </main>
  );
}
