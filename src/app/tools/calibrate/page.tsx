import type { Metadata } from 'next';
import { Suspense } from 'react';
import { Calibrate } from '@/ui/tools/Calibrate';

export const metadata: Metadata = { title: 'Calibration · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <Calibrate />
    </Suspense>
  );
}
