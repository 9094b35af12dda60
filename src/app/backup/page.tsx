import type { Metadata } from 'next';
import { BackupPage } from '@/ui/backup/BackupPage';

export const metadata: Metadata = { title: 'Backup · Tuck Fold' };

export default BackupPage;
