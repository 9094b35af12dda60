'use client';

import { Button, Result } from 'antd';
import Link from 'next/link';

/** An address at which nothing stands. */
export default function NotFound() {
  return (
    <main>
      <Result
        title="There is nothing at this address"
        subTitle="It may have been typed by hand, or come from another version."
        extra={
          <Link href="/">
            <Button type="primary">To the shelf</Button>
          </Link>
        }
      />
    </main>
  );
}
