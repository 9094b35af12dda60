import type { Metadata } from 'next';
import { Chains } from '@/ui/choose/Chains';

export const metadata: Metadata = { title: 'Several things together · Tuck Fold' };

export default function Page() {
  return <Chains />;
}
