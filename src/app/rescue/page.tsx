import type { Metadata } from 'next';
import { Suspense } from 'react';
import { RescuePage } from '@/ui/rescue/RescuePage';

export const metadata: Metadata = { title: 'I cut it wrong · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <RescuePage />
    </Suspense>
  );
}
