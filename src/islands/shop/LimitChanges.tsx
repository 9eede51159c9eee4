import type { ShopPageView } from '../../contract';
import { limitName } from '../../wording';
import { Changed } from './Changed';
import { isRate } from './rates';

interface LimitChangesProps {
  readonly changes: ShopPageView['changes'];
  readonly which: 'limits' | 'rates';
}

/** The latest changes of limits, or of rates and lives. */
export function LimitChanges({ changes, which }: LimitChangesProps) {
  const own = changes.filter(({ limitId }) => isRate(limitId) === (which === 'rates'));
  return (
    <Changed
      lines={own.map(({ limitId, text, at, by }) => ({
        key: `${limitId}${at}`,
        name: limitName[limitId],
        became: text,
        at,
        by,
      }))}
    />
  );
}
