import { Backup } from '../backup/Backup';
import type { ShopViewProps } from '.';

/** Backups of the store. */
export default function BackupView({ view: { backups } }: ShopViewProps) {
  return <Backup backups={backups} />;
}
