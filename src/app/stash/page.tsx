import type { Metadata } from 'next';
import { StashPage } from '@/ui/stash/StashPage';

export const metadata: Metadata = { title: 'Stash · Tuck Fold' };

export default StashPage;
