import type { Metadata } from 'next';
import { Suspense } from 'react';
import { Choose } from '@/ui/choose/Choose';

export const metadata: Metadata = { title: 'What can hold this? · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <Choose />
    </Suspense>
  );
}
