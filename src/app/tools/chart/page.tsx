import type { Metadata } from 'next';
import { Suspense } from 'react';
import { SizeChart } from '@/ui/tools/SizeChart';

export const metadata: Metadata = { title: 'Size chart · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <SizeChart />
    </Suspense>
  );
}
