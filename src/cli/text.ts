import type { Assessment } from '../core/report';
import {
  actionWord,
  AILMENTS,
  familyLabel,
  gaugeLabel,
  list,
  operationWord,
  partName,
  planSummary,
  sentence,
  symptomName,
} from '../wording';
import type { Cause, Symptom } from '../core/symptom';
import type { FamilyId, GaugeId } from '../core/families';
import { PARTS } from '../core/reading';

/** Causes told of each symptom. */
const MOST_CAUSES = 4;

/** The assessment for people to read: verdicts first, then the set, the order, what ails it, and what to measure. */
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
  for (const { symptom, causes } of assessment.symptoms) {
    lines.push('', `${sentence(symptomName(symptom as Symptom))}: what ails it`);
    for (const { cause, share } of causes.slice(0, MOST_CAUSES))
      lines.push(`  ${Math.round(100 * share)} %  ${AILMENTS[cause as Cause].name}`);
  }
  if (assessment.plan.length > 0) {
    lines.push('', `Measuring plan: ${planSummary(assessment.plan.length, assessment.minutesInAll)}`);
    for (const { why, minutes } of assessment.plan) lines.push(`  ${why} (${minutes} min)`);
  }
  return `${lines.join('\n')}\n`;
}

function orderLines({ order, orderWithheld = [], stock = [] }: Assessment): string[] {
  if (!order) return ['No order yet', ...orderWithheld.map((reason) => `  ${reason}`)];
  const { pitch, gauge, driveLinks, kickbackClass } = order.chain;
  const sprocket = order.driveSprocket
    ? [
        `With it: a drive sprocket, ${familyLabel(order.driveSprocket.pitch as FamilyId)}, ${order.driveSprocket.teeth ?? '?'} teeth`,
      ]
    : [];
  const line = `Order: chain ${familyLabel(pitch as FamilyId)}, ${gaugeLabel(gauge as GaugeId)}, ${driveLinks} drive links, ${kickbackClass ?? 'kickback class to be asked'}`;
  return [
    line,
    ...sprocket,
    ...stock.map(
      ({ sku, fits, why }) => `  ${fits ? 'fits' : 'near'}  ${sku}${why.length > 0 ? `: ${why.join('; ')}` : ''}`,
    ),
  ];
}

/** A document as it is printed. */
export const json = (document: unknown): string => `${JSON.stringify(document, null, 2)}\n`;
