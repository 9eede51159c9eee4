import type { Assessment } from '../core/report';
import { actionWord, familyLabel, gaugeLabel, list, operationWord, partName } from '../wording';
import type { FamilyId, GaugeId } from '../core/families';
import { PARTS } from '../core/reading';

/** The assessment for people to read: verdicts first, then the set, the order, and what to measure next. */
export function assessmentText(assessment: Assessment): string {
  const lines: string[] = [];
  for (const part of PARTS) {
    const { action, operations, why } = assessment.verdicts[part];
    const work = operations.length > 0 ? `: ${list(operations.map((operation) => operationWord[operation]))}` : '';
    lines.push(`${partName[part]}: ${actionWord[action]}${work}`, ...why.map((reason) => `  ${reason}`));
  }
  if (assessment.bar.wearPattern) lines.push('', assessment.bar.wearPattern);
  lines.push('', 'The set');
  for (const { holds, why } of assessment.fit)
    lines.push(`  [${holds === null ? '?' : holds ? 'fits' : 'clash'}] ${why}`);
  lines.push('', ...orderLines(assessment));
  if (assessment.next.length > 0) {
    lines.push('', 'Measure next');
    for (const { why, minutes } of assessment.next.slice(0, 5)) lines.push(`  ${why} (${minutes} min)`);
  }
  return `${lines.join('\n')}\n`;
}

function orderLines({ order, orderWithheld = [], stock = [] }: Assessment): string[] {
  if (!order) return ['No order yet', ...orderWithheld.map((reason) => `  ${reason}`)];
  const { pitch, gauge, driveLinks, kickbackClass } = order.chain;
  const line = `Order: chain ${familyLabel(pitch as FamilyId)}, ${gaugeLabel(gauge as GaugeId)}, ${driveLinks} drive links, ${kickbackClass ?? 'kickback class to be asked'}`;
  return [
    line,
    ...stock.map(
      ({ sku, fits, why }) => `  ${fits ? 'fits' : 'near'}  ${sku}${why.length > 0 ? `: ${why.join('; ')}` : ''}`,
    ),
  ];
}
