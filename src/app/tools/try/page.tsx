import type { Metadata } from 'next';
import { Suspense } from 'react';
import { TryBoard } from '@/ui/tools/TryBoard';

export const metadata: Metadata = { title: 'Try the board · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <TryBoard />
    </Suspense>
  );
}
