import { Backup } from '../backup/Backup';
import { Empty } from '../../../ui/parts/Notice';
import type { ShopViewProps } from '.';
import * as texts from '#language/screens/shops';

/** Backups of the store. */
export default function BackupView({ view: { backups, keptBy } }: ShopViewProps) {
  if (keptBy !== null) return <Empty title={texts.keptBy(keptBy)}>{texts.backupsAreTheirs}</Empty>;
  return <Backup backups={backups} />;
}
