import type { Metadata } from 'next';
import { Suspense } from 'react';
import { StashPage } from '@/ui/stash/StashPage';

export const metadata: Metadata = { title: 'Stash · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <StashPage />
    </Suspense>
  );
}
