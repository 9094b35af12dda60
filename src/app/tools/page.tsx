import type { Metadata } from 'next';
import { Suspense } from 'react';
import { Tools } from '@/ui/tools/Tools';

export const metadata: Metadata = { title: 'Tools · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <Tools />
    </Suspense>
  );
}
