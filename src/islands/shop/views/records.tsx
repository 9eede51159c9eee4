import { Changed, changedAt } from '../Changed';
import { Records } from '../records/Records';
import type { ShopViewProps } from '.';

/** Records that never change, and what the store tells of itself. */
export default function RecordsView({ view: { records, backups, written } }: ShopViewProps) {
  return (
    <>
      <Records records={records} isHere={backups !== null} />
      <Changed lines={changedAt(written, 'store')} />
    </>
  );
}
