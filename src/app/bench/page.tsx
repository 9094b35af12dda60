import type { Metadata } from 'next';
import { Suspense } from 'react';
import { BenchPage } from '@/ui/bench/BenchPage';

export const metadata: Metadata = { title: 'Bench · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <BenchPage />
    </Suspense>
  );
}
