import type { Metadata } from 'next';
import { CuttingPage } from '@/ui/cutting/CuttingPage';

export const metadata: Metadata = { title: 'Cutting · Tuck Fold' };

export default CuttingPage;
