'use client';

import { Button, Result } from 'antd';
import { Link } from './Link';

interface NotHereProps {
  /** What is not there: `This project is not on the shelf`. */
  readonly title: string;
  /** Where it may be. */
  readonly why: string;
  /** Where to go on from. */
  readonly to: { readonly href: string; readonly label: string };
}

/** In place of a page whose address names something that is not there. */
export const NotHere = ({ title, why, to }: NotHereProps) => (
  <main>
    <Result
      title={title}
      subTitle={why}
      extra={
        <Link href={to.href}>
          <Button type="primary">{to.label}</Button>
        </Link>
      }
    />
  </main>
);
