import { isRate, DEFAULT_LIMITS, type LimitId } from '../../core/limits';
import type { ShopPageView, ShopView } from '../../contract';
import { limitName } from '../../wording';
import { useFrame } from '../frame/frame-context';
import { Changed } from './Changed';
import { limitText } from './limit-text';

interface LimitChangesProps {
  readonly changes: ShopPageView['changes'];
  readonly which: 'limits' | 'rates';
}

/** What a limit became, as its field shows it: a rate in money as money. */
function changedText(id: LimitId, text: string, shop: ShopView): string {
  const value = Number(text);
  return text.trim() === '' || !Number.isFinite(value) ? text : limitText({ ...DEFAULT_LIMITS[id], value }, shop);
}

/** The latest changes of limits, or of rates and lives. */
export function LimitChanges({ changes, which }: LimitChangesProps) {
  const { shop } = useFrame();
  const own = changes.filter(({ limitId }) => isRate(limitId) === (which === 'rates'));
  return (
    <Changed
      lines={own.map(({ limitId, text, at, by }) => ({
        key: `${limitId}${at}`,
        name: limitName[limitId],
        became: changedText(limitId, text, shop),
        at,
        by,
      }))}
    />
  );
}
