import type { Metadata } from 'next';
import { Suspense } from 'react';
import { MakePage } from '@/ui/make/MakePage';

export const metadata: Metadata = { title: 'Make · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <MakePage />
    </Suspense>
  );
}
