import type { Metadata } from 'next';
import { Envelopes } from '@/ui/choose/Envelopes';

export const metadata: Metadata = { title: 'I have these envelopes · Tuck Fold' };

export default function Page() {
  return <Envelopes />;
}
